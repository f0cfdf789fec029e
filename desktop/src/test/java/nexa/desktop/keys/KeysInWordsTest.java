package nexa.desktop.keys;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.stream.Stream;
import nexa.words.Words;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Texts are given the keys of commands, as everyone may choose other ones. */
class KeysInWordsTest {
    @AfterEach
    void english() {
        Words.speak(() -> "en");
    }

    @ParameterizedTest
    @ValueSource(strings = {"en", "de"})
    void noTextNamesTheUsualKeyOfACommand(String language) {
        Words.speak(() -> language);
        ResourceBundle texts = ResourceBundle.getBundle("nexa.words.words", Locale.of(language));
        List<String> keys = Stream.of(Command.values())
                .flatMap(command -> command.usual().stream())
                .filter(press -> press.shift() || press.shortcut())
                .map(KeyPress::label)
                .flatMap(label -> Stream.of(label, label.replace(' ', '+')))
                .toList();
        List<String> wrong = texts.keySet().stream()
                .filter(text -> keys.stream().anyMatch(texts.getString(text)::contains))
                .sorted()
                .toList();
        assertEquals(List.of(), wrong);
    }
}
