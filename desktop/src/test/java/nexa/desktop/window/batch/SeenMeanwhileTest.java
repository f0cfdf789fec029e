package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.sight.Sight;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** What is seen in a photo, or becomes of its file, while somebody is at it. */
class SeenMeanwhileTest extends WindowTest {
    private static final Sight LEFT = new Sight(List.of(), Optional.of(new Frame(-0.4, 0, 0.1, 0.1)), 0);

    @Test
    void derivedFrame_moves_butAGestureThatGoesOnIsNotLost(FxRobot robot) throws Exception {
        addFormat(robot, "1:1");
        Photo photo = photo();
        onFx(() -> session()
                .gestures()
                .preview(session().gestures().placed(frame().scaled(0.5).movedBy(new Point(0.03, 0.02)))));
        Frame shown = frame();
        Frame derived = session().shoot().frame(photo, format()).orElseThrow();

        onFx(() -> session().shoot().saw(Map.of(photo, LEFT)));

        assertEquals(shown, frame(), "what is dragged");
        assertNotEquals(derived, session().shoot().frame(photo, format()).orElseThrow());
        onFx(() -> session().gestures().commit("edit.frame"));
        assertEquals(FrameState.PLACED, session().shoot().framing(photo).state(format()));
        assertEquals(shown, frame());
        assertEquals(
                Optional.of(LEFT), session().shoot().framing(photo).subject().sight());
    }

    /** Another program writes its words into the file while the frame is dragged, or a line is to be drawn. */
    @Test
    void photoReadAnew_throwsNobodyOut(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0206.jpg", Pose.AS_SHOT);
        place(0.5);
        Point2D middle = onScreen(bench, frame().centre());
        robot.moveTo(middle).press(MouseButton.PRIMARY).moveBy(20, 0);
        until(() -> !frame().equals(session().shoot().frame(photo(), format()).orElseThrow()));
        Frame dragged = frame();

        writeAnew("kiln_0206.jpg");

        assertEquals(dragged, frame(), "what is dragged");
        robot.moveBy(20, 0).release(MouseButton.PRIMARY);
        until(() -> !session().framing().state(format()).equals(FrameState.DERIVED)
                && frame().equals(session().shoot().frame(photo(), format()).orElseThrow()));
        assertTrue(frame().centreX() > dragged.centreX(), "the drag went on");
        press(robot, KeyCode.L);
        writeAnew("kiln_0206.jpg");
        assertEquals(BenchMode.LEVELLING, bench.modeProperty().get());
    }

    @Test
    void photoThatArrives_isNotGoneToDuringADrag(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "kiln_0206.jpg", Pose.AS_SHOT);
        onFx(() -> session().settings().followArrivalsProperty().set(true));
        place(0.5);
        robot.moveTo(onScreen(bench, frame().centre()))
                .press(MouseButton.PRIMARY)
                .moveBy(20, 0);
        Files.copy(DEMO.resolve("kiln_0204.jpg"), folder.resolve("kiln_0204.jpg"));
        until(() -> session().shoot().photos().size() == 4);
        robot.moveBy(20, 0).release(MouseButton.PRIMARY);
        assertEquals("kiln_0206.jpg", photo().file());
    }

    private Photo photo() {
        return session().photo().orElseThrow();
    }

    private Format format() {
        return session().format().orElseThrow();
    }

    /** The same picture, with something behind its end. */
    private void writeAnew(String file) throws Exception {
        String before = photo().fingerprint();
        Files.write(folder.resolve(file), "words".getBytes(StandardCharsets.US_ASCII), StandardOpenOption.APPEND);
        until(() -> !photo().fingerprint().equals(before));
    }
}
