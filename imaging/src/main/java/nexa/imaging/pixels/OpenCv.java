package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.redirectError;
import static org.bytedeco.opencv.global.opencv_core.setNumThreads;

import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.opencv.opencv_core.ErrorCallback;

/** Process-wide settings of OpenCV. */
final class OpenCv {
    /** Held for ever, since native code calls it. */
    private static final ErrorCallback SILENT = new Silent();

    private OpenCv() {}

    /**
     * Damage comes back as exceptions and is reported as values, so OpenCV's lines on the terminal are not wanted. Many
     * photos are worked at side by side and the window is drawn meanwhile: a single call gets half of the cores.
     */
    static void settle() {
        redirectError(SILENT);
        setNumThreads(Math.max(1, Runtime.getRuntime().availableProcessors() / 2));
    }

    private static final class Silent extends ErrorCallback {
        @Override
        public int call(
                int status, BytePointer function, BytePointer message, BytePointer file, int line, Pointer user) {
            return 0;
        }
    }
}
