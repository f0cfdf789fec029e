package nexa.desktop.view;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import javafx.scene.input.KeyCode;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Pose;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Formats edited in the rail. */
class BriefEditingTest extends WindowTest {
    private String names() {
        return session().briefProperty().get().names();
    }

    private void choose(FxRobot robot, String words) {
        robot.rightClickOn("#format-1");
        robot.clickOn(words);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void twoFormats(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        onFx(() -> {
            session().briefEdits().add("Square", Shape.parse("1:1"));
            session().chooseFormat(1);
        });
    }

    @Test
    void menu_renamesDuplicatesAndMoves(FxRobot robot) throws Exception {
        twoFormats(robot);
        choose(robot, "Rename");
        robot.push(KeyCode.SHORTCUT, KeyCode.A).write("square").push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals("4:5, Square", names(), "the name is taken");
        robot.push(KeyCode.SHORTCUT, KeyCode.A).write("Poster").push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals("Poster, Square", names());
        assertEquals("Poster", session().format().orElseThrow().name());
        choose(robot, "Duplicate");
        assertEquals("Poster, Poster 2, Square", names());
        choose(robot, "Move down");
        assertEquals("Poster 2, Poster, Square", names());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals("Poster, Poster 2, Square", names());
        reopen();
        assertEquals("Poster, Poster 2, Square", names());
    }

    @Test
    void rule_laysTheShapeWhateverThePhoto(FxRobot robot) throws Exception {
        twoFormats(robot);
        choose(robot, "Always vertical");
        assertEquals(OrientationRule.VERTICAL, session().format().orElseThrow().rule());
        assertEquals(0.8, frame().aspect(), 1e-9);
        press(robot, KeyCode.T);
        assertEquals(1.25, frame().aspect(), 1e-9, "laid the other way this frame has a shape of its own");
        assertTrue(session().crop().orElseThrow().ownShape().isPresent());
    }

    @Test
    void unplacedFormats_followThePlacedOneLive(FxRobot robot) throws Exception {
        twoFormats(robot);
        onFx(() -> session().frameEdits().place("edit.frame", new Frame(-0.2, 0.05, 0.3, 0.24)));
        Frame square = session()
                .frame(session().briefProperty().get().find("Square").orElseThrow())
                .orElseThrow();
        assertEquals(-0.2, square.centreX(), 1e-9);
        press(robot, KeyCode.SHIFT, KeyCode.RIGHT);
        Frame after = session()
                .frame(session().briefProperty().get().find("Square").orElseThrow())
                .orElseThrow();
        assertEquals(-0.2 + 10 / 1800.0, after.centreX(), 1e-9);
    }
}
