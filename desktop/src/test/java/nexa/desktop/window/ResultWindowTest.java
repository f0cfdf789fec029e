package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import javafx.stage.Window;
import nexa.core.space.Pose;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** The second window, with the current photo's result alone. */
class ResultWindowTest extends WindowTest {
    @Override
    protected void prepare(Path shoot) throws IOException {
        Files.writeString(shoot.resolve("broken.jpg"), "not a photo");
    }

    private static Optional<Stage> second() {
        return Window.getWindows().stream()
                .filter(shown -> shown instanceof Stage stage && stage.getOwner() != null && stage.isShowing())
                .map(Stage.class::cast)
                .filter(stage -> stage.getScene().getRoot().lookup(".result-alone") != null)
                .findFirst();
    }

    private static String trouble() {
        return ((Label) second().orElseThrow().getScene().getRoot().lookup(".result-trouble")).getText();
    }

    private void choose(String file) throws Exception {
        onFx(() -> session().shoot().photos().stream()
                .filter(photo -> photo.file().equals(file))
                .findFirst()
                .ifPresent(session()::choose));
    }

    /** Whether a photo shows above the middle, where words may stand: its reds and blues are not alike as the ground's are. */
    private static boolean showsAPhoto() {
        Scene scene = second().orElseThrow().getScene();
        WritableImage picture = scene.snapshot(null);
        Color place = colour(picture, picture.getWidth() / 2, picture.getHeight() / 4);
        return Math.abs(place.getRed() - place.getBlue()) > 0.01;
    }

    @Test
    void aKey_opensIt_andEscapeClosesIt(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F6);
        until(() -> second().isPresent() && showsAPhoto());
        assertEquals("", trouble());
        onFx(() -> second().orElseThrow().requestFocus());
        until(() -> second().orElseThrow().isFocused());
        press(robot, KeyCode.ESCAPE);
        until(() -> second().isEmpty());
        assertTrue(window.session().isPresent(), "the main window stays");
    }

    @Test
    void anUnreadablePhoto_isSaidThere_untilAnotherFollows(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F6);
        until(() -> second().isPresent() && showsAPhoto());
        choose("broken.jpg");
        Photo broken = session().photo().orElseThrow();
        until(() -> !trouble().isEmpty());
        assertTrue(trouble().contains(broken.name()), trouble());
        until(() -> !showsAPhoto());
        choose("kiln_0206.jpg");
        until(() -> trouble().isEmpty() && showsAPhoto());
    }
}
