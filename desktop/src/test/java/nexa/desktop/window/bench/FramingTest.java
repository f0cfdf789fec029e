package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.stream.Stream;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.setting.Mover;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Every way to frame, on photos held level, tilted, turned and mirrored. */
class FramingTest extends WindowTest {
    /** Two pixels of the photo as it lies on the Bench. */
    private static final double NEAR = 0.004;

    static Stream<Pose> poses() {
        return Stream.of(
                Pose.AS_SHOT,
                new Pose(Turn.NONE, new Tilt(4.5)),
                new Pose(Turn.CLOCKWISE, new Tilt(-3)),
                new Pose(new Turn(2, true), new Tilt(2)));
    }

    @ParameterizedTest
    @MethodSource("poses")
    void cornerAndEdges_leaveTheOppositeSideInPlace(Pose pose, FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", pose);
        place(0.7);
        Frame start = frame();
        drag(robot, onScreen(bench, start.at(0, 0)), onScreen(bench, start.at(0.2, 0.2)));
        Frame smaller = frame();
        assertEquals(0, start.at(1, 1).distance(smaller.at(1, 1)), 1e-9);
        assertEquals(start.width() * 0.8, smaller.width(), NEAR);
        assertEquals(start.aspect(), smaller.aspect(), 1e-9);
        // an edge anywhere along its length, here near its end
        drag(robot, onScreen(bench, smaller.at(1, 0.85)), onScreen(bench, smaller.at(0.9, 0.85)));
        assertEquals(smaller.left(), frame().left(), 1e-9);
        assertEquals(smaller.width() * 0.9, frame().width(), NEAR);
        assertEquals(smaller.centreY(), frame().centreY(), 1e-9);
    }

    @ParameterizedTest
    @MethodSource("poses")
    void controlHeld_resizesAboutTheCentre(Pose pose, FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", pose);
        place(0.6);
        Frame start = frame();
        drag(robot, onScreen(bench, start.at(1, 1)), onScreen(bench, start.at(0.9, 0.9)), KeyCode.CONTROL);
        assertEquals(0, start.centre().distance(frame().centre()), 1e-9);
        assertEquals(start.width() * 0.8, frame().width(), NEAR);
    }

    @Test
    void freeFrame_stretchesAndShiftKeepsItsShape(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "free", "kiln_0201.jpg", new Pose(Turn.NONE, new Tilt(2)));
        place(0.6);
        Frame start = frame();
        drag(robot, onScreen(bench, start.at(1, 0.5)), onScreen(bench, start.at(0.7, 0.5)));
        Frame narrow = frame();
        assertEquals(start.width() * 0.7, narrow.width(), NEAR);
        assertEquals(start.height(), narrow.height(), 1e-9);
        drag(robot, onScreen(bench, narrow.at(1, 1)), onScreen(bench, narrow.at(0.8, 0.95)), KeyCode.SHIFT);
        assertEquals(narrow.aspect(), frame().aspect(), 1e-9);
        assertTrue(frame().width() < narrow.width());
    }

    @ParameterizedTest
    @MethodSource("poses")
    void insideDrag_movesTheFrameAndWithShiftThePhoto(Pose pose, FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", pose);
        place(0.5);
        Frame start = frame();
        Point way = new Point(0.06, 0.05);
        drag(
                robot,
                onScreen(bench, start.centre()),
                onScreen(bench, start.centre().plus(way)));
        assertEquals(0, start.centre().plus(way).distance(frame().centre()), NEAR);
        Frame moved = frame();
        Point grab = moved.at(0.4, 0.4);
        drag(robot, onScreen(bench, grab), onScreen(bench, grab.plus(way)), KeyCode.SHIFT);
        assertEquals(0, moved.centre().minus(way).distance(frame().centre()), NEAR);
    }

    @Test
    void photoAsMover_keepsTheFrameInPlaceOnTheScreen(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", new Pose(Turn.NONE, new Tilt(1)));
        place(0.5);
        press(robot, KeyCode.SHIFT, KeyCode.F);
        assertEquals(Mover.PHOTO, session().settings().moverProperty().get());
        Frame start = frame();
        var place = onScreen(bench, start.centre());
        var grab = onScreen(bench, start.at(0.3, 0.3));
        robot.moveTo(grab).press(MouseButton.PRIMARY).moveBy(20, 0).moveBy(20, 10);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(0, place.distance(onScreen(bench, frame().centre())), 1.01, "during the drag");
        robot.release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(0, place.distance(onScreen(bench, frame().centre())), 1.01, "and after it");
        assertTrue(frame().centreX() < start.centreX() && frame().centreY() < start.centreY());
    }

    @Test
    void insideDragNearTheMiddle_snapsAndAltSuspends(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.5);
        Frame start = frame();
        Point off = new Point(0.1, 0.06);
        drag(
                robot,
                onScreen(bench, start.centre()),
                onScreen(bench, start.centre().plus(off)));
        Frame away = frame();
        var close = onScreen(bench, new Point(0, 0)).add(3, -3);
        drag(robot, onScreen(bench, away.centre()), close, KeyCode.ALT);
        assertTrue(frame().centre().length() > 1e-4, "Alt: no snapping");
        onFx(session().shoot()::undo);
        drag(robot, onScreen(bench, away.centre()), close);
        assertEquals(0, frame().centre().length(), 1e-12, "caught by both centre lines");
    }

    @ParameterizedTest
    @MethodSource("poses")
    void drawnFrame_liesAsItWasDrawn(Pose pose, FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", pose);
        Point corner = new Point(-0.12, -0.12);
        press(robot, KeyCode.D);
        drag(robot, onScreen(bench, corner), onScreen(bench, corner.plus(new Point(0.15, 0.26))));
        assertEquals(0.8, frame().aspect(), 1e-9, "drawn down: vertical");
        assertEquals(0, corner.distance(frame().at(0, 0)), NEAR);
        click(robot, "#draw");
        Point right = new Point(0.15, 0.15);
        drag(robot, onScreen(bench, right), onScreen(bench, right.plus(new Point(-0.26, -0.15))));
        assertEquals(1.25, frame().aspect(), 1e-9, "drawn across: horizontal");
        assertEquals(0, right.distance(frame().at(1, 1)), NEAR);
        assertEquals(BenchMode.FRAMING, bench.modeProperty().get());
    }

    @ParameterizedTest
    @MethodSource("poses")
    void dragOutsideTheFrame_tiltsThePhoto(Pose pose, FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", pose);
        place(0.4);
        Point from = new Point(0.30, 0);
        double turn = Math.toRadians(2);
        Point to = new Point(0.30 * Math.cos(turn), 0.30 * Math.sin(turn));
        drag(robot, onScreen(bench, from), onScreen(bench, to));
        assertEquals(
                pose.tilt().degrees() + 2, session().framing().pose().tilt().degrees(), 0.35);
    }
}
