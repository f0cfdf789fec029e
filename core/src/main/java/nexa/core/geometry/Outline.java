package nexa.core.geometry;

import java.util.List;

/**
 * The photo's own edge in level space: a rectangle of the given half sides about the origin, turned by the tilt.
 *
 * @param halfWidth half the upright photo's width, in long edges
 * @param halfHeight half the upright photo's height, in long edges
 */
public record Outline(double halfWidth, double halfHeight, Tilt tilt) {
    /** Steps across an edge below this many long edges (a hundred-thousandth of a pixel) count as along it. */
    public static final double PARALLEL = 1e-9;

    public static Outline of(PixelSize upright, Tilt tilt) {
        double longEdge = upright.longEdge();
        return new Outline(upright.width() / longEdge / 2, upright.height() / longEdge / 2, tilt);
    }

    /** Where a frame may lie that may leave the photo: twice as wide and high, about the same centre. */
    public Outline beyond() {
        return new Outline(2 * halfWidth, 2 * halfHeight, tilt);
    }

    /** Level space to the photo's own axes: the tilt undone. */
    public Point toPhoto(Point level) {
        return tilt.negated().rotate(level);
    }

    /** The photo's own axes to level space. */
    public Point toLevel(Point photo) {
        return tilt.rotate(photo);
    }

    /** Half the room, along the photo's own width, that a frame of this size takes when the photo is tilted. */
    public double reachX(double frameWidth, double frameHeight) {
        return (frameWidth * tilt.cos() + frameHeight * Math.abs(tilt.sin())) / 2;
    }

    /** Half the room, along the photo's own height, that a frame of this size takes when the photo is tilted. */
    public double reachY(double frameWidth, double frameHeight) {
        return (frameWidth * Math.abs(tilt.sin()) + frameHeight * tilt.cos()) / 2;
    }

    /** Top left, top right, bottom right, bottom left corner of the photo, in level space. */
    public List<Point> corners() {
        return List.of(
                toLevel(new Point(-halfWidth, -halfHeight)),
                toLevel(new Point(halfWidth, -halfHeight)),
                toLevel(new Point(halfWidth, halfHeight)),
                toLevel(new Point(-halfWidth, halfHeight)));
    }

    /**
     * How far one can go from a point inside along an offset before leaving the photo, in multiples of the offset.
     * Infinite if the offset never leads out: also when it is parallel to an edge within {@link #PARALLEL}.
     */
    public double reach(Point from, Point along) {
        Point start = toPhoto(from);
        Point step = toPhoto(along);
        return Math.min(reach(start.x(), step.x(), halfWidth), reach(start.y(), step.y(), halfHeight));
    }

    private static double reach(double start, double step, double limit) {
        return Math.abs(step) < PARALLEL
                ? Double.POSITIVE_INFINITY
                : Math.max(0, step > 0 ? limit - start : limit + start) / Math.abs(step);
    }

    /** Whether the point is inside or at most {@code slack} (in long edges) outside; the edge is inside. */
    public boolean contains(Point level, double slack) {
        Point p = toPhoto(level);
        return Math.abs(p.x()) <= halfWidth + slack && Math.abs(p.y()) <= halfHeight + slack;
    }

    /** Whether all four corners are inside or at most {@code slack} outside. */
    public boolean contains(Frame frame, double slack) {
        return frame.corners().stream().allMatch(corner -> contains(corner, slack));
    }
}
