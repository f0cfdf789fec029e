package nexa.desktop.stage;

import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.desktop.keys.Keys;
import org.jspecify.annotations.Nullable;

/** Keys that spell words are the shoot's, unless somebody types into a field. */
public final class WindowKeys {
    private final Scene scene;
    private final Predicate<KeyEvent> use;
    private boolean used;

    private WindowKeys(Scene scene, Predicate<KeyEvent> use) {
        this.scene = scene;
        this.use = use;
    }

    /** @param use does what a key stands for; false if it stands for nothing */
    public static void of(Scene scene, Keys keys, Predicate<KeyEvent> use) {
        WindowKeys ours = new WindowKeys(scene, use);
        scene.addEventFilter(KeyEvent.KEY_PRESSED, ours::pressed);
        scene.addEventFilter(KeyEvent.KEY_TYPED, ours::typed);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, keys::release);
        scene.addEventFilter(KeyEvent.ANY, keys::follow);
    }

    private void pressed(KeyEvent event) {
        if (event.isConsumed()) {
            used = false;
            return; // by a filter of this scene before this one
        }
        boolean typing = isTypedInto(scene.getFocusOwner()) && event.getCode() != KeyCode.ESCAPE;
        used = !typing && use.test(event);
        if (used) {
            event.consume();
        }
    }

    private static boolean isTypedInto(@Nullable Node focused) {
        return focused instanceof TextInputControl || focused instanceof Spinner<?> spinner && spinner.isEditable();
    }

    /** The letter of a key that was used must not be typed into a field that the key opened. */
    private void typed(KeyEvent event) {
        if (used) {
            event.consume();
        }
    }
}
