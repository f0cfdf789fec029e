package nexa.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Properties;
import org.junit.jupiter.api.Test;

class LanguagesTest {
    @Test
    void asTheSystem_ifThereAreWords_elseEnglish() {
        assertEquals(Locale.ENGLISH, Languages.of(Languages.AS_SYSTEM, Locale.UK));
        assertEquals(Locale.ENGLISH, Languages.of(Languages.AS_SYSTEM, Locale.JAPAN));
        assertEquals(Locale.ENGLISH, Languages.of("en", Locale.GERMANY));
        assertEquals(Locale.ENGLISH, Languages.of("no language", Locale.GERMANY));
        assertEquals("English", Languages.name("en"));
    }

    /** A pattern that can't be read would show only where it is wanted. */
    @Test
    void everySentence_canBeFilled() throws IOException {
        Properties words = new Properties();
        try (InputStream in = Words.class.getResourceAsStream("words.properties")) {
            words.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        }
        assertTrue(words.size() > 700);
        Object[] values = {11, 12, 13, 14, 15, 16, 17, 18, 19};
        words.stringPropertyNames().forEach(key -> {
            String filled = new MessageFormat(words.getProperty(key), Locale.ENGLISH).format(values);
            assertTrue(!filled.contains("{1}") && !filled.contains("{0}"), key + ": " + filled);
        });
    }
}
