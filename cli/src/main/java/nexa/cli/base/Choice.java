package nexa.cli.base;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;
import nexa.words.Words;

/**
 * One of a fixed set of words. JSON has its name, for programs; a table has it in the user's language.
 *
 * @param name English, in small letters
 * @param key of its words
 */
public record Choice(String name, String key) {
    @Override
    @JsonValue
    public String name() {
        return name;
    }

    /** @param name one that rows have words for */
    public static Choice of(String name) {
        return new Choice(name, "row.is." + name.replace(' ', '-'));
    }

    /** The same. */
    public static Choice of(Enum<?> value) {
        return of("row.is", value);
    }

    /** One that the window has words for, under the name of its kind. */
    public static Choice of(String kind, Enum<?> value) {
        return new Choice(value.name().toLowerCase(Locale.ROOT).replace('_', ' '), Words.key(kind, value));
    }

    String inWords() {
        return Words.of(key);
    }
}
