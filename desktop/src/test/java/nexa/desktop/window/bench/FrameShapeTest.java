package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import nexa.core.brief.Crop;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Nested;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** The frame's shape, its numbers, and leaving the photo. */
class FrameShapeTest extends WindowTest {
    /** Two pixels of the photo as it lies on the Bench. */
    private static final double NEAR = 0.004;

    @Test
    void swapKey_turnsTheFrameAndBackExactly(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", new Pose(Turn.NONE, new Tilt(-2)));
        place(0.6);
        Frame start = frame();
        press(robot, KeyCode.T);
        assertEquals(1 / start.aspect(), frame().aspect(), 1e-9);
        assertEquals(0, start.centre().distance(frame().centre()), 1e-9);
        assertEquals(start.width() * start.height(), frame().width() * frame().height(), 1e-9);
        press(robot, KeyCode.T);
        assertEquals(start.width(), frame().width(), 1e-12);
        assertEquals(start.aspect(), frame().aspect(), 1e-12);
    }

    @Test
    void swapOfAFrameAsPhoto_takesAShapeOfItsOwn(FxRobot robot) throws Exception {
        onBench(robot, "as photo", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.T);
        assertEquals(2 / 3.0, frame().aspect(), 1e-9);
        press(robot, KeyCode.T);
        assertEquals(1.5, frame().aspect(), 1e-9);
    }

    @Test
    void unlocking_keepsTheFrameAndLockingTakesTheNearest(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.6);
        Frame start = frame();
        press(robot, KeyCode.SHIFT, KeyCode.T);
        assertTrue(session().frameEdits().isFree());
        assertEquals(start.width(), frame().width(), 1e-9);
        drag(robot, onScreen(bench, start.at(1, 0.5)), onScreen(bench, start.at(0.8, 0.5)));
        Frame stretched = frame();
        click(robot, "#lock");
        assertFalse(session().frameEdits().isFree());
        assertEquals(1.25, Math.max(frame().aspect(), 1 / frame().aspect()), 1e-9);
        assertEquals(0, stretched.centre().distance(frame().centre()), 1e-9);
    }

    @Test
    void typedShapes_areHeldRememberedAndRefusedInWords(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F);
        type(robot, "#shape-typed", "20x30 cm");
        assertEquals(1.5, frame().aspect(), 1e-9);
        assertTrue(robot.lookup("#open-SHAPE").<Labeled>query().getText().contains("own shape 2:3"));
        type(robot, "#shape-typed", "1080 x 1350 px");
        assertEquals(1.25, frame().aspect(), 1e-9);
        assertEquals(
                "1080 x 1350 px", session().settings().shapesProperty().get().getFirst());
        type(robot, "#shape-typed", "20 cm x 300 px");
        assertTrue(robot.lookup(".refusal").queryLabeled().getText().contains("against pixels"));
        click(robot, "#shape-1-1");
        assertEquals(1, frame().aspect(), 1e-9);
        reopen();
        assertEquals(1, frame().aspect(), 1e-9);
        assertEquals(2, session().settings().shapesProperty().get().size());
    }

    @Test
    void arrows_nudgeByOutputPixelsAsOneStep(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", new Pose(Turn.NONE, new Tilt(1)));
        place(0.6);
        Frame start = frame();
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.SHIFT, KeyCode.RIGHT);
        assertEquals(11 / 1800.0, frame().centreX() - start.centreX(), 1e-9);
        assertEquals(1 / 1800.0, frame().centreY() - start.centreY(), 1e-9);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(start, frame());
        press(robot, KeyCode.SHORTCUT, KeyCode.DOWN);
        assertEquals(start.width() - 20 / 1800.0, frame().width(), 1e-9);
        assertEquals(0, start.centre().distance(frame().centre()), 1e-9);
    }

    @Test
    void exactNumbers_setTheFrameFromAReferencePoint(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.SHIFT, KeyCode.D);
        type(robot, "#numbers-width", "1000");
        assertEquals(1000 / 1800.0, frame().width(), 1e-9);
        assertEquals(1.25, frame().aspect(), 1e-9);
        click(robot, "#reference-BOTTOM_RIGHT");
        type(robot, "#numbers-x", "1500");
        assertEquals((1500 - 900) / 1800.0, frame().right(), 1e-9);
        type(robot, "#numbers-width", "nonsense");
        type(robot, "#numbers-width", "-20");
        assertEquals(1000 / 1800.0, frame().width(), 1e-9, "what is no width changes nothing");
        press(robot, KeyCode.ESCAPE);
        assertTrue(robot.lookup("#numbers-x").tryQuery().isEmpty());
    }

    @Test
    void outsideAllowed_letsTheFrameLeaveAndSaysSo(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.5);
        Frame start = frame();
        Point out = new Point(0.45, 0);
        drag(
                robot,
                onScreen(bench, start.centre()),
                onScreen(bench, start.centre().plus(out)),
                KeyCode.ALT);
        assertEquals(0.5, frame().right(), 1e-9, "inside unless allowed");
        press(robot, KeyCode.F);
        click(robot, "#outside");
        press(robot, KeyCode.ESCAPE);
        Frame inside = frame();
        drag(
                robot,
                onScreen(bench, inside.centre()),
                onScreen(bench, inside.centre().plus(new Point(0.05, 0))),
                KeyCode.ALT);
        assertEquals(0.55, frame().right(), NEAR);
        assertTrue(session().frameEdits().showsBlank());
        assertTrue(session().moment().crop().filter(Crop::outside).isPresent());
    }

    @Test
    void clickOnANestedOutline_makesItTheFramesShape(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "16:9", "kiln_0201.jpg", new Pose(Turn.NONE, new Tilt(1)));
        onFx(() -> session().overlayProperty().set(OverlayChoice.of(Overlay.NESTED)));
        Frame start = frame();
        Shape.Ratio square = new Shape.Ratio(1, 1);
        Frame outline = Nested.outline(start, square);
        robot.clickOn(onScreen(bench, outline.at(1, 0.3)));
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(
                Optional.of(square), session().moment().crop().orElseThrow().ownShape());
        assertEquals(1, frame().aspect(), 1e-9);
        assertEquals(0, start.centre().distance(frame().centre()), 1e-9);
        assertEquals(MainView.BENCH, session().viewProperty().get());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        drag(
                robot,
                onScreen(bench, outline.at(1, 0.3)),
                onScreen(bench, outline.at(1, 0.3).plus(new Point(-0.01, 0))));
        assertTrue(
                session().moment().crop().orElseThrow().ownShape().isEmpty(),
                "a drag from there still moves the frame");
    }
}
