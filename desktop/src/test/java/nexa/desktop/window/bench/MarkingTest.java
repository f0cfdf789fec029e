package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.wall.PhotoTile;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Subject marks, set by hand on the Bench or proposed. */
class MarkingTest extends WindowTest {
    private List<Point> marks() {
        return session().framing().marks().in(session().space().orElseThrow());
    }

    private static void clickAt(FxRobot robot, BenchView bench, Point level) {
        robot.clickOn(onScreen(bench, level));
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void clicksAndDrags_setAndMoveMarksOnTiltedPhotos(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", new Pose(new Turn(1, true), new Tilt(7)));
        press(robot, KeyCode.SHIFT, KeyCode.K);
        Point top = new Point(-0.1, -0.12);
        Point foot = new Point(0.02, 0.1);
        clickAt(robot, bench, top);
        assertEquals(1, marks().size());
        assertEquals(0, marks().getFirst().distance(top), 0.004);
        clickAt(robot, bench, foot);
        assertEquals(2, marks().size());
        assertEquals(0, marks().getLast().distance(foot), 0.004);
        Point moved = new Point(0.12, 0.05);
        drag(robot, onScreen(bench, foot), onScreen(bench, moved));
        assertEquals(0, marks().getFirst().distance(top), 0.004, "the other stays");
        assertEquals(0, marks().getLast().distance(moved), 0.004);
        clickAt(robot, bench, new Point(0.2, -0.1));
        assertEquals(1, marks().size(), "a third click begins anew");
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(2, marks().size());
        reopen();
        assertEquals(0, marks().getLast().distance(moved), 0.004, "kept");
    }

    @Test
    void derivedFrame_followsTheMarkWhileItIsDragged(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0201.jpg", Pose.AS_SHOT);
        Frame before = frame();
        press(robot, KeyCode.SHIFT, KeyCode.K);
        drag(robot, onScreen(bench, new Point(-0.25, -0.2)), onScreen(bench, new Point(-0.25, 0.1)));
        assertEquals(
                FrameState.DERIVED, session().framing().state(session().format().orElseThrow()));
        assertNotEquals(before.centreX(), frame().centreX());
        assertTrue(frame().contains(new Point(-0.25, -0.2)) && frame().contains(new Point(-0.25, 0.1)));
        press(robot, KeyCode.N);
        press(robot, KeyCode.N);
        assertEquals("kiln_0230.jpg", session().photo().orElseThrow().file());
        clickAt(robot, bench, new Point(0.1, 0));
        assertEquals(1, marks().size(), "marking stays on from photo to photo");
        press(robot, KeyCode.ESCAPE);
        Frame placed = frame();
        drag(
                robot,
                onScreen(bench, placed.centre()),
                onScreen(bench, placed.centre().plus(new Point(0.05, 0))));
        assertEquals(
                FrameState.PLACED, session().framing().state(session().format().orElseThrow()), "framing again");
    }

    @Test
    void frameDraggedNearAMark_catchesIt(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.5);
        onFx(() -> window.models().orElseThrow().marking().click(new Point(0.11, -0.06)));
        Frame frame = frame();
        double scale = bench.toScreen(new Point(1, 0)).orElseThrow().x()
                - bench.toScreen(new Point(0, 0)).orElseThrow().x();
        Point almost = new Point(0.11 + 3 / scale, frame.centreY() + 40 / scale);
        drag(robot, onScreen(bench, frame.centre()), onScreen(bench, almost));
        assertEquals(0.11, frame().centreX(), 1e-9, "its middle lies on the mark");
    }

    @Test
    void proposals_changeNothingUntilAccepted_asOneStep(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.W);
        press(robot, KeyCode.SHORTCUT, KeyCode.K); // that is all it takes
        var marking = window.models().orElseThrow().marking();
        until(() -> marking.searchProperty().get().isEmpty()
                && !marking.proposalsProperty().get().isEmpty());
        int proposed = marking.proposalsProperty().get().size();
        assertTrue(proposed >= 2, proposed + " of 3");
        assertTrue(session().shoot().photos().stream()
                .allMatch(photo -> session().framing(photo).marks().isEmpty()));
        click(robot, "#marks-accept");
        assertEquals(proposed, marked());
        assertTrue(marking.proposalsProperty().get().isEmpty());
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(0, marked());
    }

    private long marked() {
        return session().shoot().photos().stream()
                .filter(photo -> !session().framing(photo).marks().isEmpty())
                .count();
    }

    @Test
    void oneProposal_isDeclinedAndMarksAreTakenAway(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.K); // that is all it takes
        var marking = window.models().orElseThrow().marking();
        until(() -> marking.proposalsProperty().get().size() == 1);
        assertEquals(
                Set.of(session().photo().orElseThrow()),
                marking.proposalsProperty().get().keySet(),
                "on the Bench only the current photo");
        click(robot, "#marks-decline-one");
        assertTrue(marking.proposalsProperty().get().isEmpty());
        onFx(() -> marking.click(new Point(0, 0)));
        assertEquals(1, marked());
        click(robot, "#marks-clear");
        assertEquals(0, marked());
        assertEquals(MainView.BENCH, session().viewProperty().get());
    }

    @Test
    void paneOfMarks_standsBesideThePhotosItIsAbout(FxRobot robot) throws Exception {
        onBench(robot, "1:1", "kiln_0201.jpg", Pose.AS_SHOT);
        onFx(() -> session().viewProperty().set(MainView.WALL));
        press(robot, KeyCode.SHORTCUT, KeyCode.K);
        Node pane = robot.lookup(".small-pane").query();
        until(() -> {
            Bounds covered = pane.localToScene(pane.getLayoutBounds());
            return robot.lookup(".photo-tile").queryAllAs(PhotoTile.class).stream()
                    .filter(PhotoTile::isUsed)
                    .noneMatch(tile -> tile.localToScene(tile.getLayoutBounds()).intersects(covered));
        });
    }
}
