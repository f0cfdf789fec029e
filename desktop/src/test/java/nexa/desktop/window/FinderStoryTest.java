package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Overlay;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.wall.PhotoTile;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** One key, and what one wants is typed. */
class FinderStoryTest extends WindowTest {
    private static void find(FxRobot robot, String typed) {
        press(robot, KeyCode.F3);
        robot.write(typed);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void choose(FxRobot robot, String typed) {
        find(robot, typed);
        press(robot, KeyCode.ENTER);
        assertTrue(robot.lookup("#finder").tryQuery().isEmpty(), "closed once something is chosen");
    }

    @Test
    void commandsFormatsPhotosAndOverlays_areFoundByTheirNames(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        choose(robot, "mirror left");
        assertEquals(Turn.MIRROR, session().framing().pose().turn());
        choose(robot, "0230");
        assertEquals("kiln_0230.jpg", session().photo().orElseThrow().file());
        choose(robot, "diagonals");
        assertEquals(
                Overlay.DIAGONALS, session().overlayProperty().get().overlay().orElseThrow());
        choose(robot, "16:9");
        assertEquals("16:9", session().format().orElseThrow().name());
        choose(robot, "4:5");
        assertEquals("4:5", session().format().orElseThrow().name());
        assertEquals(2, session().brief().formats().size(), "no second one of the same shape");
    }

    @Test
    void carryToVertical_selectsThemAndShowsWhatWouldBecome(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        choose(robot, "carry vert");
        assertEquals(
                "[kiln_0206.jpg]",
                session().selection().photos().stream()
                        .map(photo -> photo.file())
                        .toList()
                        .toString());
        assertEquals(MainView.WALL, session().viewProperty().get());
        assertEquals(1, session().carry().planProperty().get().size());
    }

    @Test
    void rightClick_offersWhatIsCommonThere(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        robot.rightClickOn(bench);
        WaitForAsyncUtils.waitForFxEvents();
        click(robot, "#menu-MIRROR");
        assertEquals(Turn.MIRROR, session().framing().pose().turn());
        press(robot, KeyCode.W);
        press(robot, KeyCode.SHORTCUT, KeyCode.A);
        robot.rightClickOn(
                robot.lookup(".photo-tile").match((PhotoTile t) -> t.isUsed()).<PhotoTile>query());
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(3, session().selection().photos().size(), "it is for all that are chosen");
        click(robot, "#menu-QUARTER");
        assertTrue(session().shoot().photos().stream()
                .allMatch(photo -> session().framing(photo).pose().turn().quarterTurns() % 2 == 1));
    }

    /** Keys are for what is seen as current, not for what was chosen before. */
    @Test
    void photoThatIsNotChosen_isTheOnlyOneThatIsSetAside(FxRobot robot) throws Exception {
        until(() -> session().shoot().photos().size() == 3);
        onFx(() -> session()
                .selection()
                .property()
                .set(Set.copyOf(session().shoot().photos().subList(0, 2))));
        choose(robot, "0206");
        assertEquals(2, session().selection().photos().size(), "one of those that are chosen");
        choose(robot, "0230");
        press(robot, KeyCode.S);
        assertEquals(
                List.of(false, false, true),
                session().shoot().photos().stream()
                        .map(photo -> session().framing(photo).setAside())
                        .toList());
    }

    @Test
    void arrowsGoOn_escapeLeaves_andNothingIsTypedAnywhereElse(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        find(robot, "level");
        ListView<?> list = robot.lookup("#found").queryListView();
        assertTrue(list.getItems().size() >= 2);
        press(robot, KeyCode.DOWN);
        assertEquals(1, list.getSelectionModel().getSelectedIndex());
        press(robot, KeyCode.ESCAPE);
        assertTrue(robot.lookup("#finder").tryQuery().isEmpty());
        assertEquals(MainView.BENCH, session().viewProperty().get(), "only the finder is left");
        press(robot, KeyCode.W);
        assertEquals(MainView.WALL, session().viewProperty().get(), "the keys are the shoot's again");
        find(robot, "no such thing");
        assertFalse(robot.lookup("#found").query().isVisible());
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.ESCAPE);
    }
}
