package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.sight.Sight;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** What is seen in a photo while somebody is at it. */
class SeenMeanwhileTest extends WindowTest {
    private static final Sight LEFT = new Sight(List.of(), Optional.of(new Frame(-0.4, 0, 0.1, 0.1)), 0);

    @Test
    void derivedFrame_moves_butAGestureThatGoesOnIsNotLost(FxRobot robot) throws Exception {
        addFormat(robot, "1:1");
        Photo photo = session().photo().orElseThrow();
        onFx(() -> session()
                .gestures()
                .preview(session().gestures().placed(frame().scaled(0.5).movedBy(new Point(0.03, 0.02)))));
        Frame shown = frame();
        Frame derived =
                session().shoot().frame(photo, session().format().orElseThrow()).orElseThrow();

        onFx(() -> session().shoot().saw(Map.of(photo, LEFT)));

        assertEquals(shown, frame(), "what is dragged");
        assertNotEquals(
                derived,
                session().shoot().frame(photo, session().format().orElseThrow()).orElseThrow());
        onFx(() -> session().gestures().commit("edit.frame"));
        assertEquals(
                FrameState.PLACED,
                session().shoot().framing(photo).state(session().format().orElseThrow()));
        assertEquals(shown, frame());
        assertEquals(
                Optional.of(LEFT), session().shoot().framing(photo).subject().sight());
    }
}
