package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
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
 * kernel, in 32-bit floats, to be sampled by a bicubic; stronger ones by a {@link DenseKernel}, in the source's own kind of
 * values, to be sampled by straight lines, which takes three quarters of the time and shows the same ({@code ./nexa bench sharpness}).
 */
final class LowPass {
    /** A picture that is reduced by a few percent everywhere needs no filter. */
    private static final double NEARLY_NONE = 1.05;

    /** Where reductions change from place to place, one without a filter would show against its neighbour that has one. */
    private static final double NONE = 1.005;

    /** Leaves pixels as they are. */
    private static final LowPass NOTHING = new LowPass(new float[] {1}, false);

    private final float[] kernel;
    private final boolean dense;

    private LowPass(float[] kernel, boolean dense) {
        this.kernel = kernel;
        this.dense = dense;
    }

    /** @param reduction source pixels to an output pixel, more than 1 */
    static LowPass of(double reduction) {
        return isDense(reduction)
                ? new LowPass(DenseKernel.weights(reduction), true)
                : new LowPass(Lanczos.weights(reduction), false);
    }

    /** Whether what is filtered is as small as the source's own values. */
    static boolean isDense(double reduction) {
        return reduction >= DenseKernel.LEAST_REDUCTION;
    }

    /** Empty if there is nothing to take out. */
    static Optional<LowPass> forReduction(double reduction) {
        return reduction > NEARLY_NONE ? Optional.of(of(reduction)) : Optional.empty();
    }

    /** For a place of a picture that is reduced by more elsewhere. */
    static LowPass forPlace(double reduction) {
        return isNeededAt(reduction) ? of(reduction) : NOTHING;
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

    /** A new matrix; beyond the photo's edge the edge goes on. */
    Mat filtered(Mat source) {
        Mat filtered = new Mat();
        try (Mat weights = new Mat(1, kernel.length, CV_32F);
                Point middle = new Point(-1, -1);
                FloatIndexer cells = weights.createIndexer()) {
            cells.put(0, 0, kernel);
            sepFilter2D(
                    source, filtered, dense ? source.depth() : CV_32F, weights, weights, middle, 0, BORDER_REPLICATE);
        }
        return filtered;
    }
}
