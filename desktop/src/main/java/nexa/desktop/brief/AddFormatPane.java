package nexa.desktop.brief;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import nexa.core.brief.Format;
import nexa.core.brief.Preset;
import nexa.core.shape.Shape;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.words.FormatWords;
import nexa.words.ShapeWords;
import nexa.words.SizeWords;
import nexa.words.Words;

/** Adds formats: common shapes that are chosen, and those that are typed. One alone may be given a name. */
final class AddFormatPane extends VBox {
    private static final List<Shape> COMMON = Stream.of(
                    "4:5", "1:1", "2:3", "3:4", "5:7", "16:9", "2:1", "9:16", "as photo", "free")
            .map(Shape::parse)
            .toList();

    private final Session session;
    private final Runnable done;
    private final List<ToggleButton> common = COMMON.stream().map(this::chip).toList();
    private final TextField shape = new TextField();
    private final TextField name = new TextField();
    private final Label refusal = new Label();

    /** @param done called when formats were added or the pane is no longer wanted */
    AddFormatPane(Session session, Runnable done) {
        super(7);
        this.session = session;
        this.done = done;
        getStyleClass().add("add-format");
        FlowPane chips = new FlowPane(5, 5);
        chips.getChildren().addAll(common);
        common.forEach(chip -> chip.setOnAction(event -> showWhetherNamed()));
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
        shape.textProperty().subscribe(text -> showWhetherNamed());
        refusal.getStyleClass().add("refusal");
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        Button add = Buttons.text("rail.add.confirm", () -> add(List.of()));
        add.setId("add-confirm");
        add.getStyleClass().add("primary");
        getChildren()
                .addAll(
                        chips,
                        presets,
                        shape,
                        name,
                        refusal,
                        new FlowPane(6, 6, add, Buttons.text("rail.add.cancel", done)));
        shape.setOnAction(event -> add(List.of()));
        name.setOnAction(event -> add(List.of()));
    }

    void focusShape() {
        shape.requestFocus();
    }

    private ToggleButton chip(Shape shape) {
        ToggleButton chip = new ToggleButton(ShapeWords.of(shape));
        chip.setId("add-" + shape.text().replaceAll("[: ]", "-"));
        chip.getStyleClass().add("chip");
        chip.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                add(List.of());
                event.consume();
            }
        });
        return chip;
    }

    private List<Shape> chosen() {
        return IntStream.range(0, COMMON.size())
                .filter(i -> common.get(i).isSelected())
                .mapToObj(COMMON::get)
                .toList();
    }

    /** Several are named by their shapes. */
    private void showWhetherNamed() {
        name.setDisable(chosen().size() + (shape.getText().isBlank() ? 0 : 1) > 1);
    }

    /** Papers or screens: one click adds the format with its size, and what else is chosen. */
    private MenuButton menu(Preset.Kind kind) {
        MenuButton menu = new MenuButton(Words.of("preset", kind));
        menu.setId("presets-" + kind);
        menu.getStyleClass().add("preset-menu");
        for (Preset preset : Preset.of(kind)) {
            MenuItem item = new MenuItem(preset.format().name() + "   "
                    + SizeWords.of(preset.format().target()));
            item.setId("preset-" + preset);
            item.setOnAction(event -> add(List.of(preset.format())));
            menu.getItems().add(item);
        }
        return menu;
    }

    private void add(List<Format> presets) {
        if (presets.isEmpty() && chosen().isEmpty() && shape.getText().isBlank()) {
            refusal.setText(Words.of("rail.add.nothing"));
            return;
        }
        try {
            List<Format> wanted =
                    Stream.concat(wanted(), presets.stream()).distinct().toList();
            if (wanted.size() == 1) {
                Format one = wanted.getFirst();
                session.briefEdits().add(one.named(name.getText().isBlank() ? unused(one.name()) : name.getText()));
            } else {
                session.briefEdits().addAll(wanted);
            }
            done.run();
        } catch (IllegalArgumentException refused) {
            refusal.setText(Words.of(refused));
        }
    }

    private Stream<Format> wanted() {
        List<Format> typed = shape.getText().isBlank() ? List.of() : FormatWords.typedAll(shape.getText());
        return Stream.concat(chosen().stream().map(ShapeWords::format), typed.stream());
    }

    /** Numbered if there is such a format already. */
    private String unused(String base) {
        String candidate = base;
        for (int n = 2; session.brief().find(candidate).isPresent(); n++) {
            candidate = base + " " + n;
        }
        return candidate;
    }
}
