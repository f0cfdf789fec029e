package nexa.core.gesture;

import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;

/**
 * Moving a frame or one of its sides inside a photo. The frame never leaves the photo, the side or corner opposite to
 * the held one stays put.
 *
 * @param start the frame when the drag began, inside the outline
 * @param from where the pointer took hold
 */
public record FrameDrag(Outline outline, Frame start, Grip grip, Point from, Hold hold) {
    /** No frame side gets shorter than this many long edges. */
    public static final double SMALLEST = 0.01;

    /** What is kept while a side or corner is dragged. */
    public enum Hold {
        SHAPE,
        NOTHING
    }

    /** The frame for a pointer position. */
    public Frame to(Point pointer) {
        Point offset = pointer.minus(from);
        if (grip == Grip.INSIDE) {
            return Fit.within(outline, start.movedBy(offset));
        }
        return switch (hold) {
            case SHAPE -> scaledFromOpposite(offset);
            case NOTHING -> stretched(offset);
        };
    }

    /** The shape kept: the frame grows or shrinks from the opposite corner, or from the middle of the opposite edge. */
    private Frame scaledFromOpposite(Point offset) {
        Point anchor = grip.opposite(start);
        Point arm = grip.on(start).minus(anchor);
        Point pulled = arm.plus(offset);
        double wanted = (pulled.x() * arm.x() + pulled.y() * arm.y()) / (arm.x() * arm.x() + arm.y() * arm.y());
        double smallest = Math.min(1, SMALLEST / Math.min(start.width(), start.height()));
        double largest = start.corners().stream()
                .mapToDouble(corner -> outline.reach(anchor, corner.minus(anchor)))
                .min()
                .orElseThrow();
        double scale = Math.max(smallest, Math.min(wanted, largest));
        Point centre = anchor.plus(start.centre().minus(anchor).times(scale));
        return Frame.around(centre, start.width() * scale, start.height() * scale);
    }

    /** No shape kept: each held edge goes as far towards the pointer as the photo allows, first sideways. */
    private Frame stretched(Point offset) {
        Frame wide = grip.sideX == 0 ? start : stretchedAcross(start, offset.x());
        return grip.sideY == 0 ? wide : stretchedDown(wide, offset.y());
    }

    private Frame stretchedAcross(Frame frame, double dx) {
        double edge = grip.sideX > 0 ? frame.right() : frame.left();
        double free = room(new Point(edge, frame.top()), new Point(edge, frame.bottom()), new Point(dx, 0));
        double width = Math.max(Math.min(SMALLEST, frame.width()), frame.width() + grip.sideX * dx * free);
        double fixed = grip.sideX > 0 ? frame.left() : frame.right();
        return new Frame(fixed + grip.sideX * width / 2, frame.centreY(), width, frame.height());
    }

    private Frame stretchedDown(Frame frame, double dy) {
        double edge = grip.sideY > 0 ? frame.bottom() : frame.top();
        double free = room(new Point(frame.left(), edge), new Point(frame.right(), edge), new Point(0, dy));
        double height = Math.max(Math.min(SMALLEST, frame.height()), frame.height() + grip.sideY * dy * free);
        double fixed = grip.sideY > 0 ? frame.top() : frame.bottom();
        return new Frame(frame.centreX(), fixed + grip.sideY * height / 2, frame.width(), height);
    }

    /** The part of the step, 0 to 1, that both ends of an edge can go. */
    private double room(Point oneEnd, Point otherEnd, Point step) {
        return Math.min(1, Math.min(outline.reach(oneEnd, step), outline.reach(otherEnd, step)));
    }
}
