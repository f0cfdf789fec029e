package nexa.desktop.widget;

import java.util.Optional;
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
}
