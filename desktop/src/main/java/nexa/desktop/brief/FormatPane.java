package nexa.desktop.brief;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.brief.Format;
import nexa.core.files.FileType;
import nexa.core.shape.OrientationRule;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.ChoiceList;
import nexa.desktop.widget.ColourBox;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Numbers;
import nexa.shoot.exchange.Shelf;
import nexa.words.ShapeWords;
import nexa.words.SizeWords;
import nexa.words.Words;

/** All that one format asks for. Nothing changes before it is kept; what is refused is said and stays as typed. */
public final class FormatPane implements PaneLayer.Content {
    private final Session session;
    private final Shelf shelf;
    private final Format format;
    private final Runnable done;
    private final TextField name = new TextField();
    private final TextField shape = new TextField();
    private final ChoiceList<OrientationRule> rule =
            ChoiceList.of("format-rule", Words.of("format.rule"), OrientationRule.values(), "rule");
    private final TextField target = new TextField();
    private final TextField note = new TextField();
    private final ChoiceList<FileType> type =
            new ChoiceList<>("format-type", Words.of("handover.type"), List.of(FileType.values()), FileType::label);
    private final Spinner<Integer> quality;
    private final ColourBox colour;
    private final CheckBox centred = new CheckBox(Words.of("format.centred"));
    private final Label message = new Label();
    private final VBox node;

    /** @param done closes the pane */
    public FormatPane(Session session, Shelf shelf, Format format, Runnable done) {
        this.session = session;
        this.shelf = shelf;
        this.format = format;
        this.done = done;
        quality = Numbers.whole(
                "format-quality", "handover.quality.tip", 1, 100, format.files().quality());
        colour = new ColourBox(format.files().colour(), "format-colour");
        fill();
        GridPane grid = new GridPane(12, 9);
        ColumnConstraints fields = new ColumnConstraints();
        fields.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(), fields);
        grid.addRow(0, Labels.field("format.name"), named(name, "format-name", "format.name"));
        grid.addRow(1, Labels.field("format.shape"), named(shape, "format-shape", "format.shape"));
        grid.addRow(2, Labels.field("format.rule"), rule);
        grid.addRow(3, Labels.field("format.target"), named(target, "format-target", "format.target"));
        grid.addRow(4, Labels.field("format.note"), named(note, "format-note", "format.note"));
        grid.addRow(5, Labels.field("format.files"), new HBox(8, type, quality));
        grid.addRow(6, Labels.besideRows("handover.colour"), colour);
        grid.add(centred, 1, 7);
        message.setWrapText(true);
        message.setId("format-message");
        message.managedProperty().bind(message.textProperty().isNotEmpty());
        Button keep = Buttons.text("format.keep", this::keep);
        keep.setId("format-keep");
        keep.getStyleClass().add("primary");
        keep.setDisable(!session.shoot().mayEdit());
        Button shelve = Buttons.text("format.shelve", this::shelve);
        shelve.setId("format-shelve");
        Buttons.explain(shelve, Words.of("format.shelve.tip"));
        node = new VBox(12, grid, message, new HBox(8, keep, shelve));
        node.setPrefWidth(340);
    }

    private void fill() {
        name.setText(format.name());
        shape.setText(ShapeWords.of(format.shape()));
        target.setText(SizeWords.of(format.target()));
        target.setPromptText(Words.of("format.target.hint"));
        note.setText(format.note());
        rule.setValue(format.rule());
        type.setValue(format.files().type());
        centred.setSelected(format.centred());
        centred.setId("format-centred");
        Buttons.explain(centred, Words.of("format.centred.tip"));
        quality.setPrefWidth(90);
        quality.disableProperty().bind(type.valueProperty().map(chosen -> !chosen.hasQuality()));
    }

    private TextField named(TextField field, String id, String words) {
        field.setId(id);
        field.setAccessibleText(Words.of(words));
        field.setOnAction(event -> keep());
        return field;
    }

    /** @throws IllegalArgumentException with words for the user if a field can't be read */
    private Format typed() {
        return new Format(
                format.id(),
                name.getText(),
                ShapeWords.parse(shape.getText()),
                rule.getValue(),
                SizeWords.parse(target.getText()),
                note.getText(),
                format.files()
                        .typed(type.getValue(), quality.getValue())
                        .coloured(colour.valueProperty().get()),
                centred.isSelected());
    }

    private void keep() {
        try {
            session.briefEdits().change("edit.brief.edit", session.brief().changed(typed()));
            done.run();
        } catch (IllegalArgumentException refused) {
            say(Words.of(refused), "refusal");
        }
    }

    private void shelve() {
        try {
            Format kept = typed();
            shelf.keep(kept);
            say(Words.of("format.shelved", kept.name()), "note");
        } catch (IllegalArgumentException refused) {
            say(Words.of(refused), "refusal");
        }
    }

    private void say(String words, String style) {
        message.setText(words);
        message.getStyleClass().setAll("label", style);
    }

    @Override
    public String title() {
        return Words.of("format.title", format.name());
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {}
}
