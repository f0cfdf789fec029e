package nexa.desktop.sheet;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import nexa.desktop.find.FindView;
import nexa.desktop.find.Findables;
import nexa.desktop.keys.KeyPress;
import nexa.desktop.keys.Keys;

/** What lies over a whole shoot's screen and takes all keys while it does: the sheet of all keys, or the finder. */
public final class Sheets {
    private final Pane over;
    private final Keys keys;
    private final Findables findables;
    private final Runnable hintsAgain;
    private Optional<Node> shown = Optional.empty();

    /** @param hintsAgain points the first steps out once more */
    public Sheets(Pane over, Keys keys, Findables findables, Runnable hintsAgain) {
        this.over = over;
        this.keys = keys;
        this.findables = findables;
        this.hintsAgain = hintsAgain;
    }

    public void toggleKeys() {
        if (!close()) {
            open(
                    new KeySheet(
                            keys,
                            () -> {
                                close();
                                hintsAgain.run();
                            },
                            this::about,
                            this::close),
                    KeySheet::requestFocus);
        }
    }

    private void about() {
        close();
        open(new AboutSheet(this::close), AboutSheet::requestFocus);
    }

    public void find() {
        close();
        open(new FindView(findables, this::close), FindView::focus);
    }

    private <N extends Node> void open(N sheet, Consumer<N> focus) {
        shown = Optional.of(sheet);
        over.getChildren().add(sheet);
        focus.accept(sheet);
    }

    /** False if there is none. */
    private boolean close() {
        boolean isOpen = shown.isPresent();
        shown.ifPresent(over.getChildren()::remove);
        shown = Optional.empty();
        if (isOpen) {
            over.requestFocus();
        }
        return isOpen;
    }

    /** Uses a key; false if nothing lies over the screen. */
    public boolean pressed(KeyEvent event) {
        Optional<Node> sheet = shown;
        sheet.ifPresent(open -> pressed(event, open));
        return sheet.isPresent();
    }

    private void pressed(KeyEvent event, Node sheet) {
        boolean leaves = event.getCode() == KeyCode.ESCAPE;
        boolean isUsed = sheet instanceof KeySheet keySheet
                ? leaves
                        ? keySheet.stopChanging()
                        : KeyPress.of(event).filter(keySheet::take).isPresent()
                : !leaves;
        if (!isUsed && KeyPress.of(event).isPresent()) {
            close();
        }
    }
}
