package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.outline.Outline;
import nexa.core.plumb.Plumb;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.model.Plumbing;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Every way to stand a photo up. */
class PlumbingTest extends WindowTest {
    static Stream<Pose> poses() {
        return Stream.of(Pose.AS_SHOT, new Pose(Turn.CLOCKWISE, Tilt.NONE), new Pose(new Turn(0, true), Tilt.NONE));
    }

    private Plumbing plumbing() {
        return window.models().orElseThrow().plumbing();
    }

    private void draw(FxRobot robot, BenchView bench, Point from, Point to) {
        drag(robot, onScreen(bench, from), onScreen(bench, to));
    }

    @ParameterizedTest
    @MethodSource("poses")
    void twoUprights_areStoodUp_whicheverWayThePhotoLies(Pose pose, FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", pose);
        press(robot, KeyCode.CONTROL, KeyCode.U);
        assertEquals(BenchMode.PLUMB, bench.modeProperty().get());
        draw(robot, bench, new Point(-0.2, 0.15), new Point(-0.17, -0.15));
        assertTrue(plumbing().shown().equals(Plumb.NONE), "one line does not tell");
        draw(robot, bench, new Point(0.2, 0.15), new Point(0.17, -0.15));
        assertEquals(2, plumbing().linesProperty().get().size());
        assertTrue(plumbing().shown().pitch() > 3, () -> plumbing().shown().toString());
        PhotoSpace space = session().space().orElseThrow();
        for (Plumbing.Line line : plumbing().linesProperty().get()) {
            Point along = space.fromAsShot(line.to()).minus(space.fromAsShot(line.from()));
            assertEquals(0, Math.toDegrees(Math.atan2(along.x(), -along.y())), 0.1);
        }
        assertTrue(space.outline().holds(frame()), "no blank is shown");
        Plumbing.Line first = plumbing().linesProperty().get().getFirst();
        robot.clickOn(onScreen(bench, space.fromAsShot(first.to())));
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(Plumb.NONE, plumbing().shown(), "with one line it is as it was");
    }

    private void scrub(FxRobot robot, String ruler, double by) {
        Bounds where = robot.lookup(ruler)
                .query()
                .localToScreen(robot.lookup(ruler).query().getBoundsInLocal());
        Point2D from = new Point2D(where.getCenterX(), where.getCenterY());
        drag(robot, from, from.add(by, 0));
    }

    @Test
    void rulersAndHowFar_changeThePhoto_andOneStepTakesEachBack(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.7);
        Frame before = frame();
        Outline outline = session().space().orElseThrow().outline();
        click(robot, "#plumb");
        scrub(robot, "#pitch-ruler", -56);
        assertEquals(2, plumbing().shown().pitch(), 0.2);
        assertFalse(outline.equals(session().space().orElseThrow().outline()));
        scrub(robot, "#yaw-ruler", 28);
        assertEquals(-1, plumbing().shown().yaw(), 0.2);
        onFx(() -> session().shoot().undo());
        assertEquals(0, plumbing().shown().yaw());
        click(robot, "#plumb-clear");
        assertEquals(before, frame(), "to the last bit");
        click(robot, "#plumb-done");
        assertTrue(robot.lookup("#check").query().isVisible());
    }

    @Test
    void half_isWhereTheNextPhotoBegins(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        click(robot, "#plumb");
        scrub(robot, "#pitch-ruler", -56);
        click(robot, "#plumb-half");
        assertEquals(0.5, plumbing().shown().far());
        assertEquals(2, plumbing().shown().pitch(), 0.2);
        onFx(() -> session().going().step(1));
        assertFalse(plumbing().isPlumbed());
        click(robot, "#plumb");
        assertTrue(robot.lookup("#plumb-clear").query().isDisabled(), "there is nothing to clear");
        scrub(robot, "#pitch-ruler", -56);
        assertEquals(0.5, plumbing().shown().far(), "as far as the last one");
    }

    @Test
    void ownLines_thatDoNotTell_areRefusedWithWords(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.U);
        until(() -> plumbing()
                .verdictProperty()
                .get()
                .filter(v -> !(v instanceof Plumbing.Verdict.Searching))
                .isPresent());
        assertTrue(plumbing().verdictProperty().get().orElseThrow() instanceof Plumbing.Verdict.Found);
        assertEquals(Plumb.NONE, plumbing().shown());
        press(robot, KeyCode.ESCAPE);
        assertEquals(BenchMode.FRAMING, bench.modeProperty().get());
        assertTrue(plumbing().verdictProperty().get().isEmpty());
    }

    @Test
    void lensByHand_bendsWallCardsAndBench_andIsUndone(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        until(() -> window.models().orElseThrow().lens().offerProperty().get().isPresent());
        click(robot, "#lens-use-by-hand");
        onFx(() -> ((javafx.scene.control.Slider) robot.lookup("#lens-bend").query()).setValue(-0.15));
        assertEquals(-0.15, session().framing().pose().lens().hand().bend(), 1e-9);
        onFx(() -> ((javafx.scene.control.Slider) robot.lookup("#lens-stops").query()).setValue(-2));
        assertEquals(1, session().framing().pose().correction().light().size());
        click(robot, "#lens-use-off");
        assertTrue(session().framing().pose().correction().isNone());
        click(robot, "#lens-all");
        until(() -> window.models().orElseThrow().lens().groupsProperty().get().isPresent());
    }
}
