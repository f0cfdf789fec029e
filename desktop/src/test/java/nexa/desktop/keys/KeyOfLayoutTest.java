package nexa.desktop.keys;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Locale;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Events as JavaFX gives them on Linux with the layouts ru, ua, gr, il, ara, fr, cz and us. */
class KeyOfLayoutTest {
    private final Locale usual = Locale.getDefault();

    @AfterEach
    void usualLanguage() {
        Locale.setDefault(usual);
    }

    private static KeyEvent pressed(KeyCode code, String text, boolean shift, boolean shortcut) {
        return new KeyEvent(KeyEvent.KEY_PRESSED, " ", text, code, shift, shortcut, false, false);
    }

    @ParameterizedTest
    @CsvSource({
        "UNDEFINED, ц, false, W, false",
        "UNDEFINED, Ц, true, W, true",
        "UNDEFINED, б, false, COMMA, false",
        "UNDEFINED, Б, true, COMMA, true",
        "UNDEFINED, і, false, S, false",
        "UNDEFINED, ς, false, W, false",
        "UNDEFINED, ץ, false, PERIOD, false",
        "UNDEFINED, ص, false, W, false",
        "UNDEFINED, é, false, UNDEFINED, false",
        "UNDEFINED, 2, true, DIGIT2, false",
        "AMPERSAND, 1, true, DIGIT1, false",
        "PLUS, 1, true, DIGIT1, false",
        "SEMICOLON, ., true, PERIOD, false",
        "DIGIT2, @, true, DIGIT2, true",
        "NUMPAD3, 3, false, NUMPAD3, false",
        "PERIOD, >, true, PERIOD, true",
        "PERIOD, ., false, PERIOD, false",
        "W, w, false, W, false",
        "PLUS, +, false, PLUS, false",
        "F4, '', false, F4, false",
        "SHIFT, '', true, SHIFT, true",
    })
    void keysAreThoseOfALatinKeyboard_andDigitsAreDigits(
            KeyCode code, String text, boolean shift, KeyCode key, boolean withShift) {
        assertEquals(new KeyPress(key, withShift, false), KeyOfLayout.of(pressed(code, text, shift, false)));
        assertEquals(new KeyPress(key, withShift, true), KeyOfLayout.of(pressed(code, text, shift, true)));
    }

    @ParameterizedTest
    @CsvSource({"ru, A", "bg, UNDEFINED", "sr, UNDEFINED"})
    void cyrillicThatIsLaidOutInAnotherWay_isLeftAlone(String language, KeyCode key) {
        Locale.setDefault(Locale.of(language));
        assertEquals(
                key,
                KeyOfLayout.of(pressed(KeyCode.UNDEFINED, "ф", false, false)).code());
    }
}
