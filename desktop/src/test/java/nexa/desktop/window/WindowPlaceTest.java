package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.concurrent.TimeUnit;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import nexa.desktop.MainWindow;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;

/** Where the window opens, and how large. */
class WindowPlaceTest extends WindowTest {
    private Locations locations() {
        return new Locations(folder.resolveSibling("data"), folder.resolveSibling("cache"));
    }

    private Stage stage() {
        return (Stage) window.scene().getWindow();
    }

    private void openAnew() throws Exception {
        onFx(() -> stage().hide());
        window.closed().get(PATIENCE, TimeUnit.SECONDS);
        FxToolkit.setupStage(stage -> {
            Stage fresh = new Stage();
            window = new MainWindow(fresh, locations(), 1280, 800);
            window.show();
        });
    }

    @Test
    void window_opensWhereItWas() throws Exception {
        onFx(() -> {
            stage().setX(40);
            stage().setY(25);
            stage().setWidth(1010);
            stage().setHeight(720);
        });
        openAnew();
        assertEquals(40, stage().getX());
        assertEquals(1010, stage().getWidth());
        assertEquals(720, stage().getHeight());
    }

    @Test
    void window_whoseScreenIsGone_opensAsAtFirst() throws Exception {
        onFx(() -> stage().hide());
        window.closed().get(PATIENCE, TimeUnit.SECONDS);
        try (Preferences preferences = Preferences.open(locations())) {
            preferences.put("window", "-9000.0 -9000.0 1100.0 720.0");
        }
        FxToolkit.setupStage(stage -> {
            window = new MainWindow(new Stage(), locations(), 1280, 800);
            window.show();
        });
        assertTrue(stage().getX() > -9000);
    }

    @Test
    void key_fillsTheScreenAndBack(FxRobot robot) throws Exception {
        press(robot, KeyCode.F11);
        until(() -> stage().isFullScreen());
        press(robot, KeyCode.F11);
        until(() -> !stage().isFullScreen());
        assertFalse(stage().isMaximized());
    }
}
