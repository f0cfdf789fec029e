package nexa.desktop.stage;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.concurrent.TimeUnit;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** Who works is not disturbed by what has time. */
@ExtendWith(ApplicationExtension.class)
class RestTest {
    private final Rest rest = new Rest();
    private final Scene scene = new Scene(new Pane());

    private static MouseEvent pointer() {
        return new MouseEvent(
                MouseEvent.MOUSE_MOVED,
                1,
                1,
                1,
                1,
                MouseButton.NONE,
                0,
                false,
                false,
                false,
                false,
                false,
                false,
                false,
                false,
                false,
                true,
                null);
    }

    @Test
    void whatIsDone_endsItForAMoment_andAPointerThatGoesByDoesNot() throws Exception {
        assertTrue(rest.isNow(), "nobody did anything yet");
        rest.watch(scene);
        Event.fireEvent(scene, pointer());
        assertTrue(rest.isNow());
        Event.fireEvent(scene, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.SPACE, false, false, false, false));
        assertFalse(rest.isNow());
        WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, rest::isNow);
    }
}
