package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import javafx.scene.control.Slider;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.setting.OverlayLook;
import nexa.desktop.setting.OverlayShow;
import nexa.desktop.widget.Looks;
import nexa.desktop.window.WindowTest;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;
import nexa.imaging.pixels.Reduction;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Overlay, mat, held keys and zoom, on the Bench's own pixels. */
class LookingTest extends WindowTest {
    private static final Pose TILTED_MIRRORED = new Pose(Turn.MIRROR, new Tilt(2));

    /** Colour at fractions of the frame. */
    private Color at(BenchView bench, double x, double y) throws Exception {
        Point place = bench.toScreen(frame().at(x, y)).orElseThrow();
        return colour(picture(bench), place.x(), place.y());
    }

    private static double difference(Color one, Color other) {
        return Math.abs(one.getRed() - other.getRed())
                + Math.abs(one.getGreen() - other.getGreen())
                + Math.abs(one.getBlue() - other.getBlue());
    }

    @Test
    void overlayLines_areOneWholePixelOnTheGeometry(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", TILTED_MIRRORED);
        showThirdsInRed();
        untilDrawn(bench, frame().at(0.5, 0.2));
        assertThirdsLieRight(bench);
    }

    @Test
    void roomTakenFromTheBench_takesTheFrameAlong(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0206.jpg", Pose.AS_SHOT);
        showThirdsInRed();
        onFx(() -> window.models().orElseThrow().marking().click(Point.ORIGIN));
        untilDrawn(bench, frame().at(0.5, 0.2));
        assertThirdsLieRight(bench);
        double wide = bench.getWidth();
        press(robot, KeyCode.SHORTCUT, KeyCode.K); // a pane beside the Bench
        until(() -> bench.getWidth() < wide - 300);
        assertThirdsLieRight(bench);
    }

    private void showThirdsInRed() throws Exception {
        onFx(() -> {
            session().settings().overlayLookProperty().set(new OverlayLook(OverlayLook.Ink.RED, 1, 1));
            session().overlayProperty().set(OverlayChoice.of(Overlay.THIRDS));
        });
    }

    private void assertThirdsLieRight(BenchView bench) throws Exception {
        WritableImage picture = picture(bench);
        Color red = Looks.colour(OverlayLook.Ink.RED, 0);
        for (double third : new double[] {1 / 3.0, 2 / 3.0}) {
            Point upright = bench.toScreen(frame().at(third, 0.2)).orElseThrow();
            int column = redColumn(picture, red, (int) upright.x(), (int) upright.y());
            assertEquals(upright.x(), column + 0.5, 1.0, "the line lies on the geometry");
            Point across = bench.toScreen(frame().at(0.2, third)).orElseThrow();
            int row = redRow(picture, red, (int) across.x(), (int) across.y());
            assertEquals(across.y(), row + 0.5, 1.0);
        }
    }

    /** The one column near a place that is wholly red. */
    private static int redColumn(WritableImage picture, Color red, int x, int y) {
        int found = -1;
        for (int near = x - 3; near <= x + 3; near++) {
            if (difference(colour(picture, near, y), red) < 0.03) {
                assertEquals(-1, found, "only one column is red");
                found = near;
            }
        }
        assertTrue(found >= 0, "one column is red");
        return found;
    }

    private static int redRow(WritableImage picture, Color red, int x, int y) {
        int found = -1;
        for (int near = y - 3; near <= y + 3; near++) {
            if (difference(colour(picture, x, near), red) < 0.03) {
                assertEquals(-1, found, "only one row is red");
                found = near;
            }
        }
        assertTrue(found >= 0, "one row is red");
        return found;
    }

    @Test
    void overlay_showsAlwaysWhileAdjustingOrNever(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        onFx(() -> {
            session().settings().overlayLookProperty().set(new OverlayLook(OverlayLook.Ink.RED, 1, 2));
            session().overlayProperty().set(OverlayChoice.of(Overlay.CENTRE));
        });
        untilDrawn(bench, frame().at(0.4, 0.2));
        Color red = Looks.colour(OverlayLook.Ink.RED, 0);
        assertTrue(difference(at(bench, 0.5, 0.2), red) < 0.1);
        press(robot, KeyCode.CONTROL, KeyCode.G);
        assertEquals(
                OverlayShow.ADJUSTING,
                session().settings().overlayShowProperty().get());
        until(() -> difference(snapshotAt(bench, 0.5, 0.2), red) > 0.3);
        press(robot, KeyCode.PERIOD);
        assertTrue(difference(at(bench, 0.5, 0.2), red) < 0.1, "while a key adjusts");
        press(robot, KeyCode.CONTROL, KeyCode.G);
        assertTrue(difference(at(bench, 0.5, 0.2), red) > 0.3, "never");
    }

