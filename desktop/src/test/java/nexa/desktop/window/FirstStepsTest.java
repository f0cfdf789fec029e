package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import nexa.core.shape.Shape;
import nexa.desktop.session.MainView;
import nexa.desktop.setting.Hint;
import nexa.words.Words;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** A first shoot: what is pointed out, where, and until when. */
class FirstStepsTest extends WindowTest {
    private static Label hint(FxRobot robot) {
        return robot.lookup("#hint").queryAs(Label.class);
    }

    private static void says(FxRobot robot, Hint expected) throws Exception {
        until(() -> hint(robot).isVisible() && hint(robot).getText().equals(Words.of("hint", expected)));
    }

    @Test
    void steps_arePointedOutUntilTheyAreTaken(FxRobot robot) throws Exception {
        says(robot, Hint.SHAPES);
        untilAtRest(hint(robot));
        Bounds beside = hint(robot).localToScene(hint(robot).getBoundsInLocal());
        Bounds rail = robot.lookup(".rail")
                .query()
                .localToScene(robot.lookup(".rail").query().getBoundsInLocal());
        assertTrue(beside.getMinX() >= rail.getMaxX(), "beside the rail, and not over it");
        onFx(() -> session().briefEdits().add("4:5", Shape.parse("4:5")));
        says(robot, Hint.LOOK);
        press(robot, KeyCode.ENTER);
        until(() -> session().viewProperty().get() == MainView.BENCH);
        until(() -> !hint(robot).isVisible());
        onFx(session().frameEdits()::checkAll);
        says(robot, Hint.CARRY);
        press(robot, KeyCode.SHIFT, KeyCode.B);
        until(() -> session().settings().hintsTakenProperty().get().contains(Hint.CARRY));
        says(robot, Hint.HANDOVER);
        press(robot, KeyCode.V);
        until(() -> !hint(robot).isVisible());
        assertEquals(
                Set.of(Hint.values()), session().settings().hintsTakenProperty().get());
        onFx(() -> session().viewProperty().set(MainView.WALL));
        assertFalse(hint(robot).isVisible(), "once is enough");
    }

    @Test
    void hint_liesBelowWhatIsSaidOfTheShoot(FxRobot robot) throws Exception {
        onFx(() -> session().briefEdits().add("4:5", Shape.parse("4:5")));
        says(robot, Hint.LOOK);
        VBox notices = robot.lookup("#notices").queryAs(VBox.class);
        Label said = new Label("Another Nexa has this shoot open.");
        said.setMinHeight(60);
        onFx(() -> notices.getChildren().add(said));
        until(() -> said.getHeight() >= 60);
        untilAtRest(hint(robot));
        Bounds hint = hint(robot).localToScene(hint(robot).getBoundsInLocal());
        assertFalse(hint.intersects(said.localToScene(said.getBoundsInLocal())));
        onFx(() -> notices.getChildren().remove(said));
        until(() -> hint(robot).localToScene(hint(robot).getBoundsInLocal()).getMinY() < hint.getMinY() - 50);
    }

    @Test
    void help_pointsThemOutAgain(FxRobot robot) throws Exception {
        onFx(() -> session().settings().hintsTakenProperty().set(Set.of(Hint.values())));
        until(() -> !hint(robot).isVisible());
        press(robot, KeyCode.F1);
        click(robot, "#keys-hints");
        says(robot, Hint.SHAPES);
        assertTrue(robot.lookup("#key-sheet").tryQuery().isEmpty());
    }

    @Test
    void one_isSentAwayByItsCross_andTheOthersStay(FxRobot robot) throws Exception {
        says(robot, Hint.SHAPES);
        click(robot, "#hint-away");
        until(() -> session().settings().hintsTakenProperty().get().equals(Set.of(Hint.SHAPES)));
        until(() -> !hint(robot).isVisible() || !hint(robot).getText().equals(Words.of("hint", Hint.SHAPES)));
    }

    @Test
    void help_saysWhichProgramThisIs_andTheLicencesOfAllThatShips(FxRobot robot) throws Exception {
        press(robot, KeyCode.F1);
        click(robot, "#keys-about");
        String licences =
                robot.lookup("#about-licences").queryAs(TextArea.class).getText();
        for (String part :
                new String[] {"javafx-controls", "opencv", "metadata-extractor", "CC BY-SA 3.0", "OFL-1.1"}) {
            assertTrue(licences.contains(part), part);
        }
        press(robot, KeyCode.ESCAPE);
        assertTrue(robot.lookup("#about").tryQuery().isEmpty());
    }
}
