package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import javafx.scene.Parent;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import nexa.desktop.session.MainView;
import nexa.desktop.widget.Nodes;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** Through the Wall, and several photos of it selected, without a mouse. */
class WallKeysTest extends WindowTest {
    private List<Photo> all() {
        return session().shoot().photos();
    }

    private void isAt(int place) throws Exception {
        until(() -> session().photo().orElseThrow().equals(all().get(place)));
    }

    @Test
    void keysOfTheWall_leadToItsEnds_andAScreenOn(FxRobot robot) throws Exception {
        int last = all().size() - 1;
        press(robot, KeyCode.END);
        isAt(last);
        press(robot, KeyCode.HOME);
        isAt(0);
        press(robot, KeyCode.PAGE_DOWN);
        until(() -> all().indexOf(session().photo().orElseThrow()) > 1);
        press(robot, KeyCode.PAGE_UP);
        isAt(0);
        onFx(() -> session().viewProperty().set(MainView.BENCH));
        press(robot, KeyCode.PAGE_DOWN);
        isAt(1);
        press(robot, KeyCode.END);
        isAt(last);
    }

    @Test
    void photos_areSelectedByKeys_oneByOneAndAllBetween(FxRobot robot) throws Exception {
        press(robot, KeyCode.HOME);
        press(robot, KeyCode.SHIFT, KeyCode.SPACE);
        until(() -> session().selection().photos().equals(Set.of(all().get(0))));
        press(robot, KeyCode.N);
        press(robot, KeyCode.N);
        isAt(2);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.SPACE);
        until(() -> session().selection().photos().equals(Set.copyOf(all().subList(0, 3))));
        assertTrue(session().together().isOn());
        press(robot, KeyCode.SHIFT, KeyCode.N);
        press(robot, KeyCode.SHIFT, KeyCode.SPACE);
        until(() -> session().selection().photos().size() == 2);
        assertEquals(Set.of(all().get(0), all().get(2)), session().selection().photos());
        press(robot, KeyCode.ESCAPE);
        until(() -> session().selection().photos().isEmpty());
    }

    @Test
    void photos_becomeLargerAndSmaller_byKeys(FxRobot robot) throws Exception {
        double before = session().settings().wallSizeProperty().get();
        press(robot, KeyCode.CONTROL, KeyCode.PLUS);
        assertEquals(before * 1.2, session().settings().wallSizeProperty().get(), 1e-6);
        press(robot, KeyCode.CONTROL, KeyCode.MINUS);
        assertEquals(before, session().settings().wallSizeProperty().get(), 1e-6);
        onFx(() -> robot.lookup(".wall-size").queryAs(Slider.class).setValue(300));
        assertEquals(300, session().settings().wallSizeProperty().get(), "kept for the next start");
    }

    /** A pane that opens is where Tab leads, but takes no key from the Wall until then. */
    @Test
    void paneThatOpens_isReachedByTheNextTab(FxRobot robot) throws Exception {
        press(robot, KeyCode.HOME);
        press(robot, KeyCode.SHIFT, KeyCode.B);
        until(() -> robot.lookup(".small-pane").tryQuery().isPresent());
        press(robot, KeyCode.RIGHT);
        isAt(1);
        press(robot, KeyCode.TAB);
        Parent pane = robot.lookup(".small-pane").query();
        assertTrue(Nodes.isWithin(window.scene().getFocusOwner(), pane));
        press(robot, KeyCode.ESCAPE);
        until(() -> robot.lookup(".small-pane").tryQuery().isEmpty());
        press(robot, KeyCode.HOME);
        isAt(0);
    }
}
