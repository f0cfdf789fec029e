package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.lang.ref.WeakReference;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.event.Event;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** A shoot's life in the window, from its opening to when nothing of it is left. */
class OpenShootTest extends WindowTest {
    private static final int OPENINGS = 20;

    private Path other() throws Exception {
        Path other = Files.createDirectories(folder.resolveSibling("Other kiln"));
        Files.copy(DEMO.resolve("kiln_0208.jpg"), other.resolve("kiln_0208.jpg"));
        return other;
    }

    private String shown() {
        return window.session().map(open -> open.shoot().name()).orElse("");
    }

    @Test
    void ofSeveralAskedFor_theLastIsShown_andTheOthersAreLetGo() throws Exception {
        Path other = other();
        CompletableFuture<?>[] asked = new CompletableFuture<?>[4];
        onFx(() -> {
            asked[0] = window.open(other);
            asked[1] = window.open(folder);
            asked[2] = window.open(other);
            asked[3] = window.open(folder);
        });
        CompletableFuture.allOf(asked).get(20, TimeUnit.SECONDS);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals("Fennick Kiln", shown());
        assertTrue(session().shoot().mayEdit(), "nothing else holds it");
        window.closed().get(20, TimeUnit.SECONDS);
        try (Shoot free = Shoot.open(other, new Locations(base.resolve("d"), base.resolve("c")))) {
            assertTrue(free.mayEdit(), "what was not shown is let go");
        }
    }

    @Test
    void givenUp_whatWasToBeOpened_isNotShown_andIsLetGo(FxRobot robot) throws Exception {
        Path other = other();
        CompletableFuture<?>[] asked = new CompletableFuture<?>[2];
        onFx(() -> {
            asked[0] = window.open(other);
            giveUp(robot);
        });
        asked[0].get(20, TimeUnit.SECONDS);
        onFx(() -> {
            asked[1] = window.openDemo();
            Event.fireEvent(
                    window.scene(),
                    new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ESCAPE, false, false, false, false));
            assertFalse(robot.lookup("#start-open").queryButton().isDisabled());
        });
        asked[1].get(20, TimeUnit.SECONDS);
        assertEquals("", shown());
        assertEquals("", robot.lookup("#start-message").queryLabeled().getText());
        try (Shoot free = Shoot.open(other, new Locations(base.resolve("d"), base.resolve("c")))) {
            assertTrue(free.mayEdit(), "what was not shown is let go");
        }
        onFx(() -> window.open(folder));
        until(() -> shown().equals("Fennick Kiln"));
    }

    @Test
    void whatAnotherProgramHasOpen_isOnlyLookedAt_untilItIsOpenedAgain(FxRobot robot) throws Exception {
        Path other = other();
        try (Shoot held = Shoot.open(other, new Locations(base.resolve("d"), base.resolve("c")))) {
            assertTrue(held.mayEdit());
            onFx(() -> window.open(other));
            until(() -> shown().equals("Other kiln"));
            assertFalse(session().shoot().mayEdit());
            assertTrue(robot.lookup("#level").query().isDisabled());
            press(robot, KeyCode.B);
            press(robot, KeyCode.L);
            onFx(() -> assertEquals(
                    BenchMode.FRAMING,
                    robot.lookup(".bench")
                            .queryAs(BenchView.class)
                            .modeProperty()
                            .get()));
        }
        click(robot, "#notice-again");
        until(() -> window.session().filter(open -> open.shoot().mayEdit()).isPresent());
        assertFalse(robot.lookup("#level").query().isDisabled());
        assertTrue(robot.lookup("#notice-again").tryQuery().isEmpty());
    }

    @Test
    void folderOfManyPhotos_isCountedWhileItIsLookedThrough(FxRobot robot) throws Exception {
        Path many = Files.createDirectory(folder.resolveSibling("Many"));
        for (int i = 0; i < 120; i++) {
            Files.createFile(many.resolve(i + ".jpg"));
        }
        List<String> said = new ArrayList<>();
        onFx(() -> {
            window.open(many);
            robot.lookup("#start-message").queryLabeled().textProperty().subscribe(words -> {
                said.add(words);
            });
        });
        until(() -> shown().equals("Many"));
        assertEquals(
                List.of(
                        "Looking through Many…",
                        "Looking through Many… 50 photos so far",
                        "Looking through Many… 100 photos so far"),
                said);
    }

    private void giveUp(FxRobot robot) {
        Button button = robot.lookup("#start-cancel").queryButton();
        assertTrue(button.isVisible());
        button.fire();
        assertFalse(button.isVisible());
        assertFalse(robot.lookup("#start-open").queryButton().isDisabled());
    }

    @Test
    void theSameShootOpenedAgain_mayBeEdited() throws Exception {
        onFx(() -> session().poseEdits().tiltBy(1.5));
        onFx(() -> window.open(folder));
        until(() -> window.session().isPresent());
        assertTrue(session().shoot().mayEdit());
        assertEquals(1.5, session().framing().pose().tilt().degrees(), 1e-9);
    }

    @Test
    void nothingOfAClosedShootStaysReachable(FxRobot robot) throws Exception {
        List<WeakReference<Object>> gone = new ArrayList<>();
        Path other = other();
        for (int i = 0; i < OPENINGS; i++) {
            useIt(robot);
            onFx(() -> {
                gone.add(new WeakReference<>(session()));
                gone.add(new WeakReference<>(session().shoot()));
                gone.add(new WeakReference<>(window.models().orElseThrow()));
                gone.add(new WeakReference<>(window.loader().orElseThrow()));
                gone.add(new WeakReference<>(robot.lookup(".wall").query()));
                gone.add(new WeakReference<>(
                        window.scene().getRoot().getChildrenUnmodifiable().getFirst()));
            });
            Path next = i % 2 == 0 ? other : folder;
            onFx(() -> window.open(next));
            until(() -> window.session().isPresent());
        }
        untilGone(gone);
    }

    @Test
    void nothingOfAClosedWindowStaysReachable_whereItsStageShowsAnother() throws Exception {
        WeakReference<Object> closed = new WeakReference<>(window);
        end();
        start();
        untilGone(List.of(closed));
    }

    private static void untilGone(List<WeakReference<Object>> gone) throws Exception {
        FxToolkit.registerStage(Stage::new); // the test's own record of all events begins anew
        until(() -> {
            System.gc();
            return gone.stream().allMatch(reference -> reference.refersTo(null));
        });
    }

    /** Each view is shown, a pane opened, a photo tilted. */
    private void useIt(FxRobot robot) throws Exception {
        onFx(() -> session().poseEdits().tiltBy(0.5));
        for (MainView view : MainView.values()) {
            onFx(() -> session().viewProperty().set(view));
            for (String pane : List.of(
                    "#steps", "#settings", "#filter", "#open-SHAPE", "#open-NUMBERS", "#open-ALTERNATES", "#level")) {
                robot.lookup(pane).tryQueryAs(ButtonBase.class).ifPresent(button -> robot.interact(button::fire));
            }
        }
        onFx(() -> session().viewProperty().set(MainView.WALL));
        robot.interact(() -> window.scene().getRoot().applyCss());
    }
}
