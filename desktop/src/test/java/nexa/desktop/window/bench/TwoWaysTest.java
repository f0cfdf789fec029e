package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.overlay.Overlay;
import nexa.core.shape.Shape;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** The same work done with the keys alone and with the mouse alone: open, level, frame to 4:5 under the spiral, check. */
class TwoWaysTest extends WindowTest {
    /** How often a key or a button was pressed. */
    private int presses;

    @Override
    protected String[] photos() {
        return new String[] {"kiln_0206.jpg", "kiln_0208.jpg", "kiln_0216.jpg"};
    }

    @BeforeEach
    void brief() throws Exception {
        onFx(() -> {
            session().briefEdits().add("Square", Shape.parse("1:1"));
            session().briefEdits().add("Print", Shape.parse("4:5"));
            session().chooseFormat(1);
        });
    }

    private void key(FxRobot robot, KeyCode... keys) {
        presses++;
        press(robot, keys);
    }

    private double tilt() {
        return session().framing().pose().tilt().degrees();
    }

    @Test
    void withKeysAlone(FxRobot robot) throws Exception {
        key(robot, KeyCode.RIGHT);
        key(robot, KeyCode.LEFT);
        key(robot, KeyCode.ENTER); // opens the Bench
        key(robot, KeyCode.DIGIT2);
        for (int i = 0; i < 3; i++) {
            key(robot, KeyCode.G);
        }
        assertEquals(
                Overlay.GOLDEN_SPIRAL,
                session().overlayProperty().get().overlay().orElseThrow());
        int perPhoto = 0;
        for (int photo = 0; photo < 3; photo++) {
            presses = 0;
            key(robot, KeyCode.SHIFT, KeyCode.L);
            until(() -> tilt() != 0);
            Frame largest = frame();
            key(robot, KeyCode.CONTROL, KeyCode.DOWN);
            key(robot, KeyCode.SHIFT, KeyCode.RIGHT);
            assertTrue(frame().width() < largest.width());
            key(robot, KeyCode.ENTER);
            perPhoto = Math.max(perPhoto, presses);
        }
        assertEquals(4, perPhoto, "automatic level, smaller, to the right, check and next");
        assertAllDone();
    }

    @AfterEach
    void undressed() throws Exception {
        undress();
    }

    @Test
    void withTheMouseAlone(FxRobot robot) throws Exception {
        dress(); // what has room for the mouse depends on it
        openInBench(robot, "kiln_0206.jpg");
        press(robot, "#format-2");
        press(robot, "#overlay-GOLDEN_SPIRAL");
        BenchView bench = bench(robot);
        int perPhoto = 0;
        for (int photo = 0; photo < 3; photo++) {
            presses = 0;
            press(robot, "#auto-level");
            until(() -> tilt() != 0);
            Frame largest = frame();
            pull(robot, onScreen(bench, largest.at(1, 1)), onScreen(bench, largest.at(0.9, 0.9)));
            Frame smaller = frame();
            assertEquals(largest.width() * 0.9, smaller.width(), 0.005);
            pull(robot, onScreen(bench, smaller.centre()), onScreen(bench, smaller.at(0.54, 0.54)));
            press(robot, "#check");
            perPhoto = Math.max(perPhoto, presses);
        }
        assertEquals(4, perPhoto, "automatic level, corner, inside, check and next");
        assertAllDone();
    }

    private void press(FxRobot robot, String query) throws Exception {
        presses++;
        click(robot, query);
    }

    private void pull(FxRobot robot, Point2D from, Point2D to) {
        presses++;
        drag(robot, from, to);
    }

    private void assertAllDone() {
        assertEquals(MainView.BENCH, session().viewProperty().get());
        for (Photo photo : session().shoot().photos()) {
            Framing framing = session().framing(photo);
            assertEquals(FrameState.CHECKED, framing.state(session().format().orElseThrow()), photo.file());
            Frame frame = session()
                    .shoot()
                    .frame(photo, session().format().orElseThrow())
                    .orElseThrow();
            assertEquals(1.25, Math.max(frame.aspect(), 1 / frame.aspect()), 1e-9);
            assertTrue(Math.abs(framing.pose().tilt().degrees()) > 0.8);
        }
    }
}
