package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import javafx.scene.control.Labeled;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import nexa.core.brief.Format;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.overlay.OverlayChoice;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import nexa.desktop.desk.DeskView;
import nexa.desktop.session.MainView;
import nexa.words.PrintUnit;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Formats edited in the rail. */
class BriefEditingTest extends WindowTest {
    private String names() {
        return session().brief().names();
    }

    private void choose(FxRobot robot, String words) throws Exception {
        untilAtRest(robot.lookup("#format-1").query()); // the rail may just have got another card
        robot.rightClickOn("#format-1");
        click(robot, words);
        until(() -> robot.lookup(words).tryQuery().isEmpty());
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
        until(() -> names().equals("Poster, Poster 2, Square"));
        choose(robot, "Move down");
        until(() -> names().equals("Poster 2, Poster, Square"));
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        until(() -> names().equals("Poster, Poster 2, Square"));
        reopen();
        assertEquals("Poster, Poster 2, Square", names());
    }

    /** Not the view, and not what the next key stands for. */
    @Test
    void escape_leavesTheFieldThatIsTypedInto(FxRobot robot) throws Exception {
        twoFormats(robot);
        choose(robot, "Rename");
        robot.write("Poster").push(KeyCode.ESCAPE);
        assertLeft(robot, "#rename");
        assertEquals("4:5, Square", names());
        press(robot, KeyCode.ADD);
        robot.write("21:9").push(KeyCode.ESCAPE);
        assertLeft(robot, "#add-shape");
        assertEquals("4:5, Square", names());
        click(robot, "#tilt-value").write("3").push(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(MainView.BENCH, session().viewProperty().get());
        assertEquals(Tilt.NONE, session().framing().pose().tilt());
        press(robot, KeyCode.PERIOD);
        assertEquals(0.1, session().framing().pose().tilt().degrees(), 1e-9);
        press(robot, KeyCode.ESCAPE);
        assertEquals(MainView.WALL, session().viewProperty().get());
    }

    private void assertLeft(FxRobot robot, String field) {
        WaitForAsyncUtils.waitForFxEvents();
        assertTrue(robot.lookup(field).tryQuery().isEmpty());
        assertEquals(MainView.BENCH, session().viewProperty().get());
    }

    @Test
    void caption_saysWhyAFrameLiesThere_andTheOverlayIfThereIsOne(FxRobot robot) throws Exception {
        twoFormats(robot);
        place(0.5);
        press(robot, KeyCode.DIGIT2);
        until(() -> captions(robot).contains("about the frame placed in another format · Thirds"));
        onFx(() -> session().overlayProperty().set(new OverlayChoice(Optional.empty(), 0)));
        until(() -> captions(robot).contains("about the frame placed in another format"));
    }

    private static List<String> captions(FxRobot robot) {
        return robot.lookup(".drawn-words").queryAllAs(Text.class).stream()
                .filter(Text::isVisible)
                .map(Text::getText)
                .toList();
    }

    @Test
    void foldedRail_hasNoRoomForFields_andUnfoldsForThem(FxRobot robot) throws Exception {
        twoFormats(robot);
        press(robot, KeyCode.ADD);
        robot.write("21:9");
        onFx(() -> robot.lookup("#fold").queryButton().fire()); // which may have to be scrolled to
        assertTrue(robot.lookup(".add-format").tryQuery().isEmpty(), "they would be cut");
        press(robot, KeyCode.ADD);
        assertEquals("21:9", robot.lookup("#add-shape").queryAs(TextField.class).getText(), "what was typed is kept");
        assertFalse(session().settings().railFoldedProperty().get());
    }

    @Test
    void shapes_areChosenByKeys(FxRobot robot) throws Exception {
        twoFormats(robot);
        press(robot, KeyCode.ADD);
        tabTo(robot, "add-5-7", 12, KeyCode.SHIFT, KeyCode.TAB);
        robot.push(KeyCode.SPACE);
        tabTo(robot, "add-16-9", 12, KeyCode.TAB);
        robot.push(KeyCode.SPACE).push(KeyCode.ENTER);
        until(() -> names().equals("4:5, Square, 5:7, 16:9"));

        onFx(() -> robot.lookup(".desk").queryAs(DeskView.class).open(DeskView.DeskPane.SHAPE));
        tabTo(robot, "shape-3-2", 12, KeyCode.TAB);
        robot.push(KeyCode.SPACE);
        until(() -> Math.abs(frame().aspect() - 1.5) < 1e-9);
        assertTrue(robot.lookup("#shape-3-2").query().isFocused(), "where it was");
    }

    @Test
    void rule_laysTheShapeWhateverThePhoto(FxRobot robot) throws Exception {
        twoFormats(robot);
        choose(robot, "Always vertical");
        assertEquals(OrientationRule.VERTICAL, session().format().orElseThrow().rule());
        assertEquals(0.8, frame().aspect(), 1e-9);
        press(robot, KeyCode.T);
        assertEquals(1.25, frame().aspect(), 1e-9, "laid the other way this frame has a shape of its own");
        assertTrue(session().moment().crop().orElseThrow().ownShape().isPresent());
    }

    @Test
    void unplacedFormats_followThePlacedOneLive(FxRobot robot) throws Exception {
        twoFormats(robot);
        onFx(() -> session().frameEdits().place("edit.frame", new Frame(-0.2, 0.05, 0.3, 0.24)));
        Frame square = session()
                .moment()
                .frame(session().brief().find("Square").orElseThrow())
                .orElseThrow();
        assertEquals(-0.2, square.centreX(), 1e-9);
        press(robot, KeyCode.SHIFT, KeyCode.RIGHT);
        Frame after = session()
                .moment()
                .frame(session().brief().find("Square").orElseThrow())
                .orElseThrow();
        assertEquals(-0.2 + 10 / 1800.0, after.centreX(), 1e-9);
    }

    @Test
    void editPane_changesAllOfAFormat_andKeepsWhatItRefuses(FxRobot robot) throws Exception {
        twoFormats(robot);
        choose(robot, "Edit…");
        fill(robot, "#format-name", "Square");
        click(robot, "#format-keep");
        assertEquals("4:5, Square", names(), "the name is taken");
        assertTrue(robot.lookup("#format-message").queryLabeled().getText().contains("already"));
        fill(robot, "#format-name", "Poster");
        fill(robot, "#format-shape", "2:3");
        fill(robot, "#format-target", "20 x 30 parsecs");
        click(robot, "#format-keep");
        assertTrue(robot.lookup("#format-message").queryLabeled().getText().contains("is not a size"));
        fill(robot, "#format-target", "20 x 30 cm at 240 ppi");
        fill(robot, "#format-note", "hall, behind glass");
        click(robot, "#format-keep");
        Format poster = session().format().orElseThrow();
        assertEquals("Poster", poster.name());
        assertEquals(Shape.parse("2:3"), poster.shape());
        assertEquals(SizeTarget.parse("20 x 30 cm at 240 ppi"), poster.target());
        assertEquals("hall, behind glass", poster.note());
        assertEquals(1, poster.id(), "its crops stay its own");
        assertTrue(robot.lookup("#format-keep").tryQuery().isEmpty(), "closed");
        reopen();
        assertEquals(poster, session().format().orElseThrow());
    }

    @Test
    void sizes_areSaidAndTypedAsTheUserMeasuresAndSpeaks(FxRobot robot) throws Exception {
        twoFormats(robot);
        onFx(() -> session().settings().printUnitProperty().set(PrintUnit.INCH));
        assertTrue(verdict(robot).endsWith(" in"), () -> verdict(robot));
        onFx(() -> session().settings().printUnitProperty().set(PrintUnit.CENTIMETRE));
        assertTrue(verdict(robot).endsWith(" cm"), () -> verdict(robot));
        onFx(() -> session().settings().languageProperty().set("de"));
        press(robot, KeyCode.ESCAPE);
        choose(robot, "Bearbeiten…");
        assertEquals(
                "keine", robot.lookup("#format-target").queryTextInputControl().getText());
        fill(robot, "#format-target", "20,5 x 30 cm bei 240 ppi");
        click(robot, "#format-keep");
        assertEquals(
                SizeTarget.parse("20.5 x 30 cm at 240 ppi"),
                session().format().orElseThrow().target());
    }

    private static String verdict(FxRobot robot) {
        return robot.lookup(".desk-verdict").<Labeled>query().getText();
    }

    /** What is typed counts without Enter, and does nothing else; what is no number is put back. */
    @Test
    void quality_isKeptAsTyped(FxRobot robot) throws Exception {
        twoFormats(robot);
        choose(robot, "Edit…");
        Spinner<?> quality = robot.lookup("#format-quality").queryAs(Spinner.class);
        TextField field = quality.getEditor();
        List<Throwable> mistakes = new CopyOnWriteArrayList<>();
        onFx(() -> Thread.currentThread().setUncaughtExceptionHandler((thread, mistake) -> mistakes.add(mistake)));
        click(robot, field).push(KeyCode.SHORTCUT, KeyCode.A).write("much").push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(List.of(), mistakes);
        assertEquals(Pose.AS_SHOT, session().framing().pose(), "M did not mirror");
        assertEquals("92", field.getText());
        click(robot, field).push(KeyCode.SHORTCUT, KeyCode.A).write("81");
        click(robot, "#format-keep");
        assertEquals(81, session().format().orElseThrow().files().quality());
    }

    private static void fill(FxRobot robot, String field, String text) throws Exception {
        click(robot, field).push(KeyCode.SHORTCUT, KeyCode.A).write(text);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void shelf_keepsFormatsAndBriefsForOtherShoots(FxRobot robot) throws Exception {
        twoFormats(robot);
        choose(robot, "Edit…");
        click(robot, "#format-shelve");
        press(robot, KeyCode.ESCAPE);
        click(robot, "#shelf");
        fill(robot, "#shelf-name", "Catalogue");
        click(robot, "#shelf-keep");
        assertTrue(robot.lookup("#use-Catalogue").tryQuery().isPresent());
        press(robot, KeyCode.ESCAPE);
        onFx(() -> session().briefEdits().remove(session().brief().find("4:5").orElseThrow()));
        assertEquals("Square", names());
        click(robot, "#shelf");
        click(robot, "#use-Catalogue");
        assertEquals("Square, 4:5", names(), "what is there already is left out");
        onFx(() -> session().briefEdits().remove(session().brief().find("4:5").orElseThrow()));
        click(robot, "#shelf");
        click(robot, "#use-4-5");
        assertEquals("Square, 4:5", names());
    }

    /** Else what is typed would be taken for commands. */
    @Test
    void shelf_takesANameAtOnce(FxRobot robot) throws Exception {
        twoFormats(robot);
        click(robot, "#shelf");
        robot.write("Chars").push(KeyCode.ENTER);
        until(() -> robot.lookup("#use-Chars").tryQuery().isPresent());
        assertEquals("4:5, Square", names());
    }

    @Test
    void cropsOfRemovedFormats_areKeptUntilForgotten(FxRobot robot) throws Exception {
        twoFormats(robot);
        place(0.4);
        Frame placed = frame();
        onFx(() -> session().briefEdits().remove(session().format().orElseThrow()));
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        onFx(() -> session().chooseFormat(1));
        assertEquals(placed, frame(), "back with its crops");
        onFx(() -> session().briefEdits().remove(session().format().orElseThrow()));
        click(robot, "#shelf");
        click(robot, "#shelf-forget");
        assertTrue(session().framing().crops().isEmpty());
        assertTrue(robot.lookup("#shelf-forget").queryButton().isDisabled());
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(1, session().framing().crops().size(), "one step back");
    }

    @Test
    void preset_addsAPaperWithItsSize(FxRobot robot) throws Exception {
        twoFormats(robot);
        click(robot, "#add-format");
        click(robot, "#presets-ISO");
        click(robot, "#preset-A4");
        WaitForAsyncUtils.waitForFxEvents();
        Format a4 = session().format().orElseThrow();
        assertEquals("A4", a4.name());
        assertEquals(SizeTarget.parse("210 x 297 mm at 300 ppi"), a4.target());
        assertEquals(297.0 / 210, frame().aspect(), 1e-9, "along the horizontal photo");
    }

    @Test
    void draggedCard_isReordered(FxRobot robot) throws Exception {
        twoFormats(robot);
        var first = robot.point("#format-1").query();
        var second = robot.point("#format-2").query();
        drag(robot, first, second.add(0, 30));
        assertEquals("Square, 4:5", names());
        assertEquals("4:5", session().format().orElseThrow().name(), "still the active one");
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals("4:5, Square", names());
    }
}
