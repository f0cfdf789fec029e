package nexa.core.gesture;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.outline.Outline;
import org.jspecify.annotations.Nullable;

/**
 * Upright and level lines that a dragged frame catches when it comes near.
 *
 * @param xs where the upright lines are, level space
 * @param ys where the level lines are, level space
 * @param reach how near is near, in long edges; 0 = never
 */
public record Snap(List<Double> xs, List<Double> ys, double reach) {
    public static final Snap NONE = new Snap(List.of(), List.of(), 0);

    /** A dragged frame, and the lines it caught. */
    public record Caught(Frame frame, OptionalDouble x, OptionalDouble y) {}

    private record Pull(double offset, double line) {}

    public Snap {
        xs = List.copyOf(xs);
        ys = List.copyOf(ys);
    }

    /** The photo's centre lines, its level and upright edges, and lines through the marks. */
    public static Snap of(Outline outline, List<Point> marks, double reach) {
        List<Double> xs = new ArrayList<>(List.of(outline.middle().x()));
        List<Double> ys = new ArrayList<>(List.of(outline.middle().y()));
        xs.addAll(outline.uprightSides());
        ys.addAll(outline.levelSides());
        marks.forEach(mark -> {
            xs.add(mark.x());
            ys.add(mark.y());
        });
        return new Snap(xs, ys, reach);
    }

    /** Where a drag leads, drawn to lines in reach. A line is caught only if the frame can really lie on it. */
    public Caught drag(FrameDrag drag, Point pointer) {
        Frame free = drag.to(pointer);
        if (reach <= 0) {
            return new Caught(free, OptionalDouble.empty(), OptionalDouble.empty());
        }
        boolean scales = drag.grip() != Grip.INSIDE && drag.hold() == Hold.SHAPE;
        Point drawn = scales ? alongArm(drag, free, pointer) : eachWay(drag, free, pointer);
        Frame frame = drag.to(drawn);
        return new Caught(frame, caught(xs, edgesX(drag.grip(), frame)), caught(ys, edgesY(drag.grip(), frame)));
    }

    private Point eachWay(FrameDrag drag, Frame free, Point pointer) {
        Pull x = nearest(xs, edgesX(drag.grip(), free));
        Pull y = nearest(ys, edgesY(drag.grip(), free));
        return pointer.plus(new Point(x == null ? 0 : x.offset, y == null ? 0 : y.offset));
    }

    /** A frame that keeps its shape has one freedom: its size. The nearer of the two lines decides it. */
    private Point alongArm(FrameDrag drag, Frame free, Point pointer) {
        Pull x = nearest(xs, edgesX(drag.grip(), free));
        Pull y = nearest(ys, edgesY(drag.grip(), free));
        Point arm = drag.arm();
        if (x != null && (y == null || Math.abs(x.offset) <= Math.abs(y.offset))) {
            return drag.from().plus(arm.times((x.line - drag.anchor().x()) / arm.x() - 1));
        }
        return y == null
                ? pointer
                : drag.from().plus(arm.times((y.line - drag.anchor().y()) / arm.y() - 1));
    }

    private @Nullable Pull nearest(List<Double> lines, List<Double> edges) {
        Pull best = null;
        for (double line : lines) {
            for (double edge : edges) {
                double offset = line - edge;
                if (Math.abs(offset) <= (best == null ? reach : Math.abs(best.offset))) {
                    best = new Pull(offset, line);
                }
            }
        }
        return best;
    }

    private static OptionalDouble caught(List<Double> lines, List<Double> edges) {
        return lines.stream()
                .mapToDouble(Double::doubleValue)
                .filter(line -> edges.stream().anyMatch(edge -> Tolerance.sameLength(edge, line)))
                .findFirst();
    }

    /** What of the frame moves sideways: its sides and middle when the whole moves, else the held side. */
    private static List<Double> edgesX(Grip grip, Frame frame) {
        return switch (grip.sideX) {
            case -1 -> List.of(frame.left());
            case 1 -> List.of(frame.right());
            default -> grip == Grip.INSIDE ? List.of(frame.left(), frame.centreX(), frame.right()) : List.of();
        };
    }

    private static List<Double> edgesY(Grip grip, Frame frame) {
        return switch (grip.sideY) {
            case -1 -> List.of(frame.top());
            case 1 -> List.of(frame.bottom());
            default -> grip == Grip.INSIDE ? List.of(frame.top(), frame.centreY(), frame.bottom()) : List.of();
        };
    }
}
