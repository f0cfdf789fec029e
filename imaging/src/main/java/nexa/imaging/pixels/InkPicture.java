package nexa.imaging.pixels;

import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Amounts of ink in native memory: cyan, magenta, yellow and black of 8 or 16 bits, 0 = none; row by row from the top. To
 * be closed by whoever got it.
 *
 * @param mat of four channels, taken over
 */
public record InkPicture(Mat mat) implements AutoCloseable {
    @Override
    public void close() {
        mat.close();
    }
}
