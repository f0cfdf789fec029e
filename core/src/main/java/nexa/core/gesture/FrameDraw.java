package nexa.core.gesture;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.outline.Outline;

/**
 * Drawing a new frame from one corner to the opposite one. With a shape, the drag's direction chooses how it lies: more
 * across than down is horizontal.
 *
 * @param room where the frame may lie
 * @param from the first corner, inside the room
 * @param aspect the shape's width over height, either way up; empty = any shape
 */
public record FrameDraw(Outline room, Point from, OptionalDouble aspect) {

    /** The frame for a pointer position; empty while the pointer is nearer than the smallest frame side. */
    public Optional<Frame> to(Point pointer) {
        Point offset = pointer.minus(from);
        if (offset.length() < FrameDrag.SMALLEST || !room.contains(from, 0)) {
            return Optional.empty();
        }
        Grip corner = corner(offset);
        Hold hold = aspect.isPresent() ? Hold.SHAPE : Hold.NOTHING;
        Frame seed = seed(corner, offset);
        return Optional.of(new FrameDrag(room, seed, corner, corner.on(seed), hold).to(pointer));
    }

    private static Grip corner(Point offset) {
        if (offset.x() >= 0) {
            return offset.y() >= 0 ? Grip.BOTTOM_RIGHT : Grip.TOP_RIGHT;
        }
        return offset.y() >= 0 ? Grip.BOTTOM_LEFT : Grip.TOP_LEFT;
    }

    /** A frame too small to see at the first corner, of the right shape. */
    private Frame seed(Grip corner, Point offset) {
        double along = aspect.orElse(1);
        boolean turn = Math.abs(offset.x()) >= Math.abs(offset.y()) != along >= 1;
        double laid = turn ? 1 / along : along;
        double height = FrameDrag.SMALLEST / Math.max(laid, 1) / 10;
        double width = height * laid;
        return new Frame(from.x() + corner.sideX * width / 2, from.y() + corner.sideY * height / 2, width, height);
    }
}
