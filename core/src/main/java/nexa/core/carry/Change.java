package nexa.core.carry;

import nexa.core.geometry.Frame;
import nexa.core.geometry.Tolerance;

/**
 * A relative change of a frame, the same for several photos.
 *
 * @param right of the frame, in widths of the frame
 * @param down of the frame, in heights of the frame
 * @param size factor
 * @param tilt degrees added to the photo's
 * @param swapped whether the frame is laid the other way
 */
public record Change(double right, double down, double size, double tilt, boolean swapped) {
    public static final Change NONE = new Change(0, 0, 1, 0, false);

    /** @throws IllegalArgumentException if the size is no factor or a value is not finite */
    public Change {
        if (!Double.isFinite(right + down + size + tilt) || size <= 0) {
            throw new IllegalArgumentException("Not a change: " + right + ", " + down + ", " + size + ", " + tilt);
        }
    }

    public static Change moved(double right, double down) {
        return new Change(right, down, 1, 0, false);
    }

    public static Change sized(double factor) {
        return new Change(0, 0, factor, 0, false);
    }

    public static Change tilted(double degrees) {
        return new Change(0, 0, 1, degrees, false);
    }

    public static Change laidTheOtherWay() {
        return new Change(0, 0, 1, 0, true);
    }

    /** From one frame to another of the same shape. */
    public static Change between(Frame from, Frame to) {
        return new Change(
                (to.centreX() - from.centreX()) / from.width(),
                (to.centreY() - from.centreY()) / from.height(),
                to.width() / from.width(),
                0,
                false);
    }

    /** This and one more; moves add up in the sizes that frames had at first, so that going back is exact. */
    public Change and(Change more) {
        return new Change(
                right + more.right, down + more.down, size * more.size, tilt + more.tilt, swapped != more.swapped);
    }

    /** Whether nothing is left of it but rounding. */
    public boolean isNone() {
        return leavesFrame() && near(tilt, 0);
    }

    /** Whether it changes at most the tilt. */
    public boolean leavesFrame() {
        return near(right, 0) && near(down, 0) && near(size, 1) && !swapped;
    }

    private static boolean near(double value, double other) {
        return Tolerance.sameLength(value, other);
    }
}
