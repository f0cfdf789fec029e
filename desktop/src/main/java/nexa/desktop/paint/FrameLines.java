package nexa.desktop.paint;

import java.util.List;
import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcTo;
import javafx.scene.shape.Circle;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.StrokeLineCap;
import nexa.core.geometry.Point;
import nexa.core.overlay.Stroke;
import nexa.desktop.paint.LevelView.ScreenBox;

/**
 * A frame's edge, its overlay and its handles over a photo, as nodes: while only what lies beneath moves nothing is done
 * for them, and no canvas as large as the photo is cleared and laid over it.
 */
public final class FrameLines extends CutGroup {
    private static final double HANDLE = 5.5;

    /**
     * What is to be seen.
     *
     * @param box the frame, in the view's units
     * @param overlay what it is drawn with; empty where none shows
     */
    public record Look(ScreenBox box, Optional<Overlaid> overlay, boolean handles, Crisp crisp) {}

    /** @param strokes in the frame, from 0 to 1 */
    public record Overlaid(List<Stroke> strokes, Ink ink) {}

    private final Group overlay = new Group();
    private final Rectangle inside = new Rectangle();
    private final Strokes halo = new Strokes();
    private final Strokes line = new Strokes();
    private final NodePool<Rectangle> edge = new NodePool<>(getChildren(), Rectangle::new);
    private final NodePool<Rectangle> guides = new NodePool<>(getChildren(), Rectangle::new);
    private final NodePool<Circle> handles = new NodePool<>(getChildren(), FrameLines::handle);
    private Optional<Look> shown = Optional.empty();

    public FrameLines() {
        overlay.setClip(inside);
        overlay.getChildren().addAll(halo, line);
        getChildren().add(overlay);
        setVisible(false);
    }

    /** @param look nothing is to be seen if empty */
    public void show(Optional<Look> look) {
        if (!shown.equals(look)) {
            shown = look;
            setVisible(look.isPresent());
            look.ifPresent(this::lay);
        }
    }

    /** Lines that caught the frame, in the accent's colour. */
    public void guide(List<ScreenBox> boxes) {
        guides.begin();
        boxes.forEach(box -> fill(guides.next(), box, Palette.ACCENT));
        guides.end();
    }

    private void lay(Look look) {
        overlay.setVisible(look.overlay.isPresent());
        look.overlay.ifPresent(over -> {
            place(inside, look.box);
            halo.lay(look, over, over.ink.halo(), over.ink.haloWidth());
            line.lay(look, over, over.ink.line(), over.ink.width());
        });
        edge.begin();
        FrameBoxes.around(look.box, 2).forEach(box -> fill(edge.next(), box, PhotoPainter.HALO));
        FrameBoxes.around(look.box, 1).forEach(box -> fill(edge.next(), box, PhotoPainter.LINE));
        edge.end();
        handles.begin();
        for (int corner = 0; look.handles && corner < 4; corner++) {
            Circle handle = handles.next();
            handle.setCenterX(look.box.x() + corner % 2 * look.box.width());
            handle.setCenterY(look.box.y() + corner / 2 * look.box.height());
        }
        handles.end();
    }

    private static Circle handle() {
        Circle circle = new Circle(HANDLE, Color.WHITE);
        circle.setStroke(Palette.ACCENT);
        circle.setStrokeWidth(2);
        return circle;
    }

    private static void fill(Rectangle node, ScreenBox box, Color colour) {
        place(node, box);
        node.setFill(colour);
    }

    private static void place(Rectangle node, ScreenBox box) {
        node.setX(box.x());
        node.setY(box.y());
        node.setWidth(Math.max(0, box.width()));
        node.setHeight(Math.max(0, box.height()));
    }

    /** An overlay's strokes in one colour and width. */
    private static final class Strokes extends Group {
        private final NodePool<Rectangle> along = new NodePool<>(getChildren(), Rectangle::new);
        private final Path across = new Path();
        private List<Stroke> strokes = List.of();
        private double width;
        private double height;

        Strokes() {
            across.setStrokeLineCap(StrokeLineCap.BUTT);
            across.setFill(null);
            getChildren().add(across);
        }

        void lay(Look look, Overlaid over, Color colour, double wide) {
            along.begin();
            for (Stroke stroke : over.strokes) {
                FrameBoxes.along(stroke, look.box, look.crisp, wide, over.ink.width())
                        .ifPresent(box -> fill(along.next(), box, colour));
            }
            along.end();
            across.setStroke(colour);
            across.setStrokeWidth(wide);
            across.setLayoutX(look.box.x());
            across.setLayoutY(look.box.y());
            if (!over.strokes.equals(strokes) || look.box.width() != width || look.box.height() != height) {
                strokes = over.strokes;
                width = look.box.width();
                height = look.box.height();
                across.getElements()
                        .setAll(strokes.stream()
                                .filter(stroke -> !FrameBoxes.isAlong(stroke))
                                .flatMap(stroke -> elements(stroke).stream())
                                .toList());
            }
        }

        private List<PathElement> elements(Stroke stroke) {
            return switch (stroke) {
                case Stroke.Segment(Point from, Point to) ->
                    List.of(move(from), new LineTo(to.x() * width, to.y() * height));
                case Stroke.Arc arc -> List.of(move(arc.at(0)), half(arc, 0.5), half(arc, 1));
            };
        }

        private MoveTo move(Point to) {
            return new MoveTo(to.x() * width, to.y() * height);
        }

        /** Half of it, as an arc to a point does not tell a whole turn from none. */
        private ArcTo half(Stroke.Arc arc, double end) {
            Point to = arc.at(end);
            return new ArcTo(
                    arc.radiusX() * width,
                    arc.radiusY() * height,
                    0,
                    to.x() * width,
                    to.y() * height,
                    false,
                    arc.sweep() > 0);
        }
    }
}
