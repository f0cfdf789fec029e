package nexa.desktop.paint;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.StrokeLineCap;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.outline.Outline;
import nexa.core.overlay.Stroke;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.photo.ScreenPhoto;
import org.jspecify.annotations.Nullable;

/** Draws a photo and what lies on it. Everything sits on the same geometry: level space under one view. */
public final class PhotoPainter {
    static final Color HALO = Color.gray(0, 0.45);
    static final Color LINE = Color.gray(1, 0.95);
    private static final Crisp CRISP = new Crisp(1);
    private static final double CHECK = 8;

    /** Of the corners of a marked place. */
    private static final double PLACE_ROUND = 14;

    /** Radius of a mark on the Bench, in canvas units. */
    public static final double MARK = 7;

    private final GraphicsContext canvas;
    private final LevelView view;

    public PhotoPainter(GraphicsContext canvas, LevelView view) {
        this.canvas = canvas;
        this.view = view;
    }

    /** The whole photo, turned and tilted. */
    public void photo(ScreenPhoto photo, PhotoSpace space) {
        PixelSize asShot = space.asShot();
        Frame box = photo.box()
                .orElseGet(() -> new Frame(
                        0,
                        0,
                        (double) asShot.width() / asShot.longEdge(),
                        (double) asShot.height() / asShot.longEdge()));
        // a canvas draws straight maps only; a photo that is not corrected yet is shown as it is in its middle
        Affine toLevel = photo.box().isPresent()
                ? Affine.of(space.pose().turn())
                        .then(Affine.rotation(space.pose().tilt()))
                : space.asShotToLevel().tangent(Point.ORIGIN);
        canvas.save();
        canvas.translate(view.originX(), view.originY());
        canvas.scale(view.scale(), view.scale());
        canvas.transform(toLevel.xx(), toLevel.yx(), toLevel.xy(), toLevel.yy(), toLevel.dx(), toLevel.dy());
        canvas.drawImage(photo.image(), box.left(), box.top(), box.width(), box.height());
        canvas.restore();
    }

    private void path(List<Point> level) {
        List<Point> corners = level.stream().map(view::toScreen).toList();
        canvas.moveTo(corners.getFirst().x(), corners.getFirst().y());
        corners.stream().skip(1).forEach(p -> canvas.lineTo(p.x(), p.y()));
        canvas.closePath();
    }

    /** The frame's edge: a light line with a dark one outside, seen on any photo. */
    public void edge(Frame frame) {
        ScreenBox box = view.toScreen(frame);
        canvas.setFill(HALO);
        FrameBoxes.around(box, 2).forEach(this::fill);
        canvas.setFill(LINE);
        FrameBoxes.around(box, 1).forEach(this::fill);
    }

    private void fill(ScreenBox box) {
        canvas.fillRect(box.x(), box.y(), box.width(), box.height());
    }

    /**
     * Where a frame shows no photo: how it is filled, or a checker.
     *
     * @param filled the frame as it is filled; null if that is not known
     */
    public void beyond(Outline outline, Frame frame, @Nullable Image filled) {
        ScreenBox box = view.toScreen(frame);
        canvas.save();
        canvas.beginPath();
        canvas.rect(box.x(), box.y(), box.width(), box.height());
        canvas.clip();
        canvas.beginPath();
        canvas.setFillRule(FillRule.EVEN_ODD);
        canvas.rect(0, 0, canvas.getCanvas().getWidth(), canvas.getCanvas().getHeight());
        path(outline.corners());
        canvas.clip();
        if (filled == null) {
            checker(box);
        } else {
            canvas.drawImage(filled, box.x(), box.y(), box.width(), box.height());
        }
        canvas.restore();
    }

    private void checker(ScreenBox box) {
        canvas.setFill(Color.WHITE);
        canvas.fillRect(box.x(), box.y(), box.width(), box.height());
        canvas.setFill(Color.gray(0.82));
        for (double y = 0; y < box.height(); y += CHECK) {
            for (double x = y / CHECK % 2 * CHECK; x < box.width(); x += 2 * CHECK) {
                canvas.fillRect(box.x() + x, box.y() + y, CHECK, CHECK);
            }
        }
    }

    /** A ring around a place of a frame that somebody should look at. @param part of the frame, from 0 to 1 */
    public void place(Frame frame, Frame part) {
        ScreenBox box =
                view.toScreen(Frame.between(frame.at(part.left(), part.top()), frame.at(part.right(), part.bottom())));
        for (boolean halo : new boolean[] {true, false}) {
            canvas.setStroke(halo ? Color.gray(1, 0.9) : Palette.ACCENT);
            canvas.setLineWidth(halo ? 4 : 2);
            canvas.strokeRoundRect(box.x(), box.y(), box.width(), box.height(), PLACE_ROUND, PLACE_ROUND);
        }
    }

