package nexa.desktop.handover;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.words.Words;

/** What delivered files say of their photos. */
final class SaidForm extends VBox {
    private final ObjectProperty<Keep> keep;
    private final CheckBox noPlace = new CheckBox(Words.of("files.place"));
    private final TextField creator;
    private final TextField copyright;
    private final TextField caption;

    SaidForm(Description said) {
        super(8);
        keep = new SimpleObjectProperty<>(said.keep());
        Choices<Keep> choices = new Choices<>("keep", Keep.values(), keep);
        noPlace.setId("files-no-place");
        noPlace.setSelected(said.dropsPlace());
        Buttons.explain(noPlace, Words.of("files.place.tip"));
        creator = field("files-creator", said.creator());
        copyright = field("files-copyright", said.copyright());
        caption = field("files-caption", said.caption());
        GridPane added = new GridPane(12, 8);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        added.getColumnConstraints().addAll(new ColumnConstraints(), wide);
        added.addRow(0, Labels.field("files.creator"), creator);
        added.addRow(1, Labels.field("files.copyright"), copyright);
        added.addRow(2, Labels.field("files.caption"), caption);
        getChildren().addAll(Labels.field("files.keep"), choices, noPlace, added);
    }

    private static TextField field(String id, String text) {
        TextField field = new TextField(text);
        field.setId(id);
        field.setPromptText(Words.of("files.as-photo"));
        return field;
    }

    /** @throws IllegalArgumentException with words for the user if a field can't be used */
    Description typed() {
        return new Description(
                keep.get(), noPlace.isSelected(), creator.getText(), copyright.getText(), caption.getText());
    }
}