    private Color snapshotAt(BenchView bench, double x, double y) {
        Point place = bench.toScreen(frame().at(x, y)).orElseThrow();
        return colour(bench.snapshot(null, null), place.x(), place.y());
    }

    @Test
    void matSlider_goesFromClearToOpaque(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0201.jpg", TILTED_MIRRORED);
        place(0.8);
        untilDrawn(bench, frame().at(0.5, 0.2));
        click(robot, "#more-frame");
        click(robot, "#seldom-LOOKS");
        click(robot, "#tone-DARK");
        Slider mat = robot.lookup("#mat-strength").query();
        onFx(() -> mat.setValue(1));
        Color opaque = at(bench, 1.06, 0.5);
        assertEquals(0.13, opaque.getBrightness(), 0.01);
        onFx(() -> mat.setValue(0));
        Color clear = at(bench, 1.06, 0.5);
        assertTrue(difference(clear, opaque) > 0.4, "the photo itself: " + clear);
        robot.press(KeyCode.ESCAPE).release(KeyCode.ESCAPE);
        reopen();
        assertEquals(0, session().settings().matStrengthProperty().get());
    }

    @Test
    void heldKeys_showOnlyTheResultTheWholePhotoAndBefore(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0201.jpg", TILTED_MIRRORED);
        place(0.7);
        untilDrawn(bench, frame().at(0.5, 0.2));
        Color veiled = at(bench, 1.1, 0.5);
        robot.press(KeyCode.E);
        assertEquals(0.0, at(bench, 1.1, 0.5).getOpacity() * difference(at(bench, 1.1, 0.5), surround(bench)), 0.02);
        robot.release(KeyCode.E);
        assertTrue(difference(at(bench, 1.1, 0.5), veiled) < 0.02, "let go: as it was");
        robot.press(KeyCode.I);
        Color whole = at(bench, 1.1, 0.5);
        assertTrue(difference(whole, veiled) > 0.2, "no mat");
        robot.release(KeyCode.I);
        robot.press(KeyCode.J);
        Color before = at(bench, 0, 0);
        robot.release(KeyCode.J);
        assertTrue(difference(before, Color.WHITE) > 0.1, "no frame's edge or handle");
        assertEquals(2, session().framing().pose().tilt().degrees(), "nothing changed");
    }

    private static Color surround(BenchView bench) throws Exception {
        return colour(picture(bench), 4, 4);
    }

    @Test
    void bareKey_takesAllFurnitureAway(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0201.jpg", Pose.AS_SHOT);
        double width = bench.getWidth();
        press(robot, KeyCode.K);
        assertFalse(robot.lookup(".rail").query().isVisible());
        assertFalse(robot.lookup(".desk").query().isVisible());
        assertTrue(bench.getWidth() > width + 100);
        press(robot, KeyCode.ESCAPE);
        assertTrue(robot.lookup(".desk").query().isVisible());
    }

