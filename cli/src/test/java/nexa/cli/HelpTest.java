package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.TreeMap;
import java.util.stream.Stream;
import nexa.words.Words;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import picocli.CommandLine;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;

/** What commands say of themselves, in both languages. */
class HelpTest {
    private static final ResourceBundle GERMAN = ResourceBundle.getBundle(
            "nexa.words.help",
            Locale.GERMAN,
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));

    @AfterEach
    void speakAsBefore() {
        Words.speak(() -> "en");
    }

    /** Each of a command's sentences by what it is of. */
    private static Map<String, String> said(CommandLine line) {
        Map<String, String> said = new TreeMap<>();
        Stream.concat(Stream.of(line), line.getSubcommands().values().stream())
                .map(CommandLine::getCommandSpec)
                .forEach(command -> said(command, said));
        return said;
    }

    private static void said(CommandSpec command, Map<String, String> said) {
        String name = command.qualifiedName();
        put(said, name, command.usageMessage().description());
        put(said, name + " footer", command.usageMessage().footer());
        Stream.of(command.options(), command.positionalParameters())
                .flatMap(List::stream)
                .map(ArgSpec.class::cast)
                .filter(each -> !each.hidden())
                .forEach(each -> put(said, name + " " + each, each.description()));
    }

    private static void put(Map<String, String> said, String of, String[] sentences) {
        for (int i = 0; i < sentences.length; i++) {
            said.put(of + " " + i, sentences[i]);
        }
    }

    @Test
    void everySentence_isThereInGerman_andNoneTwiceOrForNothing() {
        CommandLine german = Main.commands();
        german.setResourceBundle(GERMAN);
        Map<String, String> english = said(Main.commands());
        Map<String, String> translated = said(german);
        assertEquals(english.keySet(), translated.keySet());
        List<String> same = english.keySet().stream()
                .filter(of -> english.get(of).equals(translated.get(of)))
                .toList();
        assertEquals(List.of(), same);
        List<String> unused = new ArrayList<>(GERMAN.keySet());
        unused.removeIf(key -> key.startsWith("usage.")
                || translated.containsValue(GERMAN.getString(key).formatted()));
        assertEquals(List.of(), unused);
    }

    @Test
    void options_areNamedAlikeInBoth() {
        for (String key : GERMAN.keySet()) {
            assertFalse(GERMAN.getString(key).isBlank(), key);
        }
        Map<String, String> english = said(Main.commands());
        CommandLine line = Main.commands();
        line.setResourceBundle(GERMAN);
        said(line).forEach((of, german) -> assertEquals(options(english.get(of)), options(german), of + ": " + german));
    }

    /** The library that prints them takes them for patterns, and warns on the screen of one that is none. */
    @Test
    void percentSigns_areDoubled() {
        for (String key : GERMAN.keySet()) {
            assertDoesNotThrow(() -> GERMAN.getString(key).formatted(), key);
        }
    }

    /** What begins with two dashes. */
    private static List<String> options(String sentence) {
        return Arrays.stream(sentence.split("[^\\w-]+"))
                .filter(word -> word.startsWith("--"))
                .sorted()
                .toList();
    }

    @Test
    void help_isInTheLanguageThatIsSet() {
        Words.speak(() -> "de");
        CommandLine line = Main.commands("trim");
        line.setResourceBundle(Words.help().orElseThrow());
        String usage = line.getSubcommands().get("trim").getUsageMessage();
        assertTrue(usage.startsWith("Aufruf: nexa trim"), usage);
        assertTrue(usage.contains("Wieder die ganzen Fotos."), usage);
        assertTrue(line.getUsageMessage().contains("Befehle:"));
        Words.speak(() -> "en");
        assertTrue(Words.help().isEmpty());
    }
}
