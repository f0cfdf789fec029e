package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_imgproc.sepFilter2D;

import java.util.Optional;
import nexa.core.geometry.Affine;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;

/**
 * Takes out of source pixels what is finer than a reduced picture can hold, with Lanczos' kernel of four lobes as wide
 * as the reduction asks (K. Turkowski, "Filters for Common Resampling Tasks", Graphics Gems, 1990).
 */
final class LowPass {
    private static final int LOBES = 4;

    /** A picture that is reduced by a few percent everywhere needs no filter. */
    private static final double NEARLY_NONE = 1.05;

    /** Where reductions change from place to place, one without a filter would show against its neighbour that has one. */
    private static final double NONE = 1.005;

    private final float[] kernel;

    /** @param reduction source pixels to an output pixel, more than 1 */
    LowPass(double reduction) {
        int reach = (int) Math.ceil(LOBES * reduction) - 1;
        kernel = new float[2 * reach + 1];
        double sum = 0;
        for (int i = 0; i < kernel.length; i++) {
            double x = (i - reach) / reduction;
            kernel[i] = (float) (sinc(x) * sinc(x / LOBES));
            sum += kernel[i];
        }
        for (int i = 0; i < kernel.length; i++) {
            kernel[i] /= (float) sum;
        }
    }

    /** Empty if there is nothing to take out. */
    static Optional<LowPass> forReduction(double reduction) {
        return reduction > NEARLY_NONE ? Optional.of(new LowPass(reduction)) : Optional.empty();
    }

    /** The same for a place of a picture that is reduced by more elsewhere. */
    static Optional<LowPass> forPlace(double reduction) {
        return isNeededAt(reduction) ? Optional.of(new LowPass(reduction)) : Optional.empty();
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

    private static double sinc(double x) {
        return x == 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    }

    /** How many pixels around it a pixel looks at. */
    int reach() {
        return kernel.length / 2;
    }

    /** A new matrix of 32-bit floats; beyond the edge the edge goes on. */
    Mat filtered(Mat source) {
        Mat filtered = new Mat();
        try (Mat exact = new Mat();
                Mat weights = new Mat(1, kernel.length, CV_32F);
                Point middle = new Point(-1, -1);
                FloatIndexer cells = weights.createIndexer()) {
            cells.put(0, 0, kernel);
            source.convertTo(exact, CV_32F);
            sepFilter2D(exact, filtered, CV_32F, weights, weights, middle, 0, BORDER_REPLICATE);
        }
        return filtered;
    }
}
