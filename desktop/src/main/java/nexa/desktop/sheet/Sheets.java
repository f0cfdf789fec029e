package nexa.desktop.sheet;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.util.Subscription;
import nexa.desktop.find.FindView;
import nexa.desktop.find.Findables;
import nexa.desktop.keys.KeyPress;
import nexa.desktop.keys.Keys;
import nexa.desktop.widget.Nodes;

/** What lies over a whole shoot's screen and takes all keys while it does: the sheet of all keys, or the finder. */
public final class Sheets {
    private final Pane over;
    private final Keys keys;
    private final Findables findables;
    private final Runnable hintsAgain;
    private Optional<Node> shown = Optional.empty();
    private Subscription keepsKeyboard = Subscription.EMPTY;

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

    private <N extends Parent> void open(N sheet, Consumer<N> focus) {
        shown = Optional.of(sheet);
        over.getChildren().add(sheet);
        focus.accept(sheet);
        keepsKeyboard = over.getScene().focusOwnerProperty().subscribe(owner -> {
            if (!Nodes.isWithin(owner, sheet)) { // what lies below cannot be seen to have it
                sheet.requestFocus();
            }
        });
    }

    /** False if there is none. */
    private boolean close() {
        boolean isOpen = isOpen();
        keepsKeyboard.unsubscribe();
        shown.ifPresent(over.getChildren()::remove);
        shown = Optional.empty();
        if (isOpen) {
            over.requestFocus();
        }
        return isOpen;
    }

    /** Whether a sheet lies over the screen: keys are for what it holds. */
    public boolean isOpen() {
        return shown.isPresent();
    }

    /** Uses a key; false if it is for a control of the sheet, or nothing lies over the screen. */
    public boolean pressed(KeyEvent event) {
        return shown.filter(sheet -> pressed(event, sheet)).isPresent();
    }

    private boolean pressed(KeyEvent event, Node sheet) {
        boolean leaves = event.getCode() == KeyCode.ESCAPE;
        Optional<KeyPress> press = KeyPress.of(event);
        boolean isTaken = sheet instanceof KeySheet keys
                && (leaves ? keys.stopChanging() : press.filter(keys::take).isPresent());
        boolean isAnyKey = sheet instanceof KeySheet && press.isPresent() && !isForControl(event, sheet);
        if (!isTaken && (leaves || isAnyKey)) {
            close();
        }
        return isTaken || leaves || isAnyKey;
    }

    private static boolean isForControl(KeyEvent event, Node sheet) {
        Node owner = sheet.getScene().getFocusOwner();
        boolean byKeys = owner != null && owner != sheet && owner.isFocusVisible();
        return event.getCode() == KeyCode.TAB || byKeys && KeyPress.isForControls(event.getCode());
    }
}