    @Test
    void zoomedTo100Percent_showsThePhotosOwnPixels(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "free", "kiln_0201.jpg", Pose.AS_SHOT);
        untilDrawn(bench, frame().at(0.4, 0.4));
        robot.moveTo(onScreen(bench, new Point(0.03, 0.02)));
        press(robot, KeyCode.Z);
        assertEquals(1, bench.zoomFactor().orElseThrow(), 1e-9);
        press(robot, KeyCode.Z);
        assertEquals(2, bench.zoomFactor().orElseThrow(), 1e-9);
        onFx(() -> session().settings().overlayShowProperty().set(OverlayShow.NEVER));
        try (Picture photo = Decoder.decode(folder.resolve("kiln_0201.jpg"), Reduction.NONE)) {
            Raster raster = photo.toRaster();
            until(() -> matches(bench, raster));
        }
    }

    /** Whether some pixels of the photo are where the view says, each as a square of its own. */
    private boolean matches(BenchView bench, Raster raster) {
        WritableImage picture = bench.snapshot(null, null);
        for (int i = 0; i < 12; i++) {
            int x = 900 + i * 9;
            int y = 610 + i * 5;
            Point level = new Point((x + 0.5 - 900) / 1800, (y + 0.5 - 600) / 1800);
            Point place = bench.toScreen(level).orElseThrow();
            int argb = raster.argb()[y * raster.width() + x];
            Color expected = Color.rgb(argb >> 16 & 0xFF, argb >> 8 & 0xFF, argb & 0xFF);
            if (difference(expected, colour(picture, place.x(), place.y())) > 0.02) {
                return false;
            }
        }
        return true;
    }

    @Test
    void wheelZoomsAtThePointerAndSpacePans(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        Point target = frame().at(0.25, 0.3);
        var place = onScreen(bench, target);
        robot.moveTo(place).scroll(5, javafx.geometry.VerticalDirection.UP);
        WaitForAsyncUtils.waitForFxEvents();
        assertTrue(bench.isZoomed());
        assertEquals(0, place.distance(onScreen(bench, target)), 1.5, "what is under the pointer stays there");
        Frame before = frame();
        robot.press(KeyCode.SPACE);
        drag(robot, place, place.add(60, 40));
        robot.release(KeyCode.SPACE);
        assertEquals(0, place.add(60, 40).distance(onScreen(bench, target)), 1.5);
        assertEquals(before, frame(), "panning moves no frame");
        press(robot, KeyCode.DIGIT0);
        assertFalse(bench.isZoomed());
        press(robot, KeyCode.SHIFT, KeyCode.Z);
        Point corner = bench.toScreen(frame().at(0, 0)).orElseThrow();
        assertTrue(corner.x() < 120 || corner.y() < 60, "the frame fills the Bench");
    }

    @Test
    void keys_zoomByAStep_andBack(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        double whole = scale(bench);
        press(robot, KeyCode.CONTROL, KeyCode.PLUS);
        assertEquals(1.2, scale(bench) / whole, 1e-6);
        press(robot, KeyCode.CONTROL, KeyCode.MINUS);
        assertFalse(bench.isZoomed());
    }

    private static double scale(BenchView bench) {
        return bench.toScreen(new Point(1, 0)).orElseThrow().x()
                - bench.toScreen(Point.ORIGIN).orElseThrow().x();
    }

    @Test
    void framingWhenZoomed_followsThePointerExactly(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", new Pose(Turn.NONE, new Tilt(2)));
        place(0.6);
        robot.moveTo(onScreen(bench, frame().at(1, 1)));
        press(robot, KeyCode.Z);
        Frame start = frame();
        var corner = onScreen(bench, start.at(1, 1));
        drag(robot, corner, corner.subtract(40, 32));
        assertEquals(40 / 1800.0, start.right() - frame().right(), 1.5 / 1800);
        assertEquals(0, start.at(0, 0).distance(frame().at(0, 0)), 1e-9);
    }

    @Test
    void frameBeyondThePhoto_showsWhatItIsFilledWith(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        untilDrawn(bench, frame().at(0.4, 0.2));
        onFx(() -> {
            session().frameEdits().allowOutside(true);
            session().frameEdits().place("edit.frame", new Frame(0.4, 0, 0.4, 0.32));
            session().settings().overlayShowProperty().set(OverlayShow.NEVER);
            window.models().orElseThrow().filling().choose(Optional.of(new Fill.Colour(30, 160, 60)));
        });
        until(() -> window.models().orElseThrow().filling().current().isPresent());
        WritableImage picture = picture(bench);
        for (int step = 0; step < 20; step++) {
            Point place = bench.toScreen(frame().at(0.9, 0.3 + 0.02 * step)).orElseThrow();
            Color beyond = colour(picture, place.x(), place.y());
            assertEquals(30 / 255.0, beyond.getRed(), 0.03);
            assertEquals(160 / 255.0, beyond.getGreen(), 0.03);
            assertEquals(60 / 255.0, beyond.getBlue(), 0.03);
        }
        Point within = bench.toScreen(frame().at(0.1, 0.5)).orElseThrow();
        assertTrue(colour(picture, within.x(), within.y()).getRed() > 0.3, "the photo shows where it is");
    }
}
