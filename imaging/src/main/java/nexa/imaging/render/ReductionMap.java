package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;

import java.util.Arrays;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * By how much each pixel of a tile is reduced, as a level: the logarithm of the reduction in steps of {@link #STEP}, 0
 * where nothing is. Known at the corners of cells, straight in between.
 *
 * @param levels row by row
 * @param across how many in a row
 */
record ReductionMap(double[] levels, int across) {
    /** Output pixels along a cell's side. */
    static final int CELL = 32;

    /** From one level's reduction to the next one's. */
    static final double STEP = 1.1;

    static ReductionMap of(Mapping tileToSource, int width, int height) {
        int across = Math.ceilDiv(width, CELL) + 1;
        int down = Math.ceilDiv(height, CELL) + 1;
        double[] levels = new double[across * down];
        for (int i = 0; i < levels.length; i++) {
            Point corner = new Point((double) i % across * CELL, (double) (i / across) * CELL);
            double reduction = LowPass.reduction(tileToSource.tangent(corner));
            levels[i] = Math.max(0, Math.log(reduction) / Math.log(STEP));
        }
        return new ReductionMap(levels, across);
    }

    static double ofLevel(double level) {
        return Math.pow(STEP, level);
    }

    double least() {
        return ofLevel(Arrays.stream(levels).min().orElseThrow());
    }

    double most() {
        return ofLevel(Arrays.stream(levels).max().orElseThrow());
    }

    int firstLevel() {
        return (int) Math.floor(Arrays.stream(levels).min().orElseThrow());
    }

    int lastLevel() {
        return (int) Math.ceil(Arrays.stream(levels).max().orElseThrow());
    }

    /** The share, 0 to 1, that a level has in each pixel; over all levels they add up to 1. */
    Mat share(int level, int width, int height) {
        Mat share = new Mat(height, width, CV_32F);
        float[] row = new float[width];
        try (FloatIndexer cells = share.createIndexer()) {
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    row[x] = (float) Math.max(0, 1 - Math.abs(at((x + 0.5) / CELL, (y + 0.5) / CELL) - level));
                }
                cells.put(y, 0, row);
            }
        }
        return share;
    }

    private double at(double x, double y) {
        int i = (int) y * across + (int) x;
        double partX = x - (int) x;
        double above = levels[i] + partX * (levels[i + 1] - levels[i]);
        double below = levels[i + across] + partX * (levels[i + across + 1] - levels[i + across]);
        return above + (y - (int) y) * (below - above);
    }
}
