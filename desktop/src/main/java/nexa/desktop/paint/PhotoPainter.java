package nexa.desktop.paint;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.StrokeLineCap;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Outline;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Stroke;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.photo.ScreenPhoto;

/** Draws a photo and what lies on it. Everything sits on the same geometry: level space under one view. */
public final class PhotoPainter {
    private static final Color HALO = Color.gray(0, 0.45);
    private static final Color LINE = Color.gray(1, 0.95);

    private final GraphicsContext canvas;
    private final LevelView view;

    public PhotoPainter(GraphicsContext canvas, LevelView view) {
        this.canvas = canvas;
        this.view = view;
    }

    /** The whole photo, turned and tilted. */
    public void photo(ScreenPhoto photo, PhotoSpace space) {
        PixelSize asShot = space.asShot();
        double width = (double) asShot.width() / asShot.longEdge();
        double height = (double) asShot.height() / asShot.longEdge();
        Turn turn = space.pose().turn();
        canvas.save();
        canvas.translate(view.originX(), view.originY());
        canvas.scale(view.scale(), view.scale());
        canvas.rotate(space.pose().tilt().degrees());
        canvas.scale(turn.mirrored() ? -1 : 1, 1);
        canvas.rotate(90.0 * turn.quarterTurns());
        canvas.drawImage(photo.image(), -width / 2, -height / 2, width, height);
        canvas.restore();
    }

    /** The veil over the photo outside the frame. */
    public void mat(Outline outline, Frame frame, Color colour) {
        List<Point> corners = outline.corners().stream().map(view::toScreen).toList();
        ScreenBox hole = view.toScreen(frame);
        canvas.save();
        canvas.setFill(colour);
        canvas.setFillRule(FillRule.EVEN_ODD);
        canvas.beginPath();
        canvas.moveTo(corners.getFirst().x(), corners.getFirst().y());
        corners.stream().skip(1).forEach(p -> canvas.lineTo(p.x(), p.y()));
        canvas.closePath();
        canvas.rect(hole.x(), hole.y(), hole.width(), hole.height());
        canvas.fill();
        canvas.restore();
    }

    /** The frame's edge: a light line with a dark one outside, seen on any photo. */
    public void edge(Frame frame) {
        ScreenBox box = view.toScreen(frame);
        canvas.setLineWidth(1);
        canvas.setStroke(HALO);
        canvas.strokeRect(box.x() - 1.5, box.y() - 1.5, box.width() + 3, box.height() + 3);
        canvas.setStroke(LINE);
        canvas.strokeRect(box.x() - 0.5, box.y() - 0.5, box.width() + 1, box.height() + 1);
    }

    /** An overlay inside the frame: each line light on a dark halo, so that it shows on any photo. */
    public void overlay(Frame frame, List<Stroke> strokes) {
        ScreenBox box = view.toScreen(frame);
        canvas.save();
        canvas.beginPath();
        canvas.rect(box.x(), box.y(), box.width(), box.height());
        canvas.clip();
        canvas.setLineCap(StrokeLineCap.BUTT);
        draw(strokes, box, HALO, 3);
        draw(strokes, box, LINE, 1.2);
        canvas.restore();
    }

    private void draw(List<Stroke> strokes, ScreenBox box, Color colour, double width) {
        canvas.setStroke(colour);
        canvas.setLineWidth(width);
        strokes.forEach(stroke -> draw(canvas, stroke, box));
    }

    /** One stroke into a box; also for miniatures. */
    public static void draw(GraphicsContext canvas, Stroke stroke, ScreenBox box) {
        switch (stroke) {
            case Stroke.Segment(Point from, Point to) ->
                canvas.strokeLine(
                        box.x() + from.x() * box.width(),
                        box.y() + from.y() * box.height(),
                        box.x() + to.x() * box.width(),
                        box.y() + to.y() * box.height());
            case Stroke.Arc(Point centre, double radiusX, double radiusY, double start, double sweep) ->
                canvas.strokeArc(
                        box.x() + (centre.x() - radiusX) * box.width(),
                        box.y() + (centre.y() - radiusY) * box.height(),
                        2 * radiusX * box.width(),
                        2 * radiusY * box.height(),
                        -start, // JavaFX counts counterclockwise
                        -sweep,
                        ArcType.OPEN);
        }
    }
}
