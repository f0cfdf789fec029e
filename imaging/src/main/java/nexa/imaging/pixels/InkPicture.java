package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_16U;
import static org.bytedeco.opencv.global.opencv_core.bitwise_not;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_core.multiply;
import static org.bytedeco.opencv.global.opencv_core.split;

import java.awt.image.Raster;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/**
 * Amounts of ink in native memory: cyan, magenta, yellow and black of 8 or 16 bits, 0 = none; row by row from the top. To
 * be closed by whoever got it.
 *
 * @param mat of four channels, taken over
 */
public record InkPicture(Mat mat) implements AutoCloseable {
    private static final int INKS = 4;

    /**
     * A copy of what one of the JDK's readers read.
     *
     * @param raster of 8 or 16 bits
     * @throws IllegalArgumentException if it has fewer channels than four; further ones are left out
     */
    public static InkPicture of(Raster raster) {
        return new InkPicture(RasterMatrix.of(raster, INKS));
    }

    /** What such amounts look like roughly: each ink takes its share of the light away. Blue, green, red; the same bits. */
    public Picture withoutProfile() {
        double most = mat.depth() == CV_16U ? 0xFFFF : 0xFF;
        Mat whole = new Mat();
        try (Mat light = new Mat();
                MatVector parts = new MatVector()) {
            bitwise_not(mat, light);
            split(light, parts);
            for (int ink = 0; ink < INKS - 1; ink++) {
                multiply(parts.get(ink), parts.get(INKS - 1), parts.get(ink), 1 / most, -1);
            }
            merge(new MatVector(parts.get(2), parts.get(1), parts.get(0)), whole);
        }
        return new Picture(whole);
    }

    @Override
    public void close() {
        mat.close();
    }
}
