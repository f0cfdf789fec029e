package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_64F;
import static org.bytedeco.opencv.global.opencv_core.DECOMP_QR;
import static org.bytedeco.opencv.global.opencv_core.solve;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * The weights of a filter for pixels that something else blurs too: each may be the mean of several of the photo's, and what is
 * filtered is sampled by straight lines from pixel to pixel, which is good enough where pixels lie densely, or by a bicubic. The
 * weights give beforehand what these take. Of all weights of so few pixels they come nearest, by least squares, to what Lanczos' kernel holds
 * and takes out of the photo's own pixels. Frequencies are in cycles a filtered pixel.
 */
final class FittedKernel {
    /** To each side, in output pixels; Lanczos' kernel reaches four. */
    private static final double REACH = 3.25;

    /** Kernels are made for reductions in steps of this factor. */
    private static final double STEP = 1.01;

    /** Frequencies that are looked at, for each weight that is sought. */
    private static final int DENSITY = 12;

    /** Means of more pixels differ from those of so many by less than 1 %. */
    private static final int LARGEST_MEAN = 8;

    private static final Map<Use, float[]> KNOWN = new ConcurrentHashMap<>();

    private FittedKernel() {}

    /**
     * @param step the reduction's, filtered pixels to an output pixel: a power of {@link #STEP}
     * @param mean of how many of the photo's pixels along a side a filtered one is the mean
     * @param byLine whether samples are taken by straight lines
     */
    private record Use(long step, int mean, boolean byLine) {
        double reduction() {
            return Math.pow(STEP, step);
        }

        /** Of a frequency, without the filter. */
        double left(double frequency) {
            return leftByMean(frequency, mean) * (byLine ? leftByLine(frequency) : leftByCurve(frequency));
        }
    }

    /**
     * Of an odd number, the same to both sides; their sum is 1.
     *
     * @param reduction filtered pixels to an output pixel
     * @param mean of how many of the photo's pixels along a side a filtered one is the mean
     * @param byLine whether samples are taken by straight lines; otherwise by OpenCV's bicubic
     */
    static float[] weights(double reduction, int mean, boolean byLine) {
        long step = Math.round(Math.log(reduction) / Math.log(STEP));
        return KNOWN.computeIfAbsent(new Use(step, Math.min(mean, LARGEST_MEAN), byLine), FittedKernel::nearest);
    }

    private static float[] nearest(Use use) {
        double reduction = use.reduction();
        int reach = (int) Math.ceil(REACH * reduction);
        int rows = DENSITY * reach;
        try (Mat basis = new Mat(rows, reach + 1, CV_64F);
                Mat wanted = new Mat(rows, 1, CV_64F);
                Mat half = new Mat();
                DoubleIndexer cells = basis.createIndexer();
                DoubleIndexer values = wanted.createIndexer()) {
            float[] lanczos = Lanczos.weights(reduction * use.mean());
            for (int row = 0; row < rows; row++) {
                double frequency = 0.5 * row / (rows - 1);
                double weight = weight(frequency * reduction);
                values.put(row, 0, weight * response(lanczos, frequency / use.mean()));
                double left = weight * use.left(frequency);
                for (int i = 0; i <= reach; i++) {
                    cells.put(row, i, left * wave(i, frequency));
                }
            }
            solve(basis, wanted, half, DECOMP_QR);
            return mirrored(half);
        }
    }

    /** Broad detail matters most, then that nothing is left of what the output can't hold. */
    private static double weight(double cyclesAnOutputPixel) {
        return cyclesAnOutputPixel < 0.35 ? 10 : cyclesAnOutputPixel < 0.62 ? 1 : 2;
    }

    /** What straight lines from pixel to pixel leave of a frequency, at all places in the mean: sinc². */
    static double leftByLine(double frequency) {
        return Math.pow(Lanczos.sinc(frequency), 2);
    }

    /**
     * What a bicubic of a = −0.75 leaves of a frequency, at all places in the mean (S. Park, R. Schowengerdt, "Image Reconstruction
     * by Parametric Cubic Convolution", CVGIP 23, 1983).
     */
    static double leftByCurve(double frequency) {
        if (frequency == 0) {
            return 1;
        }
        double once = Lanczos.sinc(frequency);
        double twice = Lanczos.sinc(2 * frequency);
        double outer = 3 * twice * twice - 2 * twice - Lanczos.sinc(4 * frequency);
        return (3 * (once * once - twice) - 1.5 * outer) / Math.pow(Math.PI * frequency, 2);
    }

    /** What is left of a frequency where each pixel is the mean of several: Dirichlet's kernel. */
    static double leftByMean(double frequency, int mean) {
        return Lanczos.sinc(frequency) / Lanczos.sinc(frequency / mean);
    }

    /** What a pair of weights at a distance from the middle, or the middle's own, makes of a frequency. */
    private static double wave(int distance, double frequency) {
        return (distance == 0 ? 1 : 2) * Math.cos(2 * Math.PI * frequency * distance);
    }

    /** What weights leave of a frequency, in cycles a pixel of theirs. */
    static double response(float[] weights, double frequency) {
        int middle = weights.length / 2;
        double sum = 0;
        for (int i = 0; i <= middle; i++) {
            sum += weights[middle + i] * wave(i, frequency);
        }
        return sum;
    }

    private static float[] mirrored(Mat half) {
        int reach = half.rows() - 1;
        float[] weights = new float[2 * reach + 1];
        try (DoubleIndexer values = half.createIndexer()) {
            for (int i = 0; i <= reach; i++) {
                weights[reach + i] = (float) values.get(i, 0);
                weights[reach - i] = weights[reach + i];
            }
        }
        return Lanczos.summingToOne(weights);
    }
}
