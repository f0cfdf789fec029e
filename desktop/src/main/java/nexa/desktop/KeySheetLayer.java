package nexa.desktop;

import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import nexa.desktop.keys.KeyPress;
import nexa.desktop.keys.Keys;
import nexa.desktop.pane.KeySheet;

/** The sheet of all keys, which lies over everything and takes all keys while it does. */
final class KeySheetLayer {
    private final Pane over;
    private final Keys keys;
    private Optional<KeySheet> shown = Optional.empty();

    KeySheetLayer(Pane over, Keys keys) {
        this.over = over;
        this.keys = keys;
    }

    void toggle() {
        shown.ifPresentOrElse(this::close, this::open);
    }

    private void open() {
        KeySheet sheet = new KeySheet(keys, this::toggle);
        shown = Optional.of(sheet);
        over.getChildren().add(sheet);
    }

    private void close(KeySheet sheet) {
        over.getChildren().remove(sheet);
        shown = Optional.empty();
    }

    /** Uses a key; false if the sheet does not show. */
    boolean pressed(KeyEvent event) {
        Optional<KeySheet> sheet = shown;
        sheet.ifPresent(open -> pressed(event, open));
        return sheet.isPresent();
    }

    private void pressed(KeyEvent event, KeySheet sheet) {
        Optional<KeyPress> press = KeyPress.of(event);
        boolean leaves = event.getCode() == KeyCode.ESCAPE;
        boolean used = leaves ? sheet.stopChanging() : press.filter(sheet::take).isPresent();
        if (!used && press.isPresent()) {
            toggle();
        }
    }
}
