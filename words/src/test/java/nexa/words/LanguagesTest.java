package nexa.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class LanguagesTest {
    @Test
    void asTheSystem_ifThereAreWords_elseEnglish() {
        assertEquals(Locale.ENGLISH, Languages.of(Languages.AS_SYSTEM, Locale.UK));
        assertEquals(Locale.ENGLISH, Languages.of(Languages.AS_SYSTEM, Locale.JAPAN));
        assertEquals(Locale.ENGLISH, Languages.of("en", Locale.GERMANY));
        assertEquals(Locale.GERMAN, Languages.of(Languages.AS_SYSTEM, Locale.GERMANY));
        assertEquals(Locale.GERMAN, Languages.of("de", Locale.UK));
        assertEquals(Locale.ENGLISH, Languages.of("no language", Locale.GERMANY));
        assertEquals("English", Languages.name("en"));
    }

    @Test
    void numbers_areWrittenAsTheLanguageDoes() {
        try {
            Words.speak(() -> "de");
            assertEquals("1,50", Words.number("%.2f", 1.5));
            assertEquals("−3,2 %", Words.number("%.1f %%", -3.2));
            Words.speak(() -> "en");
            assertEquals("+1.5", Words.number("%+.1f", 1.5));
        } finally {
            Words.speak(() -> "en");
        }
    }

    /** A pattern that can't be read would show only where it is wanted. */
    @Test
    void everySentence_canBeFilled() throws IOException {
        for (String bundle : List.of("words.properties", "words_de.properties")) {
            Properties words = words(bundle);
            assertTrue(words.size() > 700);
            Object[] values = {11, 12, 13, 14, 15, 16, 17, 18, 19};
            words.stringPropertyNames().forEach(key -> {
                String filled = new MessageFormat(words.getProperty(key), Locale.ENGLISH).format(values);
                assertTrue(!filled.contains("{1}") && !filled.contains("{0}"), key + ": " + filled);
            });
        }
    }

    /** Of two lines with one key the later would speak where the earlier is meant. */
    @Test
    void noSentence_isThereTwice() throws IOException {
        for (String bundle : List.of("words.properties", "words_de.properties")) {
            try (InputStream in = Words.class.getResourceAsStream(bundle)) {
                String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
                List<String> keys = text.lines()
                        .filter(line -> line.matches("[a-zA-Z0-9.-]+ ?=.*"))
                        .map(line -> line.substring(0, line.indexOf('=')).strip())
                        .toList();
                List<String> twice = keys.stream()
                        .filter(key -> Collections.frequency(keys, key) > 1)
                        .distinct()
                        .toList();
                assertEquals(List.of(), twice, bundle);
            }
        }
    }

    private static Properties words(String bundle) throws IOException {
        Properties words = new Properties();
        try (InputStream in = Words.class.getResourceAsStream(bundle)) {
            words.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        }
        return words;
    }

    /** Every sentence, with the same places to be filled and the same choices of number. */
    @Test
    void german_saysAllThatEnglishSays() throws IOException {
        Properties english = words("words.properties");
        Properties german = words("words_de.properties");
        assertEquals(new TreeSet<>(english.stringPropertyNames()), new TreeSet<>(german.stringPropertyNames()));
        english.stringPropertyNames()
                .forEach(key -> assertEquals(
                        filled(english.getProperty(key)), filled(german.getProperty(key)), () -> key + " is filled"));
    }

    /** The places that are filled. */
    private static TreeSet<String> filled(String pattern) {
        return Pattern.compile("\\{(\\d)[,}]")
                .matcher(pattern)
                .results()
                .map(match -> match.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void numbersAndWords_areThoseOfTheLanguage() {
        try {
            Words.speak(() -> "de");
            assertEquals("1 Datei übergeben", Words.of("handover.start", 1));
            assertEquals("1.234 Dateien übergeben", Words.of("handover.start", 1234));
            Words.speak(() -> "en");
            assertEquals("Hand over 1,234 files", Words.of("handover.start", 1234));
        } finally {
            Words.speak(() -> Languages.AS_SYSTEM);
        }
    }
}
