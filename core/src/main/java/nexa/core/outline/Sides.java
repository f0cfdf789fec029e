package nexa.core.outline;

import java.util.Arrays;
import java.util.List;
import nexa.core.geometry.Point;

/**
 * The sides of a closed polygon with their unit normals, in arrays for what looks at all of them again and again. A side
 * goes from one corner to the next; its normal points to its right, as seen along it with y down.
 */
public final class Sides {
    /** The first again at the end. */
    private final double[] xs;

    private final double[] ys;
    private final double[] nx;
    private final double[] ny;
    private final double[] offset;

    Sides(List<Point> corners) {
        int size = corners.size();
        xs = new double[size + 1];
        ys = new double[size + 1];
        for (int i = 0; i <= size; i++) {
            xs[i] = corners.get(i % size).x();
            ys[i] = corners.get(i % size).y();
        }
        nx = new double[size];
        ny = new double[size];
        offset = new double[size];
        for (int i = 0; i < size; i++) {
            double right = xs[i + 1] - xs[i];
            double down = ys[i + 1] - ys[i];
            double length = Math.sqrt(right * right + down * down);
            nx[i] = length == 0 ? 0 : -down / length;
            ny[i] = length == 0 ? 0 : right / length;
            offset[i] = nx[i] * xs[i] + ny[i] * ys[i];
        }
    }

    /** How many. */
    public int count() {
        return nx.length;
    }

    /** @param corner 0 to {@link #count}, which is the first corner again */
    public double x(int corner) {
        return xs[corner];
    }

    public double y(int corner) {
        return ys[corner];
    }

    /** Of the unit normal; both are 0 of a side without length. */
    public double nx(int side) {
        return nx[side];
    }

    public double ny(int side) {
        return ny[side];
    }

    /** Whether the side goes nowhere. */
    public boolean isPoint(int side) {
        return nx[side] == 0 && ny[side] == 0;
    }

    /** How far the side's line is from the origin along its normal. */
    public double offset(int side) {
        return offset[side];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Sides sides && Arrays.equals(xs, sides.xs) && Arrays.equals(ys, sides.ys);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(xs) + Arrays.hashCode(ys);
    }
}
