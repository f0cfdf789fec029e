package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_8U;

import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;

/** A file's bytes as OpenCV's decoders want them. */
public final class EncodedBytes {
    private static final byte[] END_OF_JPEG = {(byte) 0xFF, (byte) 0xD9};

    private EncodedBytes() {}

    /**
     * A new one-row matrix of the bytes and a JPEG end marker: with it a JPEG that was cut off decodes as far as it goes,
     * while decoders pass over it after a whole file.
     */
    public static Mat matrix(byte[] bytes) {
        Mat matrix = new Mat(1, bytes.length + END_OF_JPEG.length, CV_8U);
        try (BytePointer data = matrix.data()) {
            data.put(bytes, 0, bytes.length);
            data.position(bytes.length).put(END_OF_JPEG, 0, END_OF_JPEG.length);
        }
        return matrix;
    }
}
