package nexa.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Stretches of a line that are left out, so that what lies on both sides of each meets. What is left stays about the line's
 * origin: half of what is left out comes in from each side. Immutable.
 *
 * @param all in order, none touching another
 */
public record Gaps(List<Gap> all) {
    public static final Gaps NONE = new Gaps(List.of());

    /**
     * One stretch.
     *
     * @throws IllegalArgumentException if it has no length
     */
    public record Gap(double from, double to) {
        public Gap {
            if (!(to > from) || !Double.isFinite(to - from)) {
                throw new IllegalArgumentException("No gap: " + from + " to " + to);
            }
        }

        double width() {
            return to - from;
        }
    }

    /** In any order; those that touch become one. */
    public Gaps {
        List<Gap> merged = new ArrayList<>();
        for (Gap gap : all.stream().sorted(Comparator.comparing(Gap::from)).toList()) {
            boolean touches = !merged.isEmpty() && merged.getLast().to() >= gap.from();
            Gap last = touches ? merged.removeLast() : gap;
            merged.add(new Gap(last.from(), Math.max(last.to(), gap.to())));
        }
        all = List.copyOf(merged);
    }

    public boolean isNone() {
        return all.isEmpty();
    }

    /** How much is left out. */
    public double width() {
        double sum = 0;
        for (Gap gap : all) {
            sum += gap.width();
        }
        return sum;
    }

    /** How far a place moves when the gaps are left out; all of a gap comes to lie where its sides meet. */
    public double shift(double place) {
        double shift = width() / 2;
        for (Gap gap : all) {
            shift -= Math.clamp(place - gap.from(), 0, gap.width());
        }
        return shift;
    }

    /** How far a place moves back; where two sides meet, to the farther one. */
    double back(double closed) {
        double opened = closed - width() / 2;
        for (Gap gap : all) {
            if (opened >= gap.from()) {
                opened += gap.width();
            }
        }
        return opened - closed;
    }
}
