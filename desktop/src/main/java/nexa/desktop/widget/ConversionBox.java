package nexa.desktop.widget;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;
import nexa.words.Words;

/** The choice how colours become those of a profile. */
public final class ConversionBox extends VBox {
    private final ChoiceList<Intent> intent;
    private final CheckBox black = new CheckBox(Words.of("intent.black"));
    private final ReadOnlyObjectWrapper<Conversion> value;

    /** @param id of the list; the box for black has {@code -black} behind it */
    public ConversionBox(Conversion first, String id) {
        super(6);
        value = new ReadOnlyObjectWrapper<>(first);
        intent = ChoiceList.of(id, Words.of("intent"), Intent.values(), "intent");
        intent.setValue(first.intent());
        intent.setTooltip(new Tooltip(Words.of("intent")));
        black.setId(id + "-black");
        black.setSelected(first.keepsBlack());
        black.disableProperty().bind(intent.valueProperty().isEqualTo(Intent.ABSOLUTE));
        Buttons.explain(black, Words.of("intent.black.tip"));
        intent.valueProperty().subscribe((before, now) -> take());
        black.selectedProperty().subscribe((before, now) -> take());
        getChildren().addAll(intent, black);
    }

    private void take() {
        value.set(new Conversion(intent.getValue(), black.isSelected()));
    }

    public ReadOnlyObjectProperty<Conversion> valueProperty() {
        return value.getReadOnlyProperty();
    }
}
