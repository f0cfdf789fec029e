package nexa.desktop.desk.area;

import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import nexa.desktop.widget.Numbers;
import nexa.words.Words;

/**
 * A number on a slider with its name and its value: shown while it is dragged, stored when it is let go; double-click for its
 * usual value.
 */
public final class AmountSlider extends HBox {
    private final Slider slider;
    private final Label value = new Label();
    private final TextField number = new TextField();
    private final DoubleFunction<String> words;
    private boolean showing;

    /** What a change does. */
    public record Doing(DoubleConsumer preview, DoubleConsumer store) {}

    public AmountSlider(
            String name, double least, double most, double usual, DoubleFunction<String> words, Doing doing) {
        super(10);
        this.words = words;
        slider = new Slider(least, most, usual);
        slider.setId(name.replace('.', '-'));
        slider.setAccessibleText(Words.of(name));
        slider.valueProperty().subscribe((before, now) -> {
            showWords(now.doubleValue());
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
    public void show(double now) {
        if (!slider.isValueChanging()) {
            showing = true;
            slider.setValue(now);
            showWords(now);
            showing = false;
        }
    }

    private void showWords(double now) {
        value.setText(words.apply(now));
        if (!number.isFocused()) {
            number.setText(words.apply(now));
        }
    }

    /**
     * The value can be typed as well; what is no number changes nothing.
     *
     * @param typed from a number as it is shown to the slider's
     */
    AmountSlider typed(DoubleUnaryOperator typed) {
        number.setId(slider.getId() + "-number");
        number.setAccessibleText(slider.getAccessibleText());
        number.getStyleClass().add("amount-number"); // three lie above each other
        number.setPrefColumnCount(6);
        number.setMinWidth(78);
        number.setOnAction(event -> {
            Numbers.typed(number.getText())
                    .map(typed::applyAsDouble)
                    .filter(Double::isFinite)
                    .ifPresent(now -> slider.setValue(Math.clamp(now, slider.getMin(), slider.getMax())));
            requestFocus();
            showWords(slider.getValue());
        });
        number.focusedProperty().subscribe((was, focused) -> {
            if (!focused) {
                showWords(slider.getValue());
            }
        });
        getChildren().set(getChildren().indexOf(value), number);
        return this;
    }
}
