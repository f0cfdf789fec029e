package nexa.core.overlay;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.overlay.Stroke.Segment;
import nexa.core.shape.Shape;

/** Outlines of other shapes inside a frame: each the largest that fits, in the middle, lying as the frame lies. */
public final class Nested {
    private Nested() {}

    /** A shape's outline in level space. */
    public static Frame outline(Frame frame, Shape.Ratio shape) {
        double aspect = laid(frame.aspect(), shape).aspect();
        double height = Math.min(frame.height(), frame.width() / aspect);
        return Frame.around(frame.centre(), height * aspect, height);
    }

    /** The shape as it lies in a frame: across in a horizontal or square one, upright in a vertical one. */
    public static Shape.Ratio laid(double frameAspect, Shape.Ratio shape) {
        return frameAspect >= 1 == shape.aspect() >= 1 ? shape : shape.turned();
    }

    /**
     * The shape whose outline is nearest to a point.
     *
     * @param tolerance how far from the outline still counts, in long edges
     */
    public static Optional<Shape.Ratio> at(Frame frame, List<Shape.Ratio> shapes, Point pointer, double tolerance) {
        Shape.Ratio nearest = null;
        double best = tolerance;
        for (Shape.Ratio shape : shapes) {
            double away = distance(outline(frame, shape), pointer);
            if (away <= best) {
                best = away;
                nearest = shape;
            }
        }
        return Optional.ofNullable(nearest);
    }

    private static double distance(Frame outline, Point p) {
        double dx = Math.abs(p.x() - outline.centreX()) - outline.width() / 2;
        double dy = Math.abs(p.y() - outline.centreY()) - outline.height() / 2;
        return dx <= 0 && dy <= 0 ? -Math.max(dx, dy) : Math.hypot(Math.max(dx, 0), Math.max(dy, 0));
    }

    static List<Stroke> strokes(double aspect, List<Shape.Ratio> shapes) {
        List<Stroke> lines = new ArrayList<>();
        for (Shape.Ratio shape : shapes) {
            double inner = laid(aspect, shape).aspect();
            double insetX = Math.max(0, (1 - inner / aspect) / 2);
            double insetY = Math.max(0, (1 - aspect / inner) / 2);
            lines.addAll(box(insetX, insetY));
        }
        return lines;
    }

    /** A rectangle that far from the frame's sides; sides on the frame's own are left out. */
    static List<Stroke> box(double insetX, double insetY) {
        List<Stroke> sides = new ArrayList<>();
        if (insetX > 0) {
            sides.add(line(insetX, insetY, insetX, 1 - insetY));
            sides.add(line(1 - insetX, insetY, 1 - insetX, 1 - insetY));
        }
        if (insetY > 0) {
            sides.add(line(insetX, insetY, 1 - insetX, insetY));
            sides.add(line(insetX, 1 - insetY, 1 - insetX, 1 - insetY));
        }
        return sides;
    }

    private static Stroke line(double x1, double y1, double x2, double y2) {
        return new Segment(new Point(x1, y1), new Point(x2, y2));
    }
}
