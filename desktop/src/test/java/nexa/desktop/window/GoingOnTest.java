package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.paint.PhotoRaster;
import nexa.desktop.picture.ResultPicture;
import nexa.desktop.session.MainView;
import nexa.desktop.widget.Nodes;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** From photo to photo, back through the steps, alternates, and keys of one's own. */
class GoingOnTest extends WindowTest {
    @Test
    void nextAndPrevious_keepFormatOverlayAndZoom(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        onFx(() -> session().overlayProperty().set(OverlayChoice.of(Overlay.GOLDEN_SPIRAL)));
        press(robot, KeyCode.Z);
        double zoom = bench.zoomFactor().orElseThrow();
        press(robot, KeyCode.N);
        press(robot, KeyCode.N);
        press(robot, KeyCode.SHIFT, KeyCode.N);
        assertEquals("kiln_0206.jpg", session().photo().orElseThrow().file());
        assertEquals("4:5", session().format().orElseThrow().name());
        assertEquals(
                OverlayChoice.of(Overlay.GOLDEN_SPIRAL),
                session().overlayProperty().get());
        assertEquals(zoom, bench.zoomFactor().orElseThrow(), 1e-9);
        assertEquals(MainView.BENCH, session().viewProperty().get());
    }

    /** They were drawn while one looked at the photo between them. */
    @Test
    void photosBeside_areThereAtOnce(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", new Pose(Turn.NONE, new Tilt(1.5)));
        PhotoRaster raster =
                robot.from(bench).lookup(PhotoRaster.class::isInstance).queryAs(PhotoRaster.class);
        until(() -> raster.prepared() == 2);
        assertIsThereAtOnce(bench, raster, "kiln_0230.jpg", false);
        until(() -> raster.prepared() == 1 && bench.isSharp());
        assertIsThereAtOnce(bench, raster, "kiln_0206.jpg", true);
        until(() -> raster.prepared() == 2 && bench.isSharp());
        assertIsThereAtOnce(bench, raster, "kiln_0201.jpg", true);
    }

