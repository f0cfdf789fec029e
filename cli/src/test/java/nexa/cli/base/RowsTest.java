package nexa.cli.base;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.core.carry.Loss;
import nexa.core.geometry.Orientation;
import nexa.core.lens.LensUse;
import nexa.core.level.Refusal;
import nexa.core.lineup.Trait;
import nexa.core.plumb.PlumbRefusal;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.trim.TrimRefusal;
import nexa.shoot.exchange.BriefFile;
import nexa.shoot.prepare.Part;
import nexa.shoot.prepare.Step;
import nexa.words.Words;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class RowsTest {
    private static final Pattern FIELD = Pattern.compile("\\.with(?:Points)?\\(\\s*\"(\\w+)\"");
    private static final Pattern CHOICE = Pattern.compile("Choice\\.of\\(\"([a-z ]+)\"\\)");

    @AfterEach
    void english() {
        Words.speak(() -> "en");
    }

    private static List<String> found(Pattern pattern) throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/nexa/cli"))) {
            StringBuilder sources = new StringBuilder();
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                sources.append(Files.readString(file));
            }
            return pattern.matcher(sources)
                    .results()
                    .map((MatchResult result) -> result.group(1))
                    .distinct()
                    .toList();
        }
    }

    @Test
    void everyField_hasAHeading() throws IOException {
        List<String> fields = found(FIELD);
        assertTrue(fields.size() > 50, fields::toString);
        Rows rows = new Rows();
        Rows.Row row = rows.add();
        fields.forEach(field -> row.with(field, 1));
        assertTrue(table(rows).contains("quarter turns")); // what has no words throws
    }

    @Test
    void everyChoice_hasWords() throws IOException {
        List<String> choices = found(CHOICE);
        assertTrue(choices.contains("there already"), choices::toString);
        Stream.of(
                        choices.stream().map(Choice::of),
                        Stream.of("accept", "offer", "refuse", "ok", "damaged", "unreadable", "failed")
                                .map(Choice::of),
                        Stream.of(LensUse.values()).map(Choice::of),
                        Stream.of(OrientationRule.values()).map(rule -> Choice.of(BriefFile.words(rule))),
                        Stream.of(Part.values()).map(Choice::of),
                        Stream.of(Step.Decision.values()).map(Choice::of),
                        Stream.of(Trait.values()).map(Choice::of),
                        Stream.of(Loss.values()).map(loss -> Choice.of("loss", loss)),
                        Stream.of(FrameState.values()).map(state -> Choice.of("state", state)),
                        Stream.of(Orientation.values()).map(orientation -> Choice.of("lying", orientation)),
                        Stream.of(Refusal.values()).map(refusal -> Choice.of("refusal", refusal)),
                        Stream.of(PlumbRefusal.values()).map(refusal -> Choice.of("plumb.refusal", refusal)),
                        Stream.of(TrimRefusal.values()).map(refusal -> Choice.of("trim.refusal", refusal)))
                .flatMap(each -> each)
                .forEach(choice -> assertTrue(Words.has(choice.key()), choice::toString));
    }

    private static Rows rows() {
        Rows rows = new Rows();
        rows.add()
                .with("photo", "kiln_0201.jpg")
                .with("state", Choice.of("state", FrameState.DERIVED))
                .with("mirrored", true)
                .withVerdict(Optional.of(0.5), Optional.of(Choice.of("refusal", Refusal.SCATTERED)));
        return rows;
    }

    private static String table(Rows rows) {
        return printed(rows, false);
    }

    private static String printed(Rows rows, boolean json) {
        StringWriter text = new StringWriter();
        rows.print(new PrintWriter(text), json);
        return text.toString();
    }

    @Test
    void shapes_areSaidInTablesAndStoredInJson() {
        Words.speak(() -> "de");
        Rows rows = new Rows();
        rows.add().with("shape", Said.of(Shape.FREE));
        rows.add().with("shape", Said.of(Shape.parse("1.91:1")));
        assertEquals(
                List.of("frei", "1,91:1"),
                table(rows).lines().skip(1).map(String::strip).toList());
        String json = printed(rows, true);
        assertTrue(json.contains("\"free\"") && json.contains("\"191:100\""), json);
    }

    @Test
    void tables_areInTheUsersLanguage() {
        Words.speak(() -> "de");
        List<String> lines = table(rows()).lines().toList();
        assertEquals(
                List.of("Foto", "Stand", "gespiegelt", "Sicherheit", "Entscheidung", "Grund"),
                List.of(lines.getFirst().split(" {2,}")));
        assertTrue(lines.getLast().startsWith("kiln_0201.jpg  abgeleitet  ja"), lines.getLast());
        assertTrue(lines.getLast().contains("lassen"), lines.getLast());
        assertTrue(lines.getLast().endsWith("die Linien weichen zu sehr voneinander ab"), lines.getLast());
    }

    /** For programs, which can't follow a language. */
    @Test
    void json_isTheSameInEveryLanguage() {
        String english = printed(rows(), true);
        Words.speak(() -> "de");
        assertEquals(english, printed(rows(), true));
        assertTrue(english.contains("\"state\" : \"derived\""), english);
        assertTrue(english.contains("\"reason\" : \"scattered\""), english);
    }
}
