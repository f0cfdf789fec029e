package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;

import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import nexa.core.space.Pose;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** Where somebody types, no more than the field is drawn anew whenever its caret blinks. */
class CaretTest extends WindowTest {
    @BeforeEach
    void asItLooks() throws Exception {
        dress();
    }

    private void assertDrawnAlone(FxRobot robot, String field) throws Exception {
        until(() -> robot.lookup(field).tryQuery().isPresent());
        Node typedIn = robot.lookup(field).query();
        for (Node holder = typedIn.getParent(); holder != null; holder = holder.getParent()) {
            assertNull(holder.getEffect(), holder::toString);
            assertFalse(holder.isCache(), holder::toString);
        }
    }

    @Test
    void rail(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.ADD);
        assertDrawnAlone(robot, "#add-shape");
    }

    @Test
    void handover(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.V);
        assertDrawnAlone(robot, "#handover-names");
    }

    @Test
    void panes(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F3);
        assertDrawnAlone(robot, ".finder .text-field");
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.F);
        assertDrawnAlone(robot, "#shape-typed");
    }
}
