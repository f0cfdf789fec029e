package nexa.desktop.paint;

import java.util.List;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Shape;
import nexa.core.geometry.Point;

/**
 * Subject marks on the Bench, as nodes: rings, joined by a fine line if there are two. Shown anew from {@link #begin} to
 * {@link #end}; they look as {@link PhotoPainter#marks} draws them.
 */
public final class MarkRings extends CutGroup {
    private static final double RADIUS = PhotoPainter.MARK;
    private static final double RING = 2;
    private static final double DOT = 1.5;
    private static final Color LIGHT = Color.gray(1, 0.9);

    private final NodePool<Line> lines = new NodePool<>(getChildren(), Line::new);
    private final NodePool<Circle> circles = new NodePool<>(getChildren(), Circle::new);

    public void begin() {
        lines.begin();
        circles.begin();
    }

    /**
     * @param at in the view's units
     * @param dashed not marks yet, only proposed
     */
    public void show(List<Point> at, boolean dashed) {
        if (at.size() > 1) {
            Point way = at.getLast().minus(at.getFirst());
            Point in = way.times(Math.min(0.5, RADIUS / Math.max(1, way.length())));
            Point from = at.getFirst().plus(in);
            Point to = at.getLast().minus(in);
            line(from, to, LIGHT, 3, dashed);
            line(from, to, Palette.ACCENT, 1, dashed);
        }
        for (Point mark : at) {
            ring(mark, LIGHT, RING + 1.6, dashed);
            ring(mark, Palette.ACCENT, RING, dashed);
            Circle dot = circle(mark, DOT);
            dot.setFill(Palette.ACCENT);
            dot.setStroke(null);
        }
    }

    public void end() {
        lines.end();
        circles.end();
    }

    private void line(Point from, Point to, Color colour, double width, boolean dashed) {
        Line line = lines.next();
        line.setStartX(from.x());
        line.setStartY(from.y());
        line.setEndX(to.x());
        line.setEndY(to.y());
        stroke(line, colour, width, dashed);
    }

    private void ring(Point at, Color colour, double width, boolean dashed) {
        Circle ring = circle(at, RADIUS);
        ring.setFill(null);
        stroke(ring, colour, width, dashed);
    }

    private Circle circle(Point at, double radius) {
        Circle circle = circles.next();
        circle.setCenterX(at.x());
        circle.setCenterY(at.y());
        circle.setRadius(radius);
        return circle;
    }

    private static void stroke(Shape shape, Color colour, double width, boolean dashed) {
        shape.setStroke(colour);
        shape.setStrokeWidth(width);
        List<Double> dashes = dashed ? List.of(3.0, 3.0) : List.of();
        if (!shape.getStrokeDashArray().equals(dashes)) {
            shape.getStrokeDashArray().setAll(dashes);
        }
    }
}