    /** White over all that is not inside an outline. */
    public void mat(Outline outline, double width, double height) {
        canvas.save();
        canvas.beginPath();
        canvas.setFillRule(FillRule.EVEN_ODD);
        canvas.rect(0, 0, width, height);
        path(outline.corners());
        canvas.setFill(Color.WHITE);
        canvas.fill();
        canvas.restore();
    }

    /** An overlay inside the frame. */
    public void overlay(Frame frame, List<Stroke> strokes, Ink ink) {
        ScreenBox box = view.toScreen(frame);
        canvas.save();
        canvas.beginPath();
        canvas.rect(box.x(), box.y(), box.width(), box.height());
        canvas.clip();
        canvas.setLineCap(StrokeLineCap.BUTT);
        draw(strokes, box, ink.halo(), ink.haloWidth(), ink.width());
        draw(strokes, box, ink.line(), ink.width(), ink.width());
        canvas.restore();
    }

    /** @param lineWidth decides where a stroke lies, so that a line and its halo have the same middle */
    private void draw(List<Stroke> strokes, ScreenBox box, Color colour, double width, double lineWidth) {
        canvas.setStroke(colour);
        canvas.setFill(colour);
        canvas.setLineWidth(width);
        canvas.beginPath();
        for (Stroke stroke : strokes) {
            FrameBoxes.along(stroke, box, CRISP, width, lineWidth)
                    .ifPresentOrElse(this::fill, () -> path(canvas, stroke, box));
        }
        canvas.stroke(); // all that is not along the frame at once takes less than each by itself
    }

    /**
     * Subject marks as rings, joined by a fine line if there are two.
     *
     * @param radius of the rings, in canvas units
     * @param dashed not marks yet, only proposed
     */
    public void marks(List<Point> level, double radius, boolean dashed) {
        List<Point> at = level.stream().map(view::toScreen).toList();
        canvas.save();
        if (dashed) {
            canvas.setLineDashes(3, 3);
        }
        if (at.size() > 1) {
            Point way = at.getLast().minus(at.getFirst());
            Point in = way.times(Math.min(0.5, radius / Math.max(1, way.length())));
            accentLine(canvas, at.getFirst().plus(in), at.getLast().minus(in), radius < MARK ? 0.7 : 1);
        }
        at.forEach(p -> ring(p, radius));
        canvas.restore();
    }

    private void ring(Point at, double radius) {
        double line = radius < MARK ? 1.3 : 2;
        canvas.setStroke(Color.gray(1, 0.9));
        canvas.setLineWidth(line + 1.6);
        canvas.strokeOval(at.x() - radius, at.y() - radius, 2 * radius, 2 * radius);
        canvas.setStroke(Palette.ACCENT);
        canvas.setLineWidth(line);
        canvas.strokeOval(at.x() - radius, at.y() - radius, 2 * radius, 2 * radius);
        canvas.setFill(Palette.ACCENT);
        canvas.fillOval(at.x() - 1.5, at.y() - 1.5, 3, 3);
    }

    /** A line in the accent on a light ground, seen on any photo; places on the canvas. */
    public static void accentLine(GraphicsContext canvas, Point from, Point to, double width) {
        accentPath(canvas, List.of(from, to), width);
    }

    /** The same along several points. */
    public static void accentPath(GraphicsContext canvas, List<Point> points, double width) {
        canvas.setStroke(Color.gray(1, 0.9));
        canvas.setLineWidth(width + 2);
        polyline(canvas, points);
        canvas.setStroke(Palette.ACCENT);
        canvas.setLineWidth(width);
        polyline(canvas, points);
    }

    /** From point to point in the canvas's own colour and width, without halo. */
    public static void polyline(GraphicsContext canvas, List<Point> points) {
        canvas.strokePolyline(
                points.stream().mapToDouble(Point::x).toArray(),
                points.stream().mapToDouble(Point::y).toArray(),
                points.size());
    }

    /** One stroke into a box; also for miniatures. */
    public static void draw(GraphicsContext canvas, Stroke stroke, ScreenBox box) {
        canvas.beginPath();
        path(canvas, stroke, box);
        canvas.stroke();
    }

    private static void path(GraphicsContext canvas, Stroke stroke, ScreenBox box) {
        switch (stroke) {
            case Stroke.Segment segment -> {
                Point from = inBox(segment.from(), box);
                Point to = inBox(segment.to(), box);
                canvas.moveTo(from.x(), from.y());
                canvas.lineTo(to.x(), to.y());
            }
            case Stroke.Arc arc -> {
                Point from = inBox(arc.at(0), box);
                Point middle = inBox(arc.centre(), box);
                canvas.moveTo(from.x(), from.y());
                canvas.arc(
                        middle.x(),
                        middle.y(),
                        arc.radiusX() * box.width(),
                        arc.radiusY() * box.height(),
                        -arc.start(), // JavaFX counts counterclockwise
                        -arc.sweep());
            }
        }
    }

    private static Point inBox(Point part, ScreenBox box) {
        return new Point(box.x() + part.x() * box.width(), box.y() + part.y() * box.height());
    }
}
