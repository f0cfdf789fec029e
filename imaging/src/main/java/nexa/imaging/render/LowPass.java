package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.CV_8U;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.sepFilter2D;

import java.util.Optional;
import nexa.core.geometry.Affine;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;

/**
 * Takes out of source pixels what is finer than a reduced picture can hold. Moderate reductions are filtered by {@link Lanczos}'
 * kernel, in 32-bit floats, to be sampled by a bicubic; stronger ones by a {@link FittedKernel}, where it is 8 bits in
 * these, to be sampled by straight lines, which takes three quarters of the time and shows the same ({@code ./nexa bench sharpness}).
 * Pixels that are means of the photo's are filtered by a fitted kernel too, which gives back what the mean takes.
 */
final class LowPass {
    /** A picture that is reduced by a few percent everywhere needs no filter. */
    private static final double NEARLY_NONE = 1.05;

    /** Where reductions change from place to place, one without a filter would show against its neighbour that has one. */
    private static final double NONE = 1.005;

    /**
     * From so many filtered pixels to an output pixel on they are sampled by straight lines. Of the broader detail these make less
     * that is false than a bicubic does, of the finest more: of 0.4 cycles an output pixel 5 % at the most, where a bicubic makes 2 %.
     */
    private static final double DENSE = 2.25;

    /** Fewer means to an output pixel hold false patterns that giving back what they took would bring out. */
    private static final double LEAST_MEANS = 1.35;

    /** Leaves pixels as they are. */
    private static final LowPass NOTHING = new LowPass(new float[] {1}, false);

    private final float[] kernel;
    private final boolean dense;

    private LowPass(float[] kernel, boolean dense) {
        this.kernel = kernel;
        this.dense = dense;
    }

    /**
     * @param reduction filtered pixels to an output pixel, more than 1
     * @param mean of how many of the photo's pixels along a side a filtered one is the mean
     */
    static LowPass of(double reduction, int mean) {
        boolean dense = isDense(reduction);
        return dense || mean > 1 && reduction >= LEAST_MEANS
                ? new LowPass(FittedKernel.weights(reduction, mean, dense), dense)
                : new LowPass(Lanczos.weights(reduction), false);
    }

    /** Whether samples are taken by straight lines. */
    static boolean isDense(double reduction) {
        return reduction >= DENSE;
    }

    /** Empty if there is nothing to take out. */
    static Optional<LowPass> forReduction(double reduction, int mean) {
        return reduction > NEARLY_NONE ? Optional.of(of(reduction, mean)) : Optional.empty();
    }

    /** For a place of a picture that is reduced by more elsewhere. */
    static LowPass forPlace(double reduction, int mean) {
        return isNeededAt(reduction) ? of(reduction, mean) : NOTHING;
    }

    static boolean isNeededAt(double reduction) {
        return reduction > NONE;
    }

    /** Source pixels to an output pixel, along the side of it that sees most. */
    static double reduction(Affine outputToSource) {
        return Math.max(
                Math.hypot(outputToSource.xx(), outputToSource.yx()),
                Math.hypot(outputToSource.xy(), outputToSource.yy()));
    }

    /** How many pixels around it a pixel looks at. */
    int reach() {
        return kernel.length / 2;
    }

    /** How what is filtered is to be sampled: OpenCV's number of it. */
    int interpolation() {
        return dense ? INTER_LINEAR : INTER_CUBIC;
    }

    /** A new matrix, of 32-bit floats or of 8 bits as the source; beyond the photo's edge the edge goes on. */
    Mat filtered(Mat source) {
        if (dense && source.depth() == CV_8U) {
            return filtered(source, CV_8U);
        }
        try (Mat floats = new Mat()) {
            source.convertTo(floats, CV_32F);
            return filtered(floats, CV_32F);
        }
    }

    /** OpenCV filters floats and 8 bits quickly, 16 bits at a third of that speed. */
    private Mat filtered(Mat source, int depth) {
        Mat filtered = new Mat();
        try (Mat weights = new Mat(1, kernel.length, CV_32F);
                Point middle = new Point(-1, -1);
                FloatIndexer cells = weights.createIndexer()) {
            cells.put(0, 0, kernel);
            sepFilter2D(source, filtered, depth, weights, weights, middle, 0, BORDER_REPLICATE);
        }
        return filtered;
    }
}
