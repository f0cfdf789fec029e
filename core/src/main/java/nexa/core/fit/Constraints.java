package nexa.core.fit;

import java.util.Arrays;
import java.util.Optional;
import nexa.core.geometry.Point;
import org.jspecify.annotations.Nullable;

/** Half-planes that a centre has to lie in all at once. */
final class Constraints {
    /** Half-planes that miss each other by less, in long edges, meet. */
    private static final double MEETING = 1e-12;

    static final Constraints NONE = new Constraints(new HalfPlane[0]);

    private final HalfPlane[] planes;

    private Constraints(HalfPlane[] planes) {
        this.planes = planes;
    }

    /** These and one more, which takes the place of those that say less. */
    Constraints and(HalfPlane plane) {
        HalfPlane[] more = new HalfPlane[planes.length + 1];
        int count = 0;
        for (HalfPlane known : planes) {
            if (known.isWithin(plane)) {
                return this;
            }
            if (!plane.isWithin(known)) {
                more[count++] = known;
            }
        }
        more[count++] = plane;
        return new Constraints(count == more.length ? more : Arrays.copyOf(more, count));
    }

    /** What there is at a size. */
    sealed interface Answer {}

    /** The nearest place. */
    record Nearest(Point centre) implements Answer {}

    /** @param size the largest smaller size at which there may be one; 0 if at none */
    record Nowhere(double size) implements Answer {}

    /**
     * The place nearest to a wished centre that lies in all half-planes at a size. Each that the nearest place so far is
     * outside of has the nearest place on its line, where those before leave an interval (R. Seidel, "Small-Dimensional
     * Linear Programming and Convex Hulls Made Easy", 1991).
     */
    Answer nearest(Point wished, double size) {
        return nearest(wished, size, wished, 0);
    }

    /**
     * The same, of which the answer without the last half-plane is known.
     *
     * @param before the nearest place in all the others at this size
     */
    Answer nearest(Point wished, double size, Point before) {
        return nearest(wished, size, before, planes.length - 1);
    }

    private Answer nearest(Point wished, double size, Point before, int first) {
        double x = before.x();
        double y = before.y();
        for (int i = first; i < planes.length; i++) {
            HalfPlane plane = planes[i];
            if (plane.depth(x, y, size) > MEETING) {
                Interval free = new Interval(plane, size);
                for (int j = 0; j < i; j++) {
                    if (!free.cut(planes[j])) {
                        return new Nowhere(free.sizeWhereOpen());
                    }
                }
                double at = free.nearest(wished.y() * plane.nx() - wished.x() * plane.ny());
                x = plane.nx() * free.limit - plane.ny() * at;
                y = plane.ny() * free.limit + plane.nx() * at;
            }
        }
        return new Nearest(new Point(x, y));
    }

    /** What half-planes leave of the line along one; places on it count from the foot of the origin, to the normal's right. */
    private static final class Interval {
        private final HalfPlane line;
        private final double limit;
        private final double size;
        private double low = Double.NEGATIVE_INFINITY;
        private double high = Double.POSITIVE_INFINITY;
        private @Nullable HalfPlane atLow;
        private @Nullable HalfPlane atHigh;
        private @Nullable HalfPlane against;

        Interval(HalfPlane line, double size) {
            this.line = line;
            this.size = size;
            limit = line.limit(size);
        }

        /** False if nothing is left. */
        boolean cut(HalfPlane other) {
            double slope = line.cross(other);
            double alike = line.nx() * other.nx() + line.ny() * other.ny();
            double needed = other.limit(size) - limit * alike;
            if (Math.abs(slope) <= MEETING) {
                against = needed > MEETING && alike < 0 ? other : null;
                return against == null;
            }
            double place = needed / slope;
            if (slope > 0 && place > low) {
                low = place;
                atLow = other;
            } else if (slope < 0 && place < high) {
                high = place;
                atHigh = other;
            }
            return low <= high + MEETING;
        }

        double nearest(double wished) {
            return low >= high ? (low + high) / 2 : Math.clamp(wished, low, high);
        }

        /**
         * The largest size at which the half-planes that leave nothing meet in a point: there is a sum of their
         * normals, with positive weights, that vanishes, and so the same sum of their limits must not be positive
         * (Farkas' lemma).
         */
        double sizeWhereOpen() {
            if (against != null) {
                return ratio(line.offset() + against.offset(), line.reach() + against.reach());
            }
            HalfPlane one = Optional.ofNullable(atLow).orElseThrow();
            HalfPlane other = Optional.ofNullable(atHigh).orElseThrow();
            double a = Math.abs(one.cross(other));
            double b = Math.abs(other.cross(line));
            double c = Math.abs(line.cross(one));
            return ratio(
                    a * line.offset() + b * one.offset() + c * other.offset(),
                    a * line.reach() + b * one.reach() + c * other.reach());
        }

        /** Smaller frames help only where all in all the lines move away from each other with the size. */
        private static double ratio(double offsets, double reaches) {
            return reaches > 0 ? Math.max(0, -offsets / reaches) : 0;
        }
    }
}
