package nexa.core.gesture;

import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.outline.Outline;

/**
 * Moving a frame or one of its sides. The frame never leaves its room; the side or corner opposite to the held one stays
 * put, or the centre does.
 *
 * @param room where the frame may lie: the photo's outline, or more where a frame may leave the photo
 * @param start the frame when the drag began, inside the room
 * @param from where the pointer took hold
 */
public record FrameDrag(Outline room, Frame start, Grip grip, Point from, Hold hold, Pivot pivot) {
    /** No frame side gets shorter than this many long edges. */
    public static final double SMALLEST = 0.01;

    /** What is kept while a side or corner is dragged. */
    public enum Hold {
        SHAPE,
        NOTHING
    }

    /** What stays put while a side or corner is dragged. */
    public enum Pivot {
        OPPOSITE,
        CENTRE
    }

    public FrameDrag(Outline room, Frame start, Grip grip, Point from, Hold hold) {
        this(room, start, grip, from, hold, Pivot.OPPOSITE);
    }

    /** The frame for a pointer position. */
    public Frame to(Point pointer) {
        Point offset = pointer.minus(from);
        if (grip == Grip.INSIDE) {
            return Fit.within(room, start.movedBy(offset));
        }
        return switch (hold) {
            case SHAPE -> scaled(offset);
            case NOTHING -> stretched(offset);
        };
    }

    /** The place that stays put. */
    Point anchor() {
        return pivot == Pivot.CENTRE ? start.centre() : grip.opposite(start);
    }

    /** From the anchor to what is held. */
    Point arm() {
        return grip.on(start).minus(anchor());
    }

    /** The shape kept: the frame grows or shrinks from its anchor. */
    private Frame scaled(Point offset) {
        Point anchor = anchor();
        Point arm = arm();
        Point pulled = arm.plus(offset);
        double wanted = (pulled.x() * arm.x() + pulled.y() * arm.y()) / (arm.x() * arm.x() + arm.y() * arm.y());
        double smallest = Math.min(1, SMALLEST / Math.min(start.width(), start.height()));
        double scale = Math.max(smallest, Math.min(wanted, room.growth(start, anchor)));
        Point centre = anchor.plus(start.centre().minus(anchor).times(scale));
        return Frame.around(centre, start.width() * scale, start.height() * scale);
    }

    /** No shape kept: each held edge goes as far towards the pointer as the room allows, first sideways. */
    private Frame stretched(Point offset) {
        Frame wide = grip.sideX == 0 ? start : stretchedAcross(start, offset.x());
        return grip.sideY == 0 ? wide : stretchedDown(wide, offset.y());
    }

    private Frame stretchedAcross(Frame frame, double dx) {
        double held = grip.sideX > 0 ? frame.right() : frame.left();
        double other = grip.sideX > 0 ? frame.left() : frame.right();
        double free = freeAcross(frame, held, dx);
        if (pivot == Pivot.CENTRE) {
            free = Math.min(free, freeAcross(frame, other, -dx));
        }
        double grown = frame.width() + grip.sideX * dx * free * shares();
        double width = Math.max(Math.min(SMALLEST, frame.width()), grown);
        double centre = pivot == Pivot.CENTRE ? frame.centreX() : other + grip.sideX * width / 2;
        return new Frame(centre, frame.centreY(), width, frame.height());
    }

    private Frame stretchedDown(Frame frame, double dy) {
        double held = grip.sideY > 0 ? frame.bottom() : frame.top();
        double other = grip.sideY > 0 ? frame.top() : frame.bottom();
        double free = freeDown(frame, held, dy);
        if (pivot == Pivot.CENTRE) {
            free = Math.min(free, freeDown(frame, other, -dy));
        }
        double grown = frame.height() + grip.sideY * dy * free * shares();
        double height = Math.max(Math.min(SMALLEST, frame.height()), grown);
        double centre = pivot == Pivot.CENTRE ? frame.centreY() : other + grip.sideY * height / 2;
        return new Frame(frame.centreX(), centre, frame.width(), height);
    }

    /** About the centre the opposite edge moves as well. */
    private int shares() {
        return pivot == Pivot.CENTRE ? 2 : 1;
    }

    private double freeAcross(Frame frame, double edge, double dx) {
        return free(new Point(edge, frame.top()), new Point(edge, frame.bottom()), new Point(dx, 0));
    }

    private double freeDown(Frame frame, double edge, double dy) {
        return free(new Point(frame.left(), edge), new Point(frame.right(), edge), new Point(0, dy));
    }

    /** The part of the step, 0 to 1, that an edge can go. */
    private double free(Point oneEnd, Point otherEnd, Point step) {
        return Math.min(1, room.reach(oneEnd, otherEnd, step));
    }
}
