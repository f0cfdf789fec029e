package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Optional;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import nexa.core.geometry.Turn;
import nexa.core.shape.Shape;
import nexa.desktop.model.Levelling;
import nexa.desktop.model.Unsaved;
import nexa.desktop.session.MainView;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.Remark;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** What must stand whatever else goes on: what is told, what is counted, which shoot is open, what is not stored. */
class StandingTest extends WindowTest {
    private static String text(FxRobot robot, String query) {
        return robot.lookup(query).queryAs(Labeled.class).getText();
    }

    private void formats() throws Exception {
        onFx(() -> {
            session().briefEdits().add("Print", Shape.parse("4:5"));
            session().briefEdits().add("Square", Shape.parse("1:1"));
        });
    }

    @Test
    void digitsOfTheNumberBlock_chooseFormats(FxRobot robot) throws Exception {
        formats();
        press(robot, KeyCode.NUMPAD1);
        assertEquals("Print", session().format().orElseThrow().name());
        press(robot, KeyCode.NUMPAD2);
        assertEquals("Square", session().format().orElseThrow().name());
    }

    @Test
    void filesOfAnotherFormat_openInPlaceOfTheFirst(FxRobot robot) throws Exception {
        formats();
        onFx(() -> session().viewProperty().set(MainView.HANDOVER));
        until(() -> robot.lookup("#files-2").tryQuery().isPresent());
        files(robot, 1);
        assertEquals("Files of Print", paneTitle(robot));
        files(robot, 2);
        assertEquals("Files of Square", paneTitle(robot));
        files(robot, 2);
        assertEquals("", paneTitle(robot));
    }

    private static void files(FxRobot robot, int format) {
        robot.interact(() -> robot.lookup("#files-" + format).queryButton().fire());
    }

    private static String paneTitle(FxRobot robot) {
        return robot.lookup(".small-pane .pane-title")
                .<Labeled>tryQuery()
                .map(Labeled::getText)
                .orElse("");
    }

    @Test
    void otherScreenColours_leaveCountsAndTheHandoverAsTheyAre(FxRobot robot) throws Exception {
        formats();
        var handover = window.models().orElseThrow().handover();
        Path profile = Files.write(folder.resolveSibling("wide.icc"), Profile.WIDE.bytes());
        onFx(() -> session().settings().pictures().screenProperty().set(Optional.of(profile.toString())));
        until(() -> text(robot, "#chip-unchecked").equals("not checked 3"));
        onFx(session().frameEdits()::checkAll);
        until(() -> text(robot, "#chip-unchecked").equals("not checked 2"));
        assertEquals(handover, window.models().orElseThrow().handover());
    }

    @Test
    void twoShootsAtOnce_theLaterOneIsOpen() throws Exception {
        Path other = Files.createDirectory(folder.resolveSibling("Other"));
        Files.copy(DEMO.resolve("kiln_0202.jpg"), other.resolve("kiln_0202.jpg"));
        for (int i = 0; i < 4; i++) {
            Path first = i % 2 == 0 ? folder : other;
            Path later = i % 2 == 0 ? other : folder;
            onFx(() -> {
                window.open(first);
                window.open(later);
            });
            until(() -> window.session()
                    .filter(open ->
                            open.shoot().name().equals(later.getFileName().toString()))
                    .isPresent());
            WaitForAsyncUtils.waitForFxEvents();
            assertTrue(session().shoot().mayEdit(), "the other one holds nothing");
        }
    }

    @Test
    void mirroredWhileLinesAreLookedFor_levelsAsItIsHeldNow() throws Exception {
        onFx(() -> {
            session().viewProperty().set(MainView.BENCH);
            window.models().orElseThrow().levelling().automatic();
            session().poseEdits().turn(Turn.MIRROR);
        });
        until(this::isLevelFound);
        double mirrored = session().framing().pose().tilt().degrees();
        onFx(() -> {
            session().shoot().undo();
            session().shoot().undo();
        });
        onFx(() -> window.models().orElseThrow().levelling().automatic());
        until(this::isLevelFound);
        assertEquals(-session().framing().pose().tilt().degrees(), mirrored, 0.2);
    }

    private boolean isLevelFound() {
        return window.models()
                .orElseThrow()
                .levelling()
                .verdictProperty()
                .get()
                .filter(Levelling.Verdict.Found.class::isInstance)
                .isPresent();
    }

    @Test
    void damagedStore_isToldUntilItIsUnderstood(FxRobot robot) throws Exception {
        formats();
        Path store = folder.resolve(".nexa/shoot.db");
        reopen(); // makes a copy
        openEmptyFolder();
        Files.writeString(store, "no database at all, just text");
        reopen();
        until(() -> window.session()
                .filter(open -> !open.shoot().photos().isEmpty())
                .isPresent());
        assertTrue(text(robot, "#notices .label").contains("was damaged"), text(robot, "#notices .label"));
        assertEquals("Print, Square", session().shoot().brief().names());
        int told = robot.lookup("#notices .button").queryAll().size();
        for (int i = 0; i < told; i++) {
            click(robot, robot.lookup("#notices .button").queryAll().iterator().next());
        }
        assertTrue(robot.lookup("#notices .button").queryAll().isEmpty());
    }

