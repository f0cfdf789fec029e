package nexa.desktop.paint;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayOptions;
import nexa.core.overlay.Stroke;
import nexa.desktop.paint.LevelView.ScreenBox;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** A frame's lines on a grey view: the nodes of the Bench against the canvas of cards and tiles. */
@ExtendWith(ApplicationExtension.class)
class FrameLinesTest {
    private static final int WIDTH = 260;
    private static final int HEIGHT = 200;
    private static final Color GREY = Color.gray(0.5);
    private static final Crisp CRISP = new Crisp(1);
    private static final Ink INK = Ink.USUAL;
    private static final LevelView VIEW = new LevelView(120.3, 90.6, 300);
    private static final Frame FRAME = new Frame(0.01, 0.02, 0.6, 0.45);

    @ParameterizedTest
    @EnumSource(Overlay.class)
    void looksAsOnACanvas(Overlay overlay) {
        List<Stroke> strokes =
                overlay.orientations(FRAME.aspect(), OverlayOptions.DEFAULT).getFirst();
        WritableImage nodes = onFx(() -> ofNodes(look(strokes, false)));
        WritableImage canvas = onFx(() -> onCanvas(strokes));
        assertTrue(unlike(nodes, onFx(() -> ofNodes(Optional.empty()))) > 200, "something is drawn");
        assertTrue(unlike(nodes, canvas) < 12, () -> unlike(nodes, canvas) + " pixels differ");
    }

    @Test
    void handlesLieOnTheCorners() {
        WritableImage with = onFx(() -> ofNodes(look(List.of(), true)));
        ScreenBox box = VIEW.toScreen(FRAME);
        for (double x : List.of(box.x(), box.x() + box.width())) {
            for (double y : List.of(box.y(), box.y() + box.height())) {
                assertEquals(Color.WHITE, with.getPixelReader().getColor((int) x, (int) y));
            }
        }
    }

    @Test
    void frameThatReachesBeyondTheView_isCut() {
        double[] reach = onFx(() -> {
            FrameLines lines = shown(look(List.of(), true));
            lines.cut(50, 40);
            return new double[] {
                lines.getBoundsInParent().getMaxX(), lines.getBoundsInParent().getMaxY()
            };
        });
        assertEquals(50, reach[0], 1);
        assertEquals(40, reach[1], 1);
    }

    @Test
    void guideThatIsNoLongerCaught_isGone() {
        ScreenBox guide = new ScreenBox(7, 0, 1, HEIGHT);
        Color[] seen = onFx(() -> {
            FrameLines lines = shown(look(List.of(), false));
            lines.guide(List.of(guide));
            Color caught = picture(lines).getPixelReader().getColor(7, 3);
            lines.guide(List.of());
            return new Color[] {caught, picture(lines).getPixelReader().getColor(7, 3)};
        });
        assertEquals(Palette.ACCENT, seen[0]);
        assertEquals(GREY.getBrightness(), seen[1].getBrightness(), 0.01);
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void marksLookAsOnACanvas(boolean dashed) {
        List<Point> marks = List.of(new Point(-0.1, 0.05), new Point(0.15, -0.02));
        WritableImage nodes = onFx(() -> {
            MarkRings rings = new MarkRings();
            rings.cut(WIDTH, HEIGHT);
            rings.begin();
            rings.show(marks.stream().map(VIEW::toScreen).toList(), dashed);
            rings.end();
            return picture(rings);
        });
        WritableImage canvas = onFx(() -> {
            Canvas drawn = new Canvas(WIDTH, HEIGHT);
            new PhotoPainter(drawn.getGraphicsContext2D(), VIEW).marks(marks, PhotoPainter.MARK, dashed);
            return picture(drawn);
        });
        assertTrue(unlike(nodes, onFx(() -> ofNodes(Optional.empty()))) > 100, "something is drawn");
        assertTrue(unlike(nodes, canvas) < 12, () -> unlike(nodes, canvas) + " pixels differ");
    }

    private static Optional<FrameLines.Look> look(List<Stroke> strokes, boolean handles) {
        return Optional.of(new FrameLines.Look(
                VIEW.toScreen(FRAME), Optional.of(new FrameLines.Overlaid(strokes, INK)), handles, CRISP));
    }

    private static FrameLines shown(Optional<FrameLines.Look> look) {
        FrameLines lines = new FrameLines();
        lines.cut(WIDTH, HEIGHT);
        lines.show(look);
        return lines;
    }

    private static WritableImage ofNodes(Optional<FrameLines.Look> look) {
        return picture(shown(look));
    }

    private static WritableImage onCanvas(List<Stroke> strokes) {
        Canvas canvas = new Canvas(WIDTH, HEIGHT);
        PhotoPainter painter = new PhotoPainter(canvas.getGraphicsContext2D(), VIEW);
        painter.overlay(FRAME, strokes, INK);
        painter.edge(FRAME);
        return picture(canvas);
    }

    private static WritableImage picture(Node node) {
        Pane pane = new Pane(node);
        pane.resize(WIDTH, HEIGHT);
        SnapshotParameters onGrey = new SnapshotParameters();
        onGrey.setFill(GREY);
        onGrey.setViewport(new Rectangle2D(0, 0, WIDTH, HEIGHT));
        WritableImage picture = pane.snapshot(onGrey, null);
        pane.getChildren().clear();
        return picture;
    }

    /** Pixels that differ by more than an eighth. */
    private static long unlike(WritableImage one, WritableImage other) {
        PixelReader a = one.getPixelReader();
        PixelReader b = other.getPixelReader();
        return IntStream.range(0, WIDTH * HEIGHT)
                .filter(i -> Math.abs(a.getColor(i % WIDTH, i / WIDTH).getBrightness()
                                - b.getColor(i % WIDTH, i / WIDTH).getBrightness())
                        > 0.125)
                .count();
    }

    private static <T> T onFx(Callable<T> what) {
        return WaitForAsyncUtils.waitForAsyncFx(10_000, what);
    }
}
