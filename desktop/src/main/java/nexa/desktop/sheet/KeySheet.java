package nexa.desktop.sheet;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.KeyMap;
import nexa.desktop.keys.KeyPress;
import nexa.desktop.keys.Keys;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;

/** All keys, over the window. A click on a key waits for another one in its place. */
public final class KeySheet extends StackPane {
    private final Keys keys;
    private final HBox columns = new HBox(22);
    private final Label message = new Label();
    private final Map<Command, Button> buttons = new EnumMap<>(Command.class);
    private Optional<Command> changing = Optional.empty();

    /**
     * @param hintsAgain points the first steps out once more
     * @param about tells which program this is
     * @param close called by a click beside the sheet
     */
    public KeySheet(Keys keys, Runnable hintsAgain, Runnable about, Runnable close) {
        this.keys = keys;
        getStyleClass().add("veil");
        setId("key-sheet");
        Label title = new Label(Words.of("keys.title"));
        title.getStyleClass().add("sheet-title");
        message.setId("keys-message");
        message.getStyleClass().add("note");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Button usual = Buttons.text("keys.usual", () -> {
            keys.mapProperty().set(KeyMap.USUAL);
            say(Words.of("keys.hint"), false);
            refresh();
        });
        usual.setId("keys-usual");
        Button again = Buttons.text("keys.hints", hintsAgain);
        again.setId("keys-hints");
        Button aboutNexa = Buttons.text("keys.about", about);
        aboutNexa.setId("keys-about");
        HBox head = new HBox(18, title, message, space, aboutNexa, again, usual);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox below = new VBox(2, note("keys.pointer"), note("keys.aim", keys.label(Command.ACCEPT)));
        VBox sheet = new VBox(14, head, columns, below);
        sheet.getStyleClass().add("sheet");
        sheet.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        sheet.setOnMousePressed(event -> event.consume());
        ScrollPane scroll = new ScrollPane(sheet); // in a small window
        scroll.getStyleClass().add("sheet-scroll");
        scroll.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        getChildren().add(scroll);
        setAlignment(Pos.CENTER);
        setOnMousePressed(event -> close.run());
        say(Words.of("keys.hint"), false);
        for (Command.Group group : Command.Group.values()) {
            columns.getChildren().add(column(group));
        }
        refresh();
    }

    private void refresh() {
        buttons.forEach((command, button) -> {
            boolean waiting = changing.filter(command::equals).isPresent();
            button.setText(waiting ? Words.of("keys.waiting") : keys.label(command));
            button.setAccessibleText(keys.words(command));
        });
    }

    private VBox column(Command.Group group) {
        Label title = new Label(Words.of("group", group));
        title.getStyleClass().add("format-name");
        GridPane grid = new GridPane(9, 3);
        ColumnConstraints right = new ColumnConstraints();
        right.setHalignment(HPos.RIGHT);
        grid.getColumnConstraints().add(right);
        int row = 0;
        if (group == Command.Group.GOING) {
            Label digits = new Label("1 – 9");
            digits.getStyleClass().add("sheet-key");
            grid.addRow(row++, digits, words(Words.of("keys.formats")));
        }
        for (Command command : Command.values()) {
            if (command.group() == group) {
                grid.addRow(row++, key(command), words(Words.of("command", command)));
            }
        }
        return new VBox(7, title, grid);
    }

    private static Label note(String key, Object... values) {
        Label note = new Label(Words.of(key, values));
        note.getStyleClass().add("note");
        return note;
    }

    private static Label words(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("sheet-words");
        return label;
    }

    private Button key(Command command) {
        Button key = new Button();
        key.getStyleClass().add("sheet-key-button");
        key.setId("key-" + command);
        key.setOnAction(event -> {
            changing = Optional.of(command);
            say(Words.of("keys.press", Words.of("command", command)), false);
            refresh();
        });
        buttons.put(command, key);
        return key;
    }

    /** Takes a key for what is being changed; false if nothing is. */
    public boolean take(KeyPress press) {
        if (changing.isEmpty()) {
            return false;
        }
        Command command = changing.get();
        Optional<Command> taken = keys.map().conflict(command, press);
        if (KeyMap.choosesFormat(press)) {
            say(Words.of("keys.conflict", press.label(), Words.of("keys.formats")), true);
        } else if (taken.isPresent()) {
            say(Words.of("keys.conflict", press.label(), Words.of("command", taken.get())), true);
        } else {
            keys.mapProperty().set(keys.map().with(command, press));
            changing = Optional.empty();
            say(Words.of("keys.changed", Words.of("command", command), press.label()), false);
        }
        refresh();
        return true;
    }

    /** Stops waiting for a key; false if it did not wait. */
    public boolean stopChanging() {
        boolean waited = changing.isPresent();
        changing = Optional.empty();
        say(Words.of("keys.hint"), false);
        refresh();
        return waited;
    }

    private void say(String words, boolean conflict) {
        message.setText(words);
        message.getStyleClass().setAll("label", conflict ? "refusal" : "note");
    }
}
