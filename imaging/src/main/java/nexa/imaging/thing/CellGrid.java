package nexa.imaging.thing;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * What the network says of one grid of cells.
 *
 * @param values channel by channel: of each class how sure, then for each side of the box how likely it is 0, 1, … cells away
 * @param cell pixels of a cell's side
 * @param across cells in a row
 */
record CellGrid(float[] values, int cell, int across) {
    private static final int CLASSES = 80;

    /** Distances that a side can have from its cell's middle, in cells, from 0. */
    private static final int DISTANCES = 11;

    private static final int SIDES = 4;

    /** In pixels: a box has an area. */
    private static final double THINNEST = 0.1;

    /** Of one cell, in the pixels of the picture that was looked at. */
    record Found(int kind, double confidence, Frame box) {}

    static CellGrid of(Mat result, int cell, int across) {
        float[] values = new float[(int) result.total()];
        try (FloatPointer numbers = new FloatPointer(result.data())) {
            numbers.get(values);
        }
        return new CellGrid(values, cell, across);
    }

    private int cells() {
        return values.length / (CLASSES + SIDES * DISTANCES);
    }

    List<Found> found(double leastConfidence) {
        double least = Math.log(leastConfidence / (1 - leastConfidence));
        List<Found> found = new ArrayList<>();
        for (int at = 0; at < cells(); at++) {
            int kind = likeliest(at);
            float sure = value(kind, at);
            if (sure >= least) {
                found.add(new Found(kind, 1 / (1 + Math.exp(-sure)), box(at)));
            }
        }
        return found;
    }

    private float value(int channel, int at) {
        return values[channel * cells() + at];
    }

    private int likeliest(int at) {
        int likeliest = 0;
        for (int kind = 1; kind < CLASSES; kind++) {
            if (value(kind, at) > value(likeliest, at)) {
                likeliest = kind;
            }
        }
        return likeliest;
    }

    private Frame box(int at) {
        double x = (at % across + 0.5) * cell;
        double y = (at / across + 0.5) * cell;
        double left = x - distance(0, at);
        double top = y - distance(1, at);
        double width = Math.max(THINNEST, x + distance(2, at) - left);
        double height = Math.max(THINNEST, y + distance(3, at) - top);
        return Frame.around(new Point(left + width / 2, top + height / 2), width, height);
    }

    /** The mean of what is likely, in pixels. */
    private double distance(int side, int at) {
        double sum = 0;
        double weighted = 0;
        for (int d = 0; d < DISTANCES; d++) {
            double weight = Math.exp(value(CLASSES + side * DISTANCES + d, at));
            sum += weight;
            weighted += d * weight;
        }
        return weighted / sum * cell;
    }
}
