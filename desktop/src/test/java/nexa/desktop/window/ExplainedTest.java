package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.stage.Window;
import nexa.core.shape.Shape;
import nexa.desktop.keys.Command;
import nexa.desktop.session.MainView;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** What a control does is said beside it when the pointer rests on it. */
class ExplainedTest extends WindowTest {
    @Test
    void pointerOnASign_showsWhatItDoes_andItsKey(FxRobot robot) throws Exception {
        onFx(() -> {
            session().briefEdits().add("Print", Shape.parse("4:5"));
            session().viewProperty().set(MainView.BENCH);
        });
        until(() -> robot.lookup("#check").tryQuery().isPresent());
        Button check = robot.lookup("#check").queryAs(Button.class);
        assertNull(check.getTooltip(), "made when it is needed");
        robot.moveTo("#clear").moveTo("#check").moveBy(3, 0);
        until(() -> shown() != null);
        String words = Words.begun(Words.of("command", Command.ACCEPT));
        assertTrue(shown().startsWith(words) && shown().length() > words.length(), shown());
    }

    private static @Nullable String shown() {
        return Window.getWindows().stream()
                .filter(Tooltip.class::isInstance)
                .filter(Window::isShowing)
                .map(window -> ((Tooltip) window).getText())
                .findFirst()
                .orElse(null);
    }
}
