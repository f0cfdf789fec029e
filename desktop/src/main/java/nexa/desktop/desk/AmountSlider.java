package nexa.desktop.desk;

import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import nexa.words.Words;

/**
 * A number on a slider with its name and its value: shown while it is dragged, stored when it is let go; double-click for its
 * usual value.
 */
final class AmountSlider extends HBox {
    private final Slider slider;
    private final Label value = new Label();
    private final DoubleFunction<String> words;
    private boolean showing;

    /** What a change does. */
    record Doing(DoubleConsumer preview, DoubleConsumer store) {}

    AmountSlider(String name, double least, double most, double usual, DoubleFunction<String> words, Doing doing) {
        super(10);
        this.words = words;
        slider = new Slider(least, most, usual);
        slider.setId(name.replace('.', '-'));
        slider.setAccessibleText(Words.of(name));
        slider.valueProperty().subscribe((before, now) -> {
            value.setText(words.apply(now.doubleValue()));
            if (!showing) {
                (slider.isValueChanging() ? doing.preview : doing.store).accept(now.doubleValue());
            }
        });
        slider.valueChangingProperty().subscribe((before, now) -> {
            if (Boolean.TRUE.equals(before) && !now) {
                doing.store.accept(slider.getValue());
            }
        });
        slider.addEventFilter(MouseEvent.MOUSE_CLICKED, event -> {
            if (event.getClickCount() == 2) {
                slider.setValue(usual);
            }
        });
        HBox.setHgrow(slider, Priority.ALWAYS);
        Label title = new Label(Words.of(name));
        title.getStyleClass().add("field-label");
        title.setMinWidth(110);
        value.setMinWidth(64);
        value.setAlignment(Pos.CENTER_RIGHT);
        value.getStyleClass().add("desk-figure");
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(title, slider, value);
    }

    /** Shows the number as it is, unless it is being dragged. */
    void show(double now) {
        if (!slider.isValueChanging()) {
            showing = true;
            slider.setValue(now);
            value.setText(words.apply(now));
            showing = false;
        }
    }
}
