package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.Pose;
import nexa.core.trim.Side;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** What the pointer draws, touches and drags on the Bench, by keys alone. */
class AimTest extends WindowTest {
    /** Canvas units that the cross moves at an arrow key with Shift. */
    private static final double LEAP = 20;

    private List<Point> marks() {
        return session().framing().marks().in(session().space().orElseThrow());
    }

    /** Where the pointer was left the cross begins. */
    private BenchView beginAt(FxRobot robot, Point level) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        robot.moveTo(onScreen(bench, level));
        return bench;
    }

    /** So many leaps of the cross from a point of level space. */
    private static Point leapt(BenchView bench, Point level, int right, int down) {
        Point origin = bench.toScreen(new Point(0, 0)).orElseThrow();
        double scale = bench.toScreen(new Point(1, 0)).orElseThrow().x() - origin.x();
        return level.plus(new Point(right * LEAP / scale, down * LEAP / scale));
    }

    private static void leap(FxRobot robot, KeyCode arrow, int times) {
        for (int i = 0; i < times; i++) {
            press(robot, KeyCode.SHIFT, arrow);
        }
    }

    /** From where the cross is to the right, and up or down. */
    private static void draw(FxRobot robot, int right, KeyCode arrow, int times) {
        press(robot, KeyCode.ENTER);
        leap(robot, KeyCode.RIGHT, right);
        leap(robot, arrow, times);
        press(robot, KeyCode.ENTER);
    }

    private static void assertNear(Point expected, Point actual) {
        assertEquals(0, expected.distance(actual), 0.004, actual + " instead of " + expected);
    }

    @Test
    void marksAreSet_andMoved(FxRobot robot) throws Exception {
        Point start = new Point(-0.1, -0.1);
        BenchView bench = beginAt(robot, start);
        press(robot, KeyCode.SHIFT, KeyCode.K);
        leap(robot, KeyCode.RIGHT, 2);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.ENTER);
        Point first = leapt(bench, start, 2, 0);
        assertEquals(1, marks().size());
        assertNear(first, marks().getFirst());
        leap(robot, KeyCode.DOWN, 3);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.ENTER);
        assertEquals(2, marks().size(), "and the second");
        press(robot, KeyCode.ENTER); // takes hold of it
        leap(robot, KeyCode.LEFT, 4);
        press(robot, KeyCode.ENTER);
        assertNear(first, marks().getFirst());
        assertNear(leapt(bench, start, -2, 3), marks().getLast());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertNear(leapt(bench, start, 2, 3), marks().getLast());
    }

    @Test
    void aLevelLine_levelsThePhoto(FxRobot robot) throws Exception {
        beginAt(robot, new Point(-0.2, 0));
        press(robot, KeyCode.L);
        leap(robot, KeyCode.LEFT, 1);
        draw(robot, 15, KeyCode.DOWN, 1);
        double slope = Math.toDegrees(Math.atan2(1, 15));
        assertEquals(-slope, session().framing().pose().tilt().degrees(), 0.02);
    }

    @Test
    void aNewFrame_isDrawn(FxRobot robot) throws Exception {
        Point start = new Point(-0.15, -0.15);
        BenchView bench = beginAt(robot, start);
        press(robot, KeyCode.D);
        leap(robot, KeyCode.RIGHT, 1);
        draw(robot, 8, KeyCode.DOWN, 10);
        Frame drawn = frame();
        assertNear(leapt(bench, start, 1, 0), new Point(drawn.left(), drawn.top()));
        assertNear(leapt(bench, start, 9, 10), new Point(drawn.right(), drawn.bottom()));
        assertSame(BenchMode.FRAMING, bench.modeProperty().get());
        press(robot, KeyCode.RIGHT);
        assertEquals(
                1 / 1600.0,
                frame().left() - drawn.left(),
                1 / 1600.0,
                "the frame again is what arrow keys move, by the photo's pixels");
    }

    @Test
    void aSideOfThePicture_isDragged(FxRobot robot) throws Exception {
        Point start = new Point(-0.5, 0);
        BenchView bench = beginAt(robot, start);
        press(robot, KeyCode.SHORTCUT, KeyCode.T);
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.ENTER);
        leap(robot, KeyCode.RIGHT, 3);
        press(robot, KeyCode.ENTER);
        assertEquals(
                leapt(bench, start, 3, 0).x(), session().framing().pose().trim().place(Side.LEFT), 0.01);
        assertSame(BenchMode.TRIM, bench.modeProperty().get(), "more sides may follow");
    }

    @Test
    void escape_givesUpWhatWasBegun(FxRobot robot) throws Exception {
        BenchView bench = beginAt(robot, new Point(-0.1, -0.1));
        Frame before = frame();
        int edits = session().editsProperty().get();
        press(robot, KeyCode.D);
        leap(robot, KeyCode.RIGHT, 1);
        press(robot, KeyCode.ENTER);
        leap(robot, KeyCode.DOWN, 6);
        assertFalse(before.equals(frame()), "what is drawn is seen");
        press(robot, KeyCode.ESCAPE);
        assertEquals(before, frame());
        assertSame(BenchMode.FRAMING, bench.modeProperty().get());
        assertEquals(edits, session().editsProperty().get());
    }

    @Test
    void withoutACross_enterAcceptsAsEver_andWhoTakesTheMouseHasNone(FxRobot robot) throws Exception {
        BenchView bench = beginAt(robot, new Point(-0.1, -0.1));
        press(robot, KeyCode.SHIFT, KeyCode.K);
        press(robot, KeyCode.RIGHT);
        robot.moveBy(3, 0);
        press(robot, KeyCode.ENTER);
        assertTrue(marks().isEmpty());
        var format = session().format().orElseThrow();
        assertEquals(
                FrameState.CHECKED,
                session().framing(session().shoot().photos().getFirst()).state(format));
        assertSame(BenchMode.MARKING, bench.modeProperty().get());
    }

    @Test
    void crossIsSeen_untilTheMouseMoves(FxRobot robot) throws Exception {
        Point start = new Point(-0.1, -0.1);
        BenchView bench = beginAt(robot, start);
        press(robot, KeyCode.SHIFT, KeyCode.K);
        Point arm = bench.toScreen(start).orElseThrow().plus(new Point(12, 0));
        until(() -> brightness(bench, arm) < 0.9); // the photo is not white there
        press(robot, KeyCode.RIGHT);
        until(() -> brightness(bench, arm) > 0.95);
        robot.moveBy(40, 40);
        until(() -> brightness(bench, arm) < 0.9);
    }

    private static double brightness(BenchView bench, Point at) throws Exception {
        return colour(bench.snapshot(null, null), at.x(), at.y()).getBrightness();
    }

    @Test
    void whoBeganAtAButton_isThereAgainAfterwards(FxRobot robot) throws Exception {
        beginAt(robot, new Point(-0.2, 0));
        Node button = robot.lookup("#level").query();
        for (int i = 0; i < 80 && !isFocused(button); i++) {
            press(robot, KeyCode.TAB);
        }
        assertTrue(isFocused(button), "reached");
        press(robot, KeyCode.SPACE);
        leap(robot, KeyCode.LEFT, 1);
        draw(robot, 12, KeyCode.UP, 1);
        assertTrue(session().framing().pose().tilt().degrees() > 1);
        assertTrue(isFocused(button));
        assertTrue(button.isFocusVisible());
    }

    private static boolean isFocused(Node node) {
        return node.getScene().getFocusOwner() == node;
    }

    @Test
    void closer_whatIsSeenMovesByKeys(FxRobot robot) throws Exception {
        BenchView bench = beginAt(robot, new Point(0, 0));
        Frame before = frame();
        press(robot, KeyCode.Z);
        Optional<Point> middle = bench.toScreen(new Point(0, 0));
        robot.press(KeyCode.SPACE).push(KeyCode.SHIFT, KeyCode.RIGHT).release(KeyCode.SPACE);
        until(() -> bench.toScreen(new Point(0, 0)).orElseThrow().x()
                < middle.orElseThrow().x() - 100);
        assertEquals(before, frame(), "and the frame stays");
    }
}
