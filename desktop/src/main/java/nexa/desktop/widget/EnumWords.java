package nexa.desktop.widget;

import javafx.util.StringConverter;
import nexa.words.Words;

/** Shows the choices of a list by their words. */
public final class EnumWords<E extends Enum<E>> extends StringConverter<E> {
    private final String kind;

    /** @param kind the beginning of the words' keys */
    public EnumWords(String kind) {
        this.kind = kind;
    }

    @Override
    public String toString(E value) {
        return value == null ? "" : Words.of(kind, value);
    }

    @Override
    public E fromString(String words) {
        throw new UnsupportedOperationException("These lists are not typed into");
    }
}
