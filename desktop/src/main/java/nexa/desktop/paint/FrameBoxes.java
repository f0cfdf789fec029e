package nexa.desktop.paint;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.overlay.Stroke;
import nexa.desktop.paint.LevelView.ScreenBox;

/** Lines along a frame as filled boxes, which take far less than strokes. */
final class FrameBoxes {
    private FrameBoxes() {}

    /** One unit wide, inside the box. */
    static List<ScreenBox> border(ScreenBox box) {
        double right = box.x() + box.width() - 1;
        double bottom = box.y() + box.height() - 1;
        return List.of(
                new ScreenBox(box.x(), box.y(), box.width(), 1),
                new ScreenBox(box.x(), bottom, box.width(), 1),
                new ScreenBox(box.x(), box.y() + 1, 1, box.height() - 2),
                new ScreenBox(right, box.y() + 1, 1, box.height() - 2));
    }

    /** A border further out. */
    static List<ScreenBox> around(ScreenBox box, double by) {
        return border(new ScreenBox(box.x() - by, box.y() - by, box.width() + 2 * by, box.height() + 2 * by));
    }

    /**
     * A stroke that runs along the frame, on whole screen pixels; empty for one that does not.
     *
     * @param lineWidth decides where the stroke lies, so that a line and its halo have the same middle
     */
    static Optional<ScreenBox> along(Stroke stroke, ScreenBox frame, Crisp crisp, double width, double lineWidth) {
        if (!(stroke instanceof Stroke.Segment(Point from, Point to)) || !isAlong(stroke)) {
            return Optional.empty();
        }
        double wide = width(crisp, width, lineWidth);
        double left = frame.x() + Math.min(from.x(), to.x()) * frame.width();
        double top = frame.y() + Math.min(from.y(), to.y()) * frame.height();
        return Optional.of(
                from.x() == to.x()
                        ? new ScreenBox(
                                crisp.place(left, lineWidth) - wide / 2,
                                top,
                                wide,
                                Math.abs(to.y() - from.y()) * frame.height())
                        : new ScreenBox(
                                left,
                                crisp.place(top, lineWidth) - wide / 2,
                                Math.abs(to.x() - from.x()) * frame.width(),
                                wide));
    }

    static boolean isAlong(Stroke stroke) {
        return stroke instanceof Stroke.Segment(Point from, Point to) && (from.x() == to.x() || from.y() == to.y());
    }

    /** Of the same parity as the line, in screen pixels, so that the halo is even on both sides. */
    private static double width(Crisp crisp, double width, double lineWidth) {
        double line = crisp.width(lineWidth);
        return width == lineWidth ? line : line + 2 * crisp.width((width - lineWidth) / 2);
    }
}
