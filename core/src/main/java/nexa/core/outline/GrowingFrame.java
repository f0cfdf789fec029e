package nexa.core.outline;

import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;

/**
 * A frame that grows from an anchor. A point is met at the factor max(x / right, x / left, y / bottom, y / top), all
 * counted from the anchor, with left and top negative: the frame-shaped distance from the anchor. Along a piece of an
 * outline it is the largest of four linear functions, least where two of them meet or at an end.
 *
 * <p>A side that the anchor lies on stays put, and what lies along it or behind it is never met.
 */
final class GrowingFrame {
    /** More than rounding of a few products does, relatively. */
    private static final double ROUNDING = 1e-12;

    private final Point anchor;
    private final double left;
    private final double right;
    private final double top;
    private final double bottom;

    /** The four functions at the two ends of the piece at hand. */
    private final double[] starts = new double[4];

    private final double[] ends = new double[4];

    GrowingFrame(Frame frame, Point anchor) {
        this.anchor = anchor;
        left = resting(frame.left() - anchor.x());
        right = resting(frame.right() - anchor.x());
        top = resting(frame.top() - anchor.y());
        bottom = resting(frame.bottom() - anchor.y());
    }

    private static double resting(double side) {
        return Math.abs(side) <= Tolerance.LENGTH ? 0 : side;
    }

    /**
     * The factor at which the first corner of an outline is met, hardly more; infinite where sides stay put, as then corners may
     * never be met.
     */
    double meetsCorners(Sides sides) {
        if (left >= 0 || right <= 0 || top >= 0 || bottom <= 0) {
            return Double.POSITIVE_INFINITY;
        }
        double toLeft = 1 / left;
        double toRight = 1 / right;
        double toTop = 1 / top;
        double toBottom = 1 / bottom;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < sides.count(); i++) {
            double x = sides.x(i) - anchor.x();
            double y = sides.y(i) - anchor.y();
            double factor = Math.max(x * (x < 0 ? toLeft : toRight), y * (y < 0 ? toTop : toBottom));
            least = Math.min(least, factor);
        }
        return least * (1 + ROUNDING);
    }

    /** The factor at which a piece of an outline is met, or {@code least} if that is smaller. */
    double meets(double fromX, double fromY, double toX, double toY, double least) {
        double ax = fromX - anchor.x();
        double ay = fromY - anchor.y();
        double bx = toX - anchor.x();
        double by = toY - anchor.y();
        if (liesBeyond(ax, bx, right, left, least) || liesBeyond(ay, by, bottom, top, least)) {
            return least;
        }
        double from = 0;
        double to = 1;
        if (left == 0 || right == 0 || top == 0 || bottom == 0) {
            double[] part = {0, 1};
            if (left == 0) {
                cut(part, ax - Tolerance.LENGTH, bx - Tolerance.LENGTH);
            }
            if (right == 0) {
                cut(part, -ax - Tolerance.LENGTH, -bx - Tolerance.LENGTH);
            }
            if (top == 0) {
                cut(part, ay - Tolerance.LENGTH, by - Tolerance.LENGTH);
            }
            if (bottom == 0) {
                cut(part, -ay - Tolerance.LENGTH, -by - Tolerance.LENGTH);
            }
            from = part[0];
            to = part[1];
            if (from > to) {
                return least;
            }
        }
        fill(starts, ax, ay);
        fill(ends, bx, by);
        double best = Math.min(largest(from), largest(to));
        for (int i = 0; i < 4; i++) {
            for (int j = 0; j < i; j++) {
                double part = crossing(starts[i] - starts[j], ends[i] - ends[j]);
                if (part > from && part < to) {
                    best = Math.min(best, largest(part));
                }
            }
        }
        return Math.min(best, least);
    }

    private void fill(double[] factors, double x, double y) {
        factors[0] = factor(x, left);
        factors[1] = factor(x, right);
        factors[2] = factor(y, top);
        factors[3] = factor(y, bottom);
    }

    /** Whether a whole piece is met later than at a factor, told by one of two opposite sides of the frame alone. */
    private static boolean liesBeyond(double a, double b, double high, double low, double factor) {
        double highest = high * factor;
        double lowest = low * factor;
        return high > 0 && a >= highest && b >= highest || low < 0 && a <= lowest && b <= lowest;
    }

    /** Leaves of a part of the way what is not negative. */
    private static void cut(double[] part, double start, double end) {
        if (start < 0 && end < 0) {
            part[1] = -1;
        } else if (start < 0) {
            part[0] = Math.max(part[0], crossing(start, end));
        } else if (end < 0) {
            part[1] = Math.min(part[1], crossing(start, end));
        }
    }

    private static double factor(double place, double side) {
        return side == 0 ? Double.NEGATIVE_INFINITY : place / side;
    }

    /** Where on the way from 0 to 1 a value that goes straight from start to end is nought; not a number if nowhere. */
    private static double crossing(double start, double end) {
        return start / (start - end);
    }

    private double largest(double part) {
        double largest = 0;
        for (int i = 0; i < 4; i++) {
            if (starts[i] != Double.NEGATIVE_INFINITY) {
                largest = Math.max(largest, starts[i] + part * (ends[i] - starts[i]));
            }
        }
        return largest;
    }
}
