package nexa.desktop.brief;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.brief.Preset;
import nexa.core.shape.Shape;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;

/** Adds a format: one click on a common shape, or a shape typed, with a name if one likes. */
final class AddFormatPane extends VBox {
    private static final List<String> COMMON =
            List.of("4:5", "1:1", "2:3", "3:4", "5:7", "16:9", "2:1", "9:16", "as photo", "free");

    private final Session session;
    private final Runnable done;
    private final TextField shape = new TextField();
    private final TextField name = new TextField();
    private final Label refusal = new Label();

    /** @param done called when a format was added or the pane is no longer wanted */
    AddFormatPane(Session session, Runnable done) {
        super(7);
        this.session = session;
        this.done = done;
        getStyleClass().add("add-format");
        FlowPane common = new FlowPane(5, 5);
        COMMON.forEach(text -> common.getChildren().add(chip(text)));
        FlowPane presets = new FlowPane(4, 4); // the rail is narrow, and half a word says nothing
        for (Preset.Kind kind : Preset.Kind.values()) {
            presets.getChildren().add(menu(kind));
        }
        shape.setId("add-shape");
        shape.setPromptText(Words.of("rail.add.shape.hint"));
        shape.setAccessibleText(Words.of("rail.add.shape"));
        name.setId("add-name");
        name.setPromptText(Words.of("rail.add.name"));
        name.setAccessibleText(Words.of("rail.add.name"));
        refusal.getStyleClass().add("refusal");
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        Button add = Buttons.text("rail.add.confirm", this::add);
        add.setId("add-confirm");
        add.getStyleClass().add("primary");
        getChildren()
                .addAll(common, presets, shape, name, refusal, new HBox(6, add, Buttons.text("rail.add.cancel", done)));
        shape.setOnAction(event -> add());
        name.setOnAction(event -> add());
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                done.run();
                event.consume();
            }
        });
    }

    void focusShape() {
        shape.requestFocus();
    }

    private Button chip(String text) {
        Button chip = new Button(text);
        chip.getStyleClass().add("chip");
        chip.setFocusTraversable(false);
        chip.setOnAction(event -> shape.setText(text));
        return chip;
    }

    /** Papers or screens: one click adds the format with its size. */
    private MenuButton menu(Preset.Kind kind) {
        MenuButton menu = new MenuButton(Words.of("preset", kind));
        menu.setId("presets-" + kind);
        menu.getStyleClass().add("preset-menu");
        menu.setFocusTraversable(false);
        for (Preset preset : Preset.of(kind)) {
            MenuItem item = new MenuItem(
                    preset.format().name() + "   " + preset.format().target().text());
            item.setId("preset-" + preset);
            item.setOnAction(event -> {
                session.briefEdits().addAll(List.of(preset.format()));
                done.run();
            });
            menu.getItems().add(item);
        }
        return menu;
    }

    private void add() {
        try {
            Shape parsed = Shape.parse(shape.getText());
            session.briefEdits().add(name.getText().isBlank() ? unusedName(parsed) : name.getText(), parsed);
            done.run();
        } catch (IllegalArgumentException refused) {
            refusal.setText(Words.of(refused));
        }
    }

    /** The shape itself, numbered if there is such a format already. */
    private String unusedName(Shape parsed) {
        String base = parsed.text();
        String candidate = base;
        for (int n = 2; session.brief().find(candidate).isPresent(); n++) {
            candidate = base + " " + n;
        }
        return candidate;
    }
}
