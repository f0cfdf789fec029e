package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.imaging.file.Trouble;
import nexa.words.Words;
import org.junit.jupiter.api.Test;

/** What is told has words, and nothing below the words has sentences of its own. */
class ToldTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern CODE = Pattern.compile("\"((?:told|trouble|cli)\\.[a-z0-9.-]+)\"");

    /** A thrown sentence: at least three words. */
    private static final Pattern THROWN =
            Pattern.compile("new (?:IO|Told|Store|Refused|Invalid)Exception\\(\\s*\"[^\"]*\\w+ \\w+ \\w+");

    private static final Pattern SENTENCE = Pattern.compile("\"([^\"\\n]*\\w+ \\w+ [^\"\\n]*)\"");

    /** Annotations that describe commands and options, and what goes to the log. */
    private static final Pattern HELP = Pattern.compile(
            "(?:@(?:Command|Option|Parameters)|LOG\\.\\w+)\\((?:\"(?:[^\"\\\\]|\\\\.)*\"|[^\"()]|\\([^()]*\\))*\\)");

    private static String sources(List<String> modules) throws IOException {
        return text(modules.stream().map(module -> module + "/src/main/java").toList());
    }

    private static String text(List<String> folders) throws IOException {
        StringBuilder all = new StringBuilder();
        for (String folder : folders) {
            try (Stream<Path> files = Files.walk(ROOT.resolve(folder))) {
                for (Path file :
                        files.filter(each -> each.toString().endsWith(".java")).toList()) {
                    all.append(Files.readString(file)).append('\n');
                }
            }
        }
        return all.toString();
    }

    private static Set<String> found(Pattern pattern, String in) {
        Set<String> found = new TreeSet<>();
        Matcher matcher = pattern.matcher(in);
        while (matcher.find()) {
            found.add(matcher.group(matcher.groupCount()));
        }
        return found;
    }

    @Test
    void everyCode_hasWords() throws IOException {
        Set<String> codes = found(CODE, sources(List.of("core", "imaging", "shoot", "words", "desktop", "cli")));
        codes.removeIf(Words::has);
        assertEquals(Set.of(), codes);
        for (Trouble.Kind kind : Trouble.Kind.values()) {
            assertTrue(Words.has(Trouble.of(kind).told().code()), kind.name());
        }
    }

    @Test
    void nothingIsThrownAsASentence_belowTheWords() throws IOException {
        Set<String> thrown = new TreeSet<>();
        Matcher matcher = THROWN.matcher(sources(List.of("core", "imaging", "shoot")));
        while (matcher.find()) {
            thrown.add(matcher.group());
        }
        assertEquals(Set.of(), thrown);
    }

    /** What commands say is in the bundles too; what they say of themselves stands beside their options. */
    @Test
    void commandsHaveNoSentences_butInTheirHelp() throws IOException {
        String commands = text(List.of(
                "cli/src/main/java/nexa/cli/base",
                "cli/src/main/java/nexa/cli/correct",
                "cli/src/main/java/nexa/cli/crop",
                "cli/src/main/java/nexa/cli/deliver"));
        assertEquals(Set.of(), found(SENTENCE, HELP.matcher(commands).replaceAll("")));
    }

    @Test
    void toldInsideOfTold_isSaidInItsPlace() {
        Told disk = Told.of("told.store.because", Told.of("told.store.change-cannot-saved"), Told.of("told.disk.full"));
        assertEquals("The change can't be saved: the disk is full", Words.of(disk));
        assertEquals(
                "a.jpg: truncated after 41 %",
                Words.of("told.at", "a.jpg", new Trouble(Trouble.Kind.TRUNCATED, 41).told()));
        assertFalse(disk.toString().contains("change can"), "a log has codes");
    }

    /** Whatever it is wrapped in on its way; a code is never shown. */
    @Test
    void whatWrapsAReason_tellsIt() {
        ToldException full = new ToldException("told.disk.full");
        assertEquals("the disk is full", Words.of(new UncheckedIOException(full)));
        assertEquals("the disk is full", Words.of(new IOException(full.getMessage(), full)));
    }

    /** What only the system knows is passed on as it says it. */
    @Test
    void systemsOwnReasons_arePassedOn() {
        assertEquals("No space left on device", Words.of(new IOException("No space left on device")));
        assertEquals("NullPointerException", Words.of(new NullPointerException()));
    }
}
