package nexa.desktop.widget;

import java.util.Optional;
import java.util.function.Function;
import javafx.event.ActionEvent;
import javafx.scene.control.Spinner;
import javafx.util.StringConverter;
import nexa.words.Words;

/** Numbers as they are typed and shown. */
public final class Numbers {
    private Numbers() {}

    /** What was typed, units and thin signs aside; empty if it is no number. */
    public static Optional<Double> typed(String text) {
        try {
            double value =
                    Double.parseDouble(text.replace(',', '.').replace('−', '-').replaceAll("[^0-9.+-]", ""));
            return Double.isFinite(value) ? Optional.of(value) : Optional.empty();
        } catch (NumberFormatException notANumber) { // that is the answer
            return Optional.empty();
        }
    }

    public static String text(double value, int decimals) {
        return Words.number("%." + decimals + "f", value);
    }

    /**
     * A field for a whole number, and steps beside it.
     *
     * @param words the key of what it is called, for those who can't see what stands beside it
     */
    public static Spinner<Integer> whole(String id, String words, int least, int most, int now) {
        return box(id, words, new Spinner<>(least, most, now), String::valueOf, typed -> (int) Math.round(typed));
    }

    /** The same for one with a decimal. */
    public static Spinner<Double> decimal(String id, String words, double least, double most, double now, double step) {
        return box(id, words, new Spinner<>(least, most, now, step), value -> text(value, 1), typed -> typed);
    }

    /** What is typed counts by Enter and when the field is left; what is no number is put back. */
    private static <N extends Number> Spinner<N> box(
            String id, String words, Spinner<N> box, Function<N, String> text, Function<Double, N> number) {
        box.setId(id);
        box.setAccessibleText(Words.of(words));
        box.getEditor().setAccessibleText(Words.of(words));
        box.setEditable(true);
        box.getValueFactory().setConverter(new StringConverter<>() {
            @Override
            public String toString(N value) {
                return text.apply(value);
            }

            @Override
            public N fromString(String typed) {
                return typed(typed).map(number).orElseGet(box::getValue);
            }
        });
        box.getEditor().addEventHandler(ActionEvent.ACTION, event -> box.cancelEdit());
        box.focusedProperty().subscribe(focused -> {
            box.commitValue();
            box.cancelEdit(); // shows what it came to
        });
        return box;
    }
}