    private void assertIsThereAtOnce(BenchView bench, PhotoRaster raster, String file, boolean isBefore)
            throws Exception {
        onFx(() -> {
            Event.fireEvent(
                    bench, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.N, isBefore, false, false, false));
            bench.layout();
            assertEquals(file, session().photo().orElseThrow().file());
            assertTrue(raster.isSettled(), file);
        });
    }

    @Test
    void alternates_areKeptSwitchedAndDeleted(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.8);
        Frame wide = frame();
        press(robot, KeyCode.Y);
        robot.write("wide").push(KeyCode.ENTER);
        place(0.5);
        Frame close = frame();
        click(robot, "#alternate-name").write("close").push(KeyCode.ENTER);
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.SHIFT, KeyCode.Y);
        assertEquals(wide, frame());
        press(robot, KeyCode.SHIFT, KeyCode.Y);
        assertEquals(close, frame());
        reopen();
        press(robot, KeyCode.Y);
        click(robot, "#alternate-wide");
        assertEquals(wide, frame());
        click(robot, "#drop-close");
        assertEquals(1, session().frameEdits().alternates().size());
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(2, session().frameEdits().alternates().size());
    }

    @Test
    void stepsList_goesBackAndForwardToAnyAction(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.PERIOD);
        press(robot, KeyCode.Q);
        press(robot, KeyCode.M);
        click(robot, "#steps");
        assertTrue(robot.lookup("#step-0 .label").<Labeled>query().getText().contains("Mirror"));
        click(robot, "#step-2");
        assertEquals(0.1, session().framing().pose().tilt().degrees(), 1e-9);
        assertFalse(session().framing().pose().turn().mirrored());
        assertEquals(0, session().framing().pose().turn().quarterTurns());
        click(robot, "#step-forward-2");
        assertTrue(session().framing().pose().turn().mirrored());
        click(robot, "#step-start");
        assertTrue(session().brief().formats().isEmpty());
        Node tilted = robot.lookup("#step-forward-2").query();
        assertTrue(
                robot.from(tilted)
                        .lookup(ResultPicture.class::isInstance)
                        .tryQuery()
                        .isPresent(),
                "all of the photo");
    }

    @Test
    void stepsList_isWholeHoweverLong_andItsRowsStayWhileOneWorks(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        for (int i = 0; i < 24; i++) {
            press(robot, KeyCode.M);
        }
        click(robot, "#steps");
        ScrollPane list = robot.lookup("#step-list").query();
        until(() -> {
            list.setVvalue(1);
            return robot.lookup("#step-start").tryQuery().isPresent();
        });
        Node newest = robot.lookup("#step-0").query();
        Node oldest = robot.lookup("#step-23").query();
        press(robot, KeyCode.Q);
        assertSame(newest, robot.lookup("#step-1").query());
        assertSame(oldest, robot.lookup("#step-24").query());
        assertTrue(robot.lookup("#step-0 .label").<Labeled>query().getText().contains("Quarter turn"));
    }

    @Test
    void stepsAndAlternates_areChosenByKeysToo(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.8);
        Frame wide = frame();
        onFx(() -> session().frameEdits().keep("wide"));
        place(0.5);
        Frame close = frame();
        press(robot, KeyCode.Y);
        tabTo(robot, "alternate-wide", 8, KeyCode.SHIFT, KeyCode.TAB);
        press(robot, KeyCode.SPACE);
        assertEquals(wide, frame());
        assertHasKeyboard("alternate-wide");
        click(robot, "#steps");
        tabTo(robot, "step-1", 8, KeyCode.TAB);
        press(robot, KeyCode.SPACE);
        assertEquals(close, frame());
        assertHasKeyboard("step-0");
        press(robot, KeyCode.UP);
        assertHasKeyboard("step-forward-1");
        press(robot, KeyCode.SPACE);
        assertEquals(wide, frame());
    }

    private void assertHasKeyboard(String id) {
        Node owner = window.scene().getFocusOwner();
        assertEquals(id, owner.getId());
        assertTrue(owner.isFocusVisible(), "and that is seen");
    }

    @Test
    void clear_isOneKeyAndExact(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        Frame derived = frame();
        place(0.5);
        press(robot, KeyCode.T);
        press(robot, KeyCode.BACK_SPACE);
        assertEquals(derived, frame());
        assertEquals(
                FrameState.DERIVED, session().framing().state(session().format().orElseThrow()));
    }

    @Test
    void keySheet_changesAKeyAndNamesConflicts(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F1);
        click(robot, "#key-SWAP");
        press(robot, KeyCode.N);
        String conflict = robot.lookup("#keys-message").queryLabeled().getText();
        assertTrue(conflict.contains("N already does “next photo”"), conflict);
        press(robot, KeyCode.DIGIT3);
        assertTrue(robot.lookup("#keys-message").queryLabeled().getText().contains("a format of the brief"));
        press(robot, KeyCode.F7);
        assertEquals("F7", robot.lookup("#key-SWAP").queryLabeled().getText());
        press(robot, KeyCode.SPACE);
        assertTrue(robot.lookup("#key-sheet").tryQuery().isEmpty(), "any key closes the sheet");
        press(robot, KeyCode.F7);
        assertEquals(0.8, frame().aspect(), 1e-9);
        press(robot, KeyCode.T);
        assertEquals(0.8, frame().aspect(), 1e-9, "the old key does nothing any more");
        reopen();
        press(robot, KeyCode.F7);
        assertEquals(1.25, frame().aspect(), 1e-9);
        press(robot, KeyCode.F1);
        click(robot, "#keys-usual");
        press(robot, KeyCode.SPACE);
        press(robot, KeyCode.T);
        assertEquals(0.8, frame().aspect(), 1e-9);
    }

    @Test
    void keySheet_changesAKeyWithoutAMouse(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        Frame before = frame();
        press(robot, KeyCode.F1);
        Node sheet = robot.lookup("#key-sheet").query();
        for (int i = 0;
                i < 120 && !"key-SWAP".equals(window.scene().getFocusOwner().getId());
                i++) {
            press(robot, KeyCode.TAB);
            assertTrue(Nodes.isWithin(window.scene().getFocusOwner(), (Parent) sheet), "nothing below is reached");
        }
        assertHasKeyboard("key-SWAP");
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.F7);
        assertEquals("F7", robot.lookup("#key-SWAP").queryLabeled().getText());
        assertHasKeyboard("key-SWAP");
        press(robot, KeyCode.ESCAPE);
        assertTrue(robot.lookup("#key-sheet").tryQuery().isEmpty());
        press(robot, KeyCode.F7);
        assertEquals(1 / before.aspect(), frame().aspect(), 1e-9);
    }

    @Test
    void paneInTheWay_isDraggedAside(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F);
        var title = robot.lookup(".pane-title").query();
        var before = title.localToScreen(0, 0);
        robot.moveTo(before.add(8, 5)).press(MouseButton.PRIMARY);
        for (int i = 0; i < 10; i++) {
            robot.moveBy(-6, -4); // small steps: without a screen a drag ends where the pointer leaves what it holds
        }
        robot.release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(0, before.subtract(60, 40).distance(title.localToScreen(0, 0)), 2);
    }
}
