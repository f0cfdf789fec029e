package nexa.desktop.setting;

import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import nexa.shoot.Preferences;

/** Settings that are kept as soon as they change. */
final class Kept {
    private Kept() {}

    /** A text of another version, or one changed by hand, gives the default. */
    static <T> ObjectProperty<T> property(
            Preferences preferences, String name, T usual, Function<String, T> parse, Function<T, String> text) {
        T first = preferences.get(name).map(value -> read(value, usual, parse)).orElse(usual);
        ObjectProperty<T> property = new SimpleObjectProperty<>(first);
        property.subscribe((before, now) -> preferences.put(name, text.apply(now)));
        return property;
    }

    /** @throws NumberFormatException if it is none; also for one that is not finite, which no range would hold */
    static double number(String text) {
        double number = Double.parseDouble(text);
        if (!Double.isFinite(number)) {
            throw new NumberFormatException(text);
        }
        return number;
    }

    private static <T> T read(String value, T usual, Function<String, T> parse) {
        try {
            return parse.apply(value);
        } catch (IllegalArgumentException unknown) { // of another version: the usual
            return usual;
        }
    }
}
