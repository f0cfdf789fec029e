package nexa.desktop.bench.layer;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import nexa.desktop.camera.Camera;
import nexa.desktop.keys.Keys;
import nexa.desktop.paint.DrawnWords;
import nexa.desktop.paint.FrameLines;
import nexa.desktop.paint.MarkRings;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.paint.SketchPane;
import nexa.desktop.picture.StrokeMemo;
import nexa.desktop.session.Session;

/**
 * What lies on the Bench's photo: what the frame shows beyond it, the frame, marks, lines that are there now and then, and
 * words. What is always there are nodes, as a canvas would be laid over all of the photo whenever that moves.
 */
public final class OverPhoto {
    private final Session session;
    private final Keys keys;
    private final Camera camera;
    private final BenchPictures pictures;
    private final BenchFill fill;
    private final StrokeMemo strokes = new StrokeMemo();
    private final SketchPane beyond = new SketchPane() {
        @Override
        protected void draw() {
            drawBeyond(this::canvas);
        }
    };
    private final FrameLines lines = new FrameLines();
    private final MarkRings rings = new MarkRings();
    private final SketchPane sketch;
    private final DrawnWords words = new DrawnWords();

    /** @param drawing says what is to be seen */
    public OverPhoto(
            Session session,
            Keys keys,
            Camera camera,
            BenchPictures pictures,
            BenchFill fill,
            Consumer<BenchDrawing> drawing) {
        this.session = session;
        this.keys = keys;
        this.camera = camera;
        this.pictures = pictures;
        this.fill = fill;
        this.sketch = new SketchPane() {
            @Override
            protected void draw() {
                words.begin();
                rings.begin();
                drawing.accept(new BenchDrawing(
                        this::canvas, lines, rings, words, session, keys, strokes, camera.pixelScale()));
                rings.end();
                words.end();
            }
        };
    }

    /** From the bottom to the top. */
    List<Node> inOrder() {
        return List.of(beyond, lines, rings, sketch, words);
    }

    /** All is laid anew at the next pulse. */
    public void redraw() {
        sketch.redraw();
        beyond.redraw();
    }

    /** @param width of the Bench */
    void lay(double width, double height) {
        for (Region whole : List.of(beyond, sketch, words)) {
            whole.resizeRelocate(0, 0, width, height);
        }
        lines.cut(width, height);
        rings.cut(width, height);
    }

    /** How what the frame shows beyond the photo is filled, and where that will show. */
    private void drawBeyond(Supplier<GraphicsContext> canvas) {
        boolean shows = session.frameEdits().showsBlank()
                && !BenchDrawing.isLooking(keys)
                && pictures.current().pixels().isPresent();
        session.frame().filter(frame -> shows).ifPresent(frame -> camera.view().ifPresent(view -> {
            Optional<BenchFill.Look> look = fill.current();
            PhotoPainter painter = new PhotoPainter(canvas.get(), view);
            painter.beyond(
                    session.space().orElseThrow().outline(),
                    frame,
                    look.map(BenchFill.Look::image).orElse(null));
            look.ifPresent(filled -> filled.places().forEach(place -> painter.place(frame, place)));
        }));
    }
}
