package nexa.desktop.widget;

import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.words.Words;

/** A command in a menu, with its key beside it. */
public final class CommandItem extends MenuItem {
    private final Command command;
    private final Keys keys;

    public CommandItem(Command command, Keys keys, Runnable action) {
        super(Words.begun(Words.of("command", command)));
        this.command = command;
        this.keys = keys;
        setOnAction(event -> action.run());
        showKey();
    }

    /** The one that the command has by now. */
    public void showKey() {
        setAccelerator(new Shown(keys.label(command)));
    }

    /** Only tells the key; pressed, it is taken by the window. */
    private static final class Shown extends KeyCombination {
        private final String label;

        Shown(String label) {
            this.label = label;
        }

        @Override
        public boolean match(KeyEvent event) {
            return false;
        }

        @Override
        public String getDisplayText() {
            return label;
        }
    }
}
