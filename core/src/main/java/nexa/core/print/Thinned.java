package nexa.core.print;

import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;

/**
 * Where a corrected photo is pulled apart most in a frame, so that fewer of its pixels make a delivered one.
 *
 * @param share of the pixels that are left there, less than 1
 */
public record Thinned(Where where, double share) {
    /** Corners of a frame. */
    public enum Where {
        UPPER,
        LOWER,
        LEFT,
        RIGHT,
        UPPER_LEFT,
        UPPER_RIGHT,
        LOWER_LEFT,
        LOWER_RIGHT
    }

    /** Nobody sees a smaller loss. */
    private static final double TOLD = 0.9;

    /** Corners that differ by less are told of together. */
    private static final double ALIKE = 0.1;

    /** Empty where hardly anything is lost. */
    public static Optional<Thinned> of(PhotoSpace space, Frame frame) {
        if (space.pose().correction().keepsPlaces()) {
            return Optional.empty();
        }
        double[] left = {space.density(frame.at(0, 0)), space.density(frame.at(0, 1))};
        double[] right = {space.density(frame.at(1, 0)), space.density(frame.at(1, 1))};
        double least = Math.min(Math.min(left[0], left[1]), Math.min(right[0], right[1]));
        boolean upper = least == left[0] || least == right[0];
        boolean leftward = least == left[0] || least == left[1];
        double across = upper ? (leftward ? right[0] : left[0]) : leftward ? right[1] : left[1];
        double along = leftward ? (upper ? left[1] : left[0]) : upper ? right[1] : right[0];
        return least >= TOLD
                ? Optional.empty()
                : Optional.of(new Thinned(where(least, across, along, upper, leftward), least));
    }

    private static Where where(double least, double across, double along, boolean upper, boolean left) {
        if (across - least < ALIKE) {
            return upper ? Where.UPPER : Where.LOWER;
        }
        if (along - least < ALIKE) {
            return left ? Where.LEFT : Where.RIGHT;
        }
        if (upper) {
            return left ? Where.UPPER_LEFT : Where.UPPER_RIGHT;
        }
        return left ? Where.LOWER_LEFT : Where.LOWER_RIGHT;
    }
}
