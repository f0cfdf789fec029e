package nexa.core.overlay;

import java.util.function.UnaryOperator;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;

/** One piece of an overlay, in the unit square of a frame. */
public sealed interface Stroke {
    record Segment(Point from, Point to) implements Stroke {}

    /**
     * Part of an ellipse with axes along the frame; a circle in the picture is an ellipse here.
     *
     * @param start degrees from the right, clockwise, on the ellipse's parameter
     * @param sweep degrees, positive = clockwise
     */
    record Arc(Point centre, double radiusX, double radiusY, double start, double sweep) implements Stroke {
        /** The point at a fraction of the sweep: 0 = first, 1 = last. */
        public Point at(double fraction) {
            double angle = Math.toRadians(start + sweep * fraction);
            return new Point(centre.x() + radiusX * Math.cos(angle), centre.y() + radiusY * Math.sin(angle));
        }
    }

    /** Turned about the middle of the square. */
    default Stroke turned(Turn turn) {
        UnaryOperator<Point> about = p -> turn.apply(p.minus(MIDDLE)).plus(MIDDLE);
        return switch (this) {
            case Segment(Point from, Point to) -> new Segment(about.apply(from), about.apply(to));
            case Arc arc -> turned(arc, turn, about.apply(arc.centre));
        };
    }

    private static Arc turned(Arc arc, Turn turn, Point centre) {
        double start = arc.start + 90 * turn.quarterTurns();
        boolean swap = turn.swapsSides();
        return new Arc(
                centre,
                swap ? arc.radiusY : arc.radiusX,
                swap ? arc.radiusX : arc.radiusY,
                turn.mirrored() ? 180 - start : start,
                turn.mirrored() ? -arc.sweep : arc.sweep);
    }

    Point MIDDLE = new Point(0.5, 0.5);
}
