package nexa.desktop.keys;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Keys of keyboards that are laid out for another script, or type digits and points with Shift. On Linux JavaFX knows no
 * key of a letter that is not Latin unless a Latin layout comes first: such a letter stands for the key that is in its
 * place on a Latin keyboard. What types a digit, a comma or a point is that key, with Shift or without.
 */
final class KeyOfLayout {
    private static final String LATIN = "qwertyuiopasdfghjklzxcvbnm,.";

    /** Each in the order of {@link #LATIN}; a blank where a key types something else. */
    private static final String CYRILLIC = "йцукенгшщзфывапролдячсмитьбю";

    private static final String GREEK = " ςερτυθιοπασδφγηξκλζχψωβνμ  ";
    private static final String HEBREW = "  קראטוןםפשדגכעיחלךזסבהנמצתץ";
    private static final String ARABIC = "ضصثقفغعهخحشسيبلاتنمئءؤر ىةوز";
    private static final List<String> LAYOUTS = List.of(CYRILLIC, GREEK, HEBREW, ARABIC);

    /** Languages whose Cyrillic keyboards are laid out in a way of their own. */
    private static final Set<String> OTHER_CYRILLIC = Set.of("bg", "sr", "mk");

    private KeyOfLayout() {}

    /** The key of an event, with its modifiers. */
    static KeyPress of(KeyEvent event) {
        KeyPress pressed = new KeyPress(event.getCode(), event.isShiftDown(), event.isShortcutDown());
        String text = event.getText();
        if (text.length() != 1 || isKnown(event.getCode(), text)) {
            return pressed;
        }
        return typed(text.charAt(0))
                .map(code -> new KeyPress(code, false, pressed.shortcut()))
                .or(() -> inPlaceOf(text.toLowerCase(Locale.ROOT).charAt(0))
                        .filter(code -> event.getCode() == KeyCode.UNDEFINED)
                        .map(code -> new KeyPress(code, pressed.shift(), pressed.shortcut())))
                .orElse(pressed);
    }

    private static boolean isKnown(KeyCode code, String text) {
        return code.isDigitKey()
                || code.isLetterKey()
                || code.isKeypadKey()
                || code.getChar().equals(text);
    }

    private static Optional<KeyCode> typed(char letter) {
        return switch (letter) {
            case ',' -> Optional.of(KeyCode.COMMA);
            case '.' -> Optional.of(KeyCode.PERIOD);
            default ->
                letter >= '0' && letter <= '9'
                        ? Optional.of(KeyCode.getKeyCode(String.valueOf(letter)))
                        : Optional.empty();
        };
    }

    private static Optional<KeyCode> inPlaceOf(char letter) {
        boolean isLaidOutInAnotherWay = Character.UnicodeScript.of(letter) == Character.UnicodeScript.CYRILLIC
                && OTHER_CYRILLIC.contains(Locale.getDefault().getLanguage());
        if (isLaidOutInAnotherWay || letter == ' ') {
            return Optional.empty();
        }
        char known = letter == 'і' ? 'ы' : letter; // the Ukrainian one in the Russian one's place
        return LAYOUTS.stream()
                .map(layout -> layout.indexOf(known))
                .filter(place -> place >= 0)
                .findFirst()
                .map(place -> code(LATIN.charAt(place)));
    }

    private static KeyCode code(char latin) {
        return typed(latin).orElseGet(() -> KeyCode.valueOf(String.valueOf(Character.toUpperCase(latin))));
    }
}