    @Test
    void stepThatCantBeTakenBack_isTold(FxRobot robot) throws Exception {
        formats();
        onFx(() -> session().poseEdits().tiltBy(3));
        openEmptyFolder();
        try (Connection store = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve(".nexa/shoot.db"));
                Statement statement = store.createStatement()) {
            statement.executeUpdate("DELETE FROM setting WHERE name = 'seal'"); // as if Nexa had broken down
            statement.executeUpdate("UPDATE step SET edit = substr(edit, 1, length(edit) - 20)");
        }
        reopen();
        until(() -> window.session()
                .filter(open -> !open.shoot().photos().isEmpty())
                .isPresent());
        assertTrue(robot.lookup("#notices .button").queryAll().isEmpty());
        assertFalse(robot.lookup("#undo").query().isDisabled());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertTrue(text(robot, "#notices .label").contains("can't be taken back"), text(robot, "#notices .label"));
        assertEquals(3, session().framing().pose().tilt().degrees(), 1e-9);
        assertTrue(robot.lookup("#undo").query().isDisabled());
        onFx(() -> session().poseEdits().tiltBy(1));
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(3, session().framing().pose().tilt().degrees(), 1e-9);
    }

    private void openEmptyFolder() throws Exception {
        Path other = Files.createDirectory(folder.resolveSibling("Empty"));
        onFx(() -> window.open(other));
        until(() ->
                window.session().filter(open -> open.shoot().photos().isEmpty()).isPresent());
    }

    @Test
    void otherPictures_areCountedOnTheWall(FxRobot robot) throws Exception {
        assertFalse(robot.lookup("#wall-others").query().isVisible());
        Files.writeString(folder.resolve("layers.psd"), "some picture");
        reopen();
        until(() -> robot.lookup("#wall-others").query().isVisible());
        assertEquals("1 other file, not a photo Nexa reads", text(robot, "#wall-others"));
    }

    @Test
    void damagedPhoto_isToldOnceThereIsTimeToLook() throws Exception {
        byte[] whole = Files.readAllBytes(DEMO.resolve("kiln_0202.jpg"));
        byte[] damaged = whole.clone();
        Arrays.fill(damaged, whole.length / 2, whole.length / 2 + 400, (byte) 0x5A);
        Files.write(folder.resolve("bad.jpg"), damaged);
        reopen();
        until(() -> session().shoot().photos().stream()
                .filter(photo -> photo.file().equals("bad.jpg"))
                .flatMap(photo -> photo.facts().stream())
                .anyMatch(facts -> facts.remarks().contains(Remark.DAMAGED)));
        assertTrue(session().shoot().photos().stream()
                .filter(photo -> !photo.file().equals("bad.jpg"))
                .map(Photo::facts)
                .allMatch(facts -> !facts.orElseThrow().remarks().contains(Remark.DAMAGED)));
    }

    /** Another program holds the database, as a broken disk would. */
    @Test
    void changesThatAreNotStored_areAskedAbout_andCanBeKeptElsewhere(FxRobot robot) throws Exception {
        formats();
        until(() -> session().shoot().savingTrouble().isEmpty());
        Path table = folder.resolveSibling("kept.csv");
        Path store = folder.resolve(".nexa/shoot.db");
        try (Connection holding = DriverManager.getConnection("jdbc:sqlite:" + store);
                Statement statement = holding.createStatement()) {
            statement.execute("BEGIN EXCLUSIVE");
            onFx(() -> session().poseEdits().tiltBy(3));
            until(() -> session().shoot().savingTrouble().isPresent());
            onFx(() -> window.open(folder));
            until(() -> robot.lookup("#unsaved").tryQuery().isPresent());
            assertTrue(text(robot, "#unsaved-why").contains("could not be stored"));
            Unsaved model = new Unsaved(session().shoot(), Runnable::run, Runnable::run);
            model.keep(table);
            assertTrue(model.stateProperty().get() instanceof Unsaved.State.Kept);
            click(robot, "#unsaved-stay");
            assertTrue(robot.lookup("#unsaved").tryQuery().isEmpty());
            assertTrue(window.session().isPresent(), "it is still open");
            onFx(() -> window.open(folder));
            until(() -> robot.lookup("#unsaved").tryQuery().isPresent());
            statement.execute("ROLLBACK");
        }
        click(robot, "#unsaved-again");
        until(() -> robot.lookup("#unsaved").tryQuery().isEmpty()
                && window.session().isPresent());
        assertEquals(3, session().framing().pose().tilt().degrees(), 1e-9, "it was stored in the end");
        assertTrue(Files.readString(table).contains(",3.0,"), "and kept elsewhere");
    }
}
