package nexa.core.plumb;

import nexa.core.geometry.Point;

/**
 * A line along something that is upright or level in the world, on the photo as its lens saw it: corrected for the lens, not
 * turned; isotropic unit.
 *
 * @param upright else level
 */
public record PlumbLine(Point from, Point to, boolean upright) {
    /** @throws IllegalArgumentException if the ends are the same point, which has no direction */
    public PlumbLine {
        if (!(from.distance(to) > 0)) {
            throw new IllegalArgumentException("A line needs two different points");
        }
    }

    /** In long edges. */
    public double length() {
        return from.distance(to);
    }
}
