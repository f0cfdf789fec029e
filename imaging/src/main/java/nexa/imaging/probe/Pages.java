package nexa.imaging.probe;

import static org.bytedeco.opencv.global.opencv_imgcodecs.imcount;

import java.nio.file.Path;

/** How many pictures a file holds. */
public final class Pages {
    private Pages() {}

    /** At least 1; also 1 if it can't be told. */
    public static int count(Path file) {
        try {
            return (int) Math.max(1, imcount(file.toString()));
        } catch (RuntimeException refused) { // decoding will say why
            return 1;
        }
    }
}
