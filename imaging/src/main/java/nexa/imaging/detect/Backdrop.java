package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2Lab;
import static org.bytedeco.opencv.global.opencv_imgproc.GC_BGD;
import static org.bytedeco.opencv.global.opencv_imgproc.GC_PR_BGD;
import static org.bytedeco.opencv.global.opencv_imgproc.GC_PR_FGD;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * What a photo shows behind its subject, row by row: a wall above, a table below, each as its left and right ends show
 * it, blended across.
 */
final class Backdrop {
    private static final double SIDE = 0.06;
    private static final int NEIGHBOURS = 4;
    private static final double STANDS_OUT = 3.2;

    /** Light changes more across a backdrop than its hue does: shadows, mostly. */
    private static final double[] NOISE = {14, 3.5, 3.5};

    private final int width;
    private final int height;
    private final int side;
    private final double[][][] lab;

    private Backdrop(double[][][] lab) {
        this.lab = lab;
        this.height = lab.length;
        this.width = lab[0].length;
        this.side = Math.max(2, (int) Math.round(width * SIDE));
    }

    static Backdrop of(Mat bgr) {
        double[][][] cells = new double[bgr.rows()][bgr.cols()][3];
        try (Mat lab = new Mat()) {
            cvtColor(bgr, lab, COLOR_BGR2Lab);
            try (UByteIndexer bytes = lab.createIndexer()) {
                for (int y = 0; y < lab.rows(); y++) {
                    for (int x = 0; x < lab.cols(); x++) {
                        for (int c = 0; c < 3; c++) {
                            cells[y][x][c] = bytes.get(y, x, c);
                        }
                    }
                }
            }
        }
        return new Backdrop(cells);
    }

    /** For each pixel whether it is background, or probably background or subject, in GrabCut's numbers. */
    Mat seeds() {
        Mat seeds = new Mat(height, width, CV_8UC1);
        try (UByteIndexer cells = seeds.createIndexer()) {
            for (int y = 0; y < height; y++) {
                Ends ends = ends(y);
                for (int x = 0; x < width; x++) {
                    cells.put(y, x, seed(ends, x, y));
                }
            }
        }
        return seeds;
    }

    private int seed(Ends ends, int x, int y) {
        boolean border = x < side / 2 || x >= width - side / 2 || y < side / 2;
        if (border) {
            return GC_BGD;
        }
        return ends.distance(lab[y][x], (double) x / width) > STANDS_OUT ? GC_PR_FGD : GC_PR_BGD;
    }

    /** Colours at both ends of a row. */
    private record Ends(double[] left, double[] right, double[] noise) {
        double distance(double[] colour, double across) {
            double sum = 0;
            for (int c = 0; c < 3; c++) {
                double expected = left[c] + (right[c] - left[c]) * across;
                double away = (colour[c] - expected) / noise[c];
                sum += away * away;
            }
            return Math.sqrt(sum);
        }
    }

    private Ends ends(int y) {
        int from = Math.max(0, y - NEIGHBOURS);
        int to = Math.min(height, y + NEIGHBOURS + 1);
        double[] left = mean(from, to, 0);
        double[] right = mean(from, to, width - side);
        double[] noise = new double[3];
        for (int c = 0; c < 3; c++) {
            double spread = (deviation(from, to, 0, left, c) + deviation(from, to, width - side, right, c)) / 2;
            noise[c] = NOISE[c] + spread;
        }
        return new Ends(left, right, noise);
    }

    private double[] mean(int from, int to, int x0) {
        double[] sum = new double[3];
        for (int y = from; y < to; y++) {
            for (int x = x0; x < x0 + side; x++) {
                for (int c = 0; c < 3; c++) {
                    sum[c] += lab[y][x][c];
                }
            }
        }
        int count = (to - from) * side;
        return new double[] {sum[0] / count, sum[1] / count, sum[2] / count};
    }

    private double deviation(int from, int to, int x0, double[] mean, int c) {
        double sum = 0;
        for (int y = from; y < to; y++) {
            for (int x = x0; x < x0 + side; x++) {
                sum += Math.pow(lab[y][x][c] - mean[c], 2);
            }
        }
        return Math.sqrt(sum / ((to - from) * side));
    }
}
