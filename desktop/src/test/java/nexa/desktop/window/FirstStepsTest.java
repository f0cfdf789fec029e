package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import nexa.core.shape.Shape;
import nexa.desktop.session.MainView;
import nexa.desktop.setting.Hint;
import nexa.words.Words;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** A first shoot: what is pointed out, where, and until when. */
class FirstStepsTest extends WindowTest {
    private static Optional<Label> hint(FxRobot robot) {
        return robot.lookup("#hint").queryAllAs(Label.class).stream()
                .filter(label -> isVisible(label) && label.getHeight() > 0)
                .findFirst();
    }

    private static boolean isVisible(Node node) {
        return node.isVisible() && (node.getParent() == null || isVisible(node.getParent()));
    }

    private static void says(FxRobot robot, Hint expected) throws Exception {
        until(() -> hint(robot)
                .filter(label -> label.getText().equals(Words.of("hint", expected)))
                .isPresent());
    }

    private static Bounds place(Node node) {
        return node.localToScene(node.getBoundsInLocal());
    }

    @Test
    void steps_arePointedOutUntilTheyAreTaken(FxRobot robot) throws Exception {
        says(robot, Hint.SHAPES);
        onFx(() -> session().briefEdits().add("4:5", Shape.parse("4:5")));
        says(robot, Hint.LOOK);
        press(robot, KeyCode.ENTER);
        until(() -> session().viewProperty().get() == MainView.BENCH);
        until(() -> hint(robot).isEmpty());
        onFx(session().frameEdits()::checkAll);
        says(robot, Hint.CARRY);
        press(robot, KeyCode.SHIFT, KeyCode.B);
        until(() -> session().settings().hintsTakenProperty().get().contains(Hint.CARRY));
        says(robot, Hint.HANDOVER);
        press(robot, KeyCode.V);
        until(() -> hint(robot).isEmpty());
        assertEquals(
                Set.of(Hint.values()), session().settings().hintsTakenProperty().get());
        onFx(() -> session().viewProperty().set(MainView.WALL));
        assertTrue(hint(robot).isEmpty(), "once is enough");
    }

    @Test
    void whatNeedsAFrame_canBePressedOnceThereIsOne(FxRobot robot) throws Exception {
        List<String> ofFrame = List.of("#draw", "#swap", "#lock");
        ofFrame.forEach(sign -> assertTrue(robot.lookup(sign).query().isDisabled(), sign));
        assertFalse(robot.lookup("#mark").query().isDisabled(), "a subject is marked without one");
        assertFalse(robot.lookup("#level").query().isDisabled());
        onFx(() -> session().briefEdits().add("4:5", Shape.parse("4:5")));
        until(() ->
                ofFrame.stream().noneMatch(sign -> robot.lookup(sign).query().isDisabled()));
    }

    @Test
    void shapes_areChosenTogether_andAddedInOneStep(FxRobot robot) throws Exception {
        for (String chip : List.of("#add-1-1", "#add-4-5", "#add-16-9", "#add-1-1")) {
            click(robot, chip);
        }
        assertTrue(robot.lookup("#add-name").query().isDisabled(), "several are named by their shapes");
        click(robot, "#add-shape").write("1.91:1; 4:5");
        click(robot, "#add-confirm");
        until(() -> session().brief().names().equals("4:5, 16:9, 1.91:1"));
        assertEquals("4:5", session().format().orElseThrow().name());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        until(() -> session().brief().formats().isEmpty());
    }

    @Test
    void paper_isAddedWithTheShapesThatAreChosen(FxRobot robot) throws Exception {
        click(robot, "#add-1-1");
        click(robot, "#presets-ISO");
        click(robot, "#preset-A4");
        until(() -> session().brief().names().equals("1:1, A4"));
    }

    @Test
    void paperAlone_mayBeNamed(FxRobot robot) throws Exception {
        click(robot, "#add-name").write("Poster");
        click(robot, "#presets-ISO");
        click(robot, "#preset-A4");
        until(() -> session().brief().names().equals("Poster"));
    }

    @Test
    void oneShape_mayBeNamed(FxRobot robot) throws Exception {
        click(robot, "#add-4-5");
        assertFalse(robot.lookup("#add-name").query().isDisabled());
        click(robot, "#add-name").write("Plate");
        click(robot, "#add-confirm");
        until(() -> session().brief().names().equals("Plate"));
        assertEquals(Shape.parse("4:5"), session().brief().formats().getFirst().shape());
    }

    /** What it would point out is not there. */
    @Test
    void whilePhotosArePrepared_nothingIsPointedOut(FxRobot robot) throws Exception {
        says(robot, Hint.SHAPES);
        click(robot, "#prepare");
        until(() -> hint(robot).isEmpty());
        press(robot, KeyCode.ESCAPE);
        says(robot, Hint.SHAPES);
    }

    @Test
    void hints_lieOverNoPhoto(FxRobot robot) throws Exception {
        says(robot, Hint.SHAPES);
        assertLiesOverNothing(robot);
        onFx(() -> session().briefEdits().add("4:5", Shape.parse("4:5")));
        says(robot, Hint.LOOK);
        assertLiesOverNothing(robot);
        press(robot, KeyCode.ENTER);
        until(() ->
                session().viewProperty().get() == MainView.BENCH && hint(robot).isEmpty());
        double height = robot.lookup(".bench").query().getBoundsInParent().getHeight();
        onFx(session().frameEdits()::checkAll);
        says(robot, Hint.CARRY);
        untilAtRest(hint(robot).orElseThrow());
        assertEquals(
                height, robot.lookup(".bench").query().getBoundsInParent().getHeight(), "the photo stays where it is");
        Bounds hint = place(hint(robot).orElseThrow());
        assertFalse(
                hint.intersects(place(robot.lookup(".desk").query())),
                hint + " " + place(robot.lookup(".desk").query()));
        assertTrue(hint.getHeight() < 40, "no higher than the lines below the photo");
    }

    private static void assertLiesOverNothing(FxRobot robot) throws Exception {
        Label hint = hint(robot).orElseThrow();
        untilAtRest(hint);
        for (String other : new String[] {".header", "#notices", ".rail", ".wall", ".bench", ".desk"}) {
            robot.lookup(other).queryAll().stream()
                    .filter(node -> node.isVisible() && node.getParent().isVisible())
                    .forEach(node -> assertFalse(place(hint).intersects(place(node)), other));
        }
    }

    @Test
    void help_pointsThemOutAgain(FxRobot robot) throws Exception {
        onFx(() -> session().settings().hintsTakenProperty().set(Set.of(Hint.values())));
        until(() -> hint(robot).isEmpty());
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
        until(() -> hint(robot)
                .filter(label -> label.getText().equals(Words.of("hint", Hint.SHAPES)))
                .isEmpty());
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
