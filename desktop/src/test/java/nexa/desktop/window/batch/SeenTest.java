package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.input.KeyCode;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** Photos are looked at by themselves once the shoot is open: frames that nobody placed keep what they show. */
class SeenTest extends WindowTest {
    @Override
    protected boolean looksByItself() {
        return true;
    }

    @Override
    protected String[] photos() {
        return new String[] {"kiln_0201.jpg", "kiln_0214.jpg"};
    }

    private boolean isSeen(Photo photo) {
        return session().shoot().framing(photo).subject().sight().isPresent();
    }

    private Optional<Photo> photo(String name) {
        return session().shoot().photos().stream()
                .filter(photo -> photo.name().equals(name))
                .findFirst();
    }

    private boolean isAllSeen() {
        return session().shoot().photos().stream().allMatch(this::isSeen);
    }

    @Test
    void framesThatNobodyPlaced_keepTheSubject_andNoStepIsLeft(FxRobot robot) throws Exception {
        addFormat(robot, "1:1");
        int steps = session().shoot().history().done().size();
        until(this::isAllSeen);
        Frame subject = onPhoto(photo("kiln_0201.jpg").orElseThrow());
        assertEquals(FrameState.DERIVED, state());
        assertTrue(frame().contains(subject.centre()));
        assertEquals(steps, session().shoot().history().done().size());
    }

    @Test
    void placedFrame_staysWhereItIs_andPhotosThatArriveAreLookedAt(FxRobot robot) throws Exception {
        addFormat(robot, "1:1");
        onFx(() -> {
            session()
                    .gestures()
                    .preview(session().gestures().placed(frame().scaled(0.5).movedBy(new Point(0.03, 0.02))));
            session().gestures().commit("edit.frame");
        });
        Frame placed = frame();
        until(this::isAllSeen);
        assertEquals(placed, frame());
        Files.copy(DEMO.resolve("kiln_0230.jpg"), folder.resolve("kiln_0230.jpg"));
        until(() -> photo("kiln_0230.jpg").filter(this::isSeen).isPresent());
    }

    @Test
    void whoDoesNotWantIt_keepsFramesFromTheMiddle_untilItIsWantedAgain(FxRobot robot) throws Exception {
        until(this::isAllSeen);
        press(robot, KeyCode.SHORTCUT, KeyCode.COMMA);
        CheckBox look = robot.lookup("#settings-look").queryAs(CheckBox.class);
        assertTrue(look.isSelected());
        onFx(look::fire);
        Files.copy(DEMO.resolve("kiln_0230.jpg"), folder.resolve("kiln_0230.jpg"));
        until(() -> photo("kiln_0230.jpg").isPresent());
        assertFalse(isSeen(photo("kiln_0230.jpg").orElseThrow()));
        onFx(look::fire);
        until(this::isAllSeen);
    }

    private FrameState state() {
        Photo photo = session().photo().orElseThrow();
        return session().shoot().framing(photo).state(session().format().orElseThrow());
    }

    private Frame onPhoto(Photo photo) {
        return session()
                .shoot()
                .framing(photo)
                .subject()
                .sight()
                .orElseThrow()
                .in(session().shoot().space(photo).orElseThrow())
                .subject()
                .orElseThrow();
    }
}
