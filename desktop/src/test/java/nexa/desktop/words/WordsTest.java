package nexa.desktop.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.core.overlay.Overlay;
import nexa.imaging.file.Trouble;
import org.junit.jupiter.api.Test;

class WordsTest {
    private static final Pattern KEY = Pattern.compile(
            "\"((?:app|view|header|start|rail|state|wall|bench|desk|overlay|handover|trouble|edit|notice|keys)\\.[a-z.-]+)\"");

    @Test
    void everyKeyInTheCode_hasWords() throws IOException {
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
            for (Path source : (Iterable<Path>) sources.filter(p -> p.toString().endsWith(".java"))::iterator) {
                KEY.matcher(Files.readString(source))
                        .results()
                        .map(match -> match.group(1))
                        .filter(key -> !key.endsWith("."))
                        .forEach(key -> assertTrue(Words.has(key), key + " in " + source));
            }
        }
    }

    @Test
    void everyValueThatIsShown_hasWords() {
        for (Overlay overlay : Overlay.values()) {
            assertTrue(Words.of(overlay).length() > 3);
        }
        for (FrameState state : FrameState.values()) {
            assertTrue(Words.of(state).length() > 3);
        }
        for (Trouble.Kind kind : Trouble.Kind.values()) {
            assertTrue(Words.of(Trouble.of(kind)).length() > 3);
        }
    }

    @Test
    void valuesAreFilledIn() {
        assertEquals("truncated after 41 %", Words.of(new Trouble(Trouble.Kind.TRUNCATED, 41)));
        assertEquals("3 of 36", Words.of("header.place", 3, 36));
    }
}
