package nexa.desktop.widget;

import java.util.function.Function;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/** Shows the choices of a list that is not typed into. */
public final class Shown<T> extends StringConverter<T> {
    private final Function<T, String> words;

    public Shown(Function<T, String> words) {
        this.words = words;
    }

    @Override
    public String toString(@Nullable T value) {
        return value == null ? "" : words.apply(value);
    }

    @Override
    public T fromString(String text) {
        throw new UnsupportedOperationException("These lists are not typed into");
    }
}
