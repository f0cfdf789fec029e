package nexa.core.plumb;

import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;

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

    /** By how much it leans, through a mapping, from where it ought to be, in radians; positive = clockwise. */
    double lean(Mapping through) {
        Point along = along(through);
        double lean = upright ? Math.atan2(-along.x(), along.y()) : Math.atan2(along.y(), along.x());
        return lean > Math.PI / 2 ? lean - Math.PI : lean <= -Math.PI / 2 ? lean + Math.PI : lean;
    }

    /** The same as a slope, the tangent of the lean. */
    double slope(Mapping through) {
        Point along = along(through);
        return upright ? -along.x() / along.y() : along.y() / along.x();
    }

    private Point along(Mapping through) {
        return through.apply(to).minus(through.apply(from));
    }

    /** A line in pixels of a photo of a size; upright if it is nearer to that. */
    public static PlumbLine of(LevelLine line, PixelSize photo) {
        Point middle = new Point(photo.width() / 2.0, photo.height() / 2.0);
        double unit = 1.0 / photo.longEdge();
        return new PlumbLine(
                line.from().minus(middle).times(unit), line.to().minus(middle).times(unit), line.isPlumb());
    }

    /** In long edges. */
    public double length() {
        return from.distance(to);
    }
}
