package nexa.core.gesture;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;

/** What of a frame is held. Sides are -1 = left or top edge, +1 = right or bottom edge, 0 = neither. */
public enum Grip {
    TOP_LEFT(-1, -1),
    TOP_RIGHT(1, -1),
    BOTTOM_RIGHT(1, 1),
    BOTTOM_LEFT(-1, 1),
    TOP(0, -1),
    RIGHT(1, 0),
    BOTTOM(0, 1),
    LEFT(-1, 0),
    INSIDE(0, 0);

    final int sideX;
    final int sideY;

    Grip(int sideX, int sideY) {
        this.sideX = sideX;
        this.sideY = sideY;
    }

    public boolean isCorner() {
        return sideX != 0 && sideY != 0;
    }

    /** The middle of what is held, on the frame. */
    Point on(Frame frame) {
        return frame.at((1 + sideX) / 2.0, (1 + sideY) / 2.0);
    }

    /** The place opposite, which stays put. */
    Point opposite(Frame frame) {
        return frame.at((1 - sideX) / 2.0, (1 - sideY) / 2.0);
    }

    /**
     * What a pointer takes hold of: the nearest corner within the tolerance, else an edge anywhere along its length,
     * else the inside; nothing outside.
     *
     * @param tolerance in long edges
     */
    public static Optional<Grip> at(Frame frame, Point pointer, double tolerance) {
        Optional<Grip> held = Arrays.stream(values())
                .filter(grip -> grip != INSIDE && grip.distance(frame, pointer) <= tolerance)
                .min(Comparator.comparing((Grip grip) -> !grip.isCorner())
                        .thenComparing(g -> g.distance(frame, pointer)));
        return held.isPresent() || !frame.contains(pointer) ? held : Optional.of(INSIDE);
    }

    /** From the pointer to this corner, or to the nearest point of this edge. */
    private double distance(Frame frame, Point pointer) {
        Point on = on(frame);
        double x = sideX == 0 ? Math.clamp(pointer.x(), frame.left(), frame.right()) : on.x();
        double y = sideY == 0 ? Math.clamp(pointer.y(), frame.top(), frame.bottom()) : on.y();
        return pointer.distance(new Point(x, y));
    }
}
