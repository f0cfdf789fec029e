package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.Node;
import javafx.scene.control.DialogPane;
import javafx.stage.Window;
import nexa.desktop.mishap.Mishaps;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** The program made a mistake. */
class MishapTest extends WindowTest {
    private final AtomicInteger reopened = new AtomicInteger();

    private static List<DialogPane> dialogs() {
        return Window.getWindows().stream()
                .map(open -> open.getScene().lookup("#mishap"))
                .filter(DialogPane.class::isInstance)
                .map(DialogPane.class::cast)
                .toList();
    }

    @Test
    void mistake_isSaidOnce_withWhereTheLogIs_andTheShootIsOpenedAgain(FxRobot robot) throws Exception {
        onFx(() -> {
            Mishaps mishaps = new Mishaps(window.scene().getWindow(), Path.of("/logs"), reopened::incrementAndGet);
            for (int pulse = 0; pulse < 3; pulse++) {
                mishaps.take(new IllegalStateException("a bug"));
            }
        });
        until(() -> dialogs().size() == 1);
        DialogPane dialog = dialogs().getFirst();
        assertTrue(dialog.getContentText().contains("/logs"), dialog::getContentText);
        assertTrue(dialog.getExpandableContent().toString().contains("mishap-details"));
        Node again = dialog.lookupButton(dialog.getButtonTypes().getFirst());
        click(robot, again);
        until(() -> dialogs().isEmpty());
        assertEquals(1, reopened.get());
    }
}
