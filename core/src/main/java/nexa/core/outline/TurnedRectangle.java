package nexa.core.outline;

import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Tolerance;

/**
 * The outline of a photo that nothing bends: a rectangle of the given half sides about the origin, turned by the tilt.
 *
 * @param halfWidth half the upright photo's width, in long edges
 * @param halfHeight half the upright photo's height, in long edges
 */
public record TurnedRectangle(double halfWidth, double halfHeight, Tilt tilt) implements Outline {

    public static TurnedRectangle of(PixelSize upright, Tilt tilt) {
        double longEdge = upright.longEdge();
        return new TurnedRectangle(upright.width() / longEdge / 2, upright.height() / longEdge / 2, tilt);
    }

    /** Where a frame may lie that may leave the photo: twice as wide and high, about the same centre. */
    public TurnedRectangle beyond() {
        return new TurnedRectangle(2 * halfWidth, 2 * halfHeight, tilt);
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
    public double halfRoomAcross(double frameWidth, double frameHeight) {
        return (frameWidth * tilt.cos() + frameHeight * Math.abs(tilt.sin())) / 2;
    }

    /** Half the room, along the photo's own height, that a frame of this size takes when the photo is tilted. */
    public double halfRoomDown(double frameWidth, double frameHeight) {
        return (frameWidth * Math.abs(tilt.sin()) + frameHeight * tilt.cos()) / 2;
    }

    @Override
    public Point middle() {
        return Point.ORIGIN;
    }

    @Override
    public List<Point> hull() {
        return corners();
    }

    /** Top left, top right, bottom right, bottom left corner of the photo. */
    @Override
    public List<Point> corners() {
        return List.of(
                toLevel(new Point(-halfWidth, -halfHeight)),
                toLevel(new Point(halfWidth, -halfHeight)),
                toLevel(new Point(halfWidth, halfHeight)),
                toLevel(new Point(-halfWidth, halfHeight)));
    }

    @Override
    public boolean contains(Point level, double slack) {
        Point p = toPhoto(level);
        return Math.abs(p.x()) <= halfWidth + slack && Math.abs(p.y()) <= halfHeight + slack;
    }

    /** A rectangle has no inward bends: the corners say it all. */
    @Override
    public boolean contains(Frame frame, double slack) {
        return frame.corners().stream().allMatch(corner -> contains(corner, slack));
    }

    @Override
    public double growth(Frame frame, Point anchor) {
        return frame.corners().stream()
                .mapToDouble(corner -> reach(anchor, corner.minus(anchor)))
                .min()
                .orElseThrow();
    }

    @Override
    public double reach(Point oneEnd, Point otherEnd, Point step) {
        return Math.min(reach(oneEnd, step), reach(otherEnd, step));
    }

    /** How far a point can go, in multiples of the step; one along an edge, but for rounding, never leads out. */
    private double reach(Point from, Point along) {
        Point start = toPhoto(from);
        Point step = toPhoto(along);
        return Math.min(reach(start.x(), step.x(), halfWidth), reach(start.y(), step.y(), halfHeight));
    }

    private static double reach(double start, double step, double limit) {
        return Math.abs(step) < Tolerance.LENGTH
                ? Double.POSITIVE_INFINITY
                : Math.max(0, step > 0 ? limit - start : limit + start) / Math.abs(step);
    }

    @Override
    public TurnedRectangle grownBy(double distance) {
        return new TurnedRectangle(halfWidth + distance, halfHeight + distance, tilt);
    }

    @Override
    public List<Double> levelSides() {
        return tilt.isNone() ? List.of(-halfHeight, halfHeight) : List.of();
    }

    @Override
    public List<Double> uprightSides() {
        return tilt.isNone() ? List.of(-halfWidth, halfWidth) : List.of();
    }
}
