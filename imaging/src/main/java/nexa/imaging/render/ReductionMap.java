package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;

import java.util.Arrays;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * By how much each pixel of a tile is reduced, as a step: the logarithm of the reduction to the base {@link #FACTOR}, 0
 * where nothing is. Known at the corners of cells, straight in between.
 *
 * @param steps row by row
 * @param across how many in a row
 */
record ReductionMap(double[] steps, int across) {
    /** Output pixels along a cell's side. */
    static final int CELL = 32;

    /** From one step's reduction to the next one's. */
    static final double FACTOR = 1.1;

    /** Parts of a side of a whole picture at whose ends its reduction is looked at. */
    private static final int PLACES = 32;

    static ReductionMap of(Mapping tileToSource, int width, int height) {
        int across = Math.ceilDiv(width, CELL) + 1;
        int down = Math.ceilDiv(height, CELL) + 1;
        double[] steps = new double[across * down];
        for (int i = 0; i < steps.length; i++) {
            Point corner = new Point((double) i % across * CELL, (double) (i / across) * CELL);
            double reduction = LowPass.reduction(tileToSource.tangent(corner));
            steps[i] = Math.max(0, Math.log(reduction) / Math.log(FACTOR));
        }
        return new ReductionMap(steps, across);
    }

    /** The least reduction in a whole picture, less than 1 where it is enlarged. */
    static double least(Mapping toSource, int width, int height) {
        double least = Double.MAX_VALUE;
        for (int i = 0; i <= PLACES; i++) {
            for (int j = 0; j <= PLACES; j++) {
                Point place = new Point((double) i / PLACES * width, (double) j / PLACES * height);
                least = Math.min(least, LowPass.reduction(toSource.tangent(place)));
            }
        }
        return least;
    }

    static double ofStep(double step) {
        return Math.pow(FACTOR, step);
    }

    double least() {
        return ofStep(Arrays.stream(steps).min().orElseThrow());
    }

    double most() {
        return ofStep(Arrays.stream(steps).max().orElseThrow());
    }

    int firstStep() {
        return (int) Math.floor(Arrays.stream(steps).min().orElseThrow());
    }

    int lastStep() {
        return (int) Math.ceil(Arrays.stream(steps).max().orElseThrow());
    }

    /** The share, 0 to 1, that a step has in each pixel; over all steps they add up to 1. */
    Mat share(int step, int width, int height) {
        Mat share = new Mat(height, width, CV_32F);
        float[] row = new float[width];
        try (FloatIndexer cells = share.createIndexer()) {
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    row[x] = (float) Math.max(0, 1 - Math.abs(at((x + 0.5) / CELL, (y + 0.5) / CELL) - step));
                }
                cells.put(y, 0, row);
            }
        }
        return share;
    }

    private double at(double x, double y) {
        int i = (int) y * across + (int) x;
        double partX = x - (int) x;
        double above = steps[i] + partX * (steps[i + 1] - steps[i]);
        double below = steps[i + across] + partX * (steps[i + across + 1] - steps[i + across]);
        return above + (y - (int) y) * (below - above);
    }
}
