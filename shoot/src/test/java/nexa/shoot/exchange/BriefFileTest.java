package nexa.shoot.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Preset;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.naming.NameTemplate;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.handover.request.Collision;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BriefFileTest {
    private static final Format PRINT = new Format(
            1,
            "Print “8×10”",
            Shape.parse("4:5"),
            OrientationRule.VERTICAL,
            SizeTarget.parse("8 x 10 in at 240 ppi"),
            "for the wall, \\ \"matt\"",
            new FileSettings(FileType.TIFF, 80),
            true);
    private static final Format WHOLE = new Format(2, "Whole", Shape.AS_PHOTO, OrientationRule.FOLLOW_PHOTO);

    @TempDir
    Path base;

    @Test
    void text_isReadBackExactly() throws IOException {
        BriefFile brief = new BriefFile("Catalogue", List.of(PRINT, WHOLE));
        assertEquals(brief, BriefFile.parse(brief.text()));
    }

    @Test
    void presets_areReadBackExactly() throws IOException {
        for (Preset preset : Preset.values()) {
            BriefFile one = new BriefFile("", List.of(preset.format().withId(1)));
            assertEquals(one, BriefFile.parse(one.text()), preset.name());
        }
    }

    @Test
    void parse_fillsInWhatIsNotSaid() throws IOException {
        BriefFile read = BriefFile.parse("{\"nexaBrief\":1,\"formats\":[{\"name\":\"Web\",\"shape\":\"1.91:1\"}]}");
        assertEquals(
                List.of(new Format(1, "Web", Shape.parse("1.91:1"), OrientationRule.FOLLOW_PHOTO)), read.formats());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{} | not-brief",
                "[1, 2] | not-brief",
                "{\"nexaBrief\":1,\"formats\": | not-json (1, 26",
                "'' | not-brief",
                "{\"nexaBrief\":9,\"formats\":[]} | newer",
                "{\"nexaBrief\":1,\"formats\":[{\"name\":\"A\",\"shape\":\"wide\"}]} | format-brief (1",
                "{\"nexaBrief\":1,\"formats\":[{\"name\":\"\",\"shape\":\"1:1\"}]} | visible-characters",
                "{\"nexaBrief\":1,\"formats\":[7]} | format-brief (1",
                "{\"nexaBrief\":1,\"formats\":[{\"name\":\"A\",\"shape\":\"1:1\",\"orientation\":\"x\"}]} | format-brief (1",
            })
    void parse_brokenText_saysWhatIsWrong(String text, String words) {
        IOException refused = assertThrows(IOException.class, () -> BriefFile.parse(text));
        assertTrue(String.valueOf(refused.getMessage()).contains(words), refused.getMessage());
    }

    @Test
    void shelf_keepsReplacesAndDropsAcrossRestarts() {
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        try (Preferences preferences = Preferences.open(locations)) {
            Shelf shelf = new Shelf(preferences);
            shelf.keep(PRINT);
            shelf.keep(WHOLE);
            shelf.keep(new BriefFile(" Catalogue ", List.of(PRINT)));
            shelf.keep(new BriefFile("Web", List.of(WHOLE)));
            shelf.keep(new BriefFile("CATALOGUE", List.of(PRINT, WHOLE)));
        }
        try (Preferences preferences = Preferences.open(locations)) {
            Shelf shelf = new Shelf(preferences);
            assertEquals(
                    List.of("Whole", "Print “8×10”"),
                    shelf.formats().stream().map(Format::name).toList());
            assertTrue(shelf.formats().getLast().isLike(PRINT));
            assertEquals(
                    List.of("CATALOGUE", "Web"),
                    shelf.briefs().stream().map(BriefFile::name).toList());
            assertEquals(2, shelf.briefs().getFirst().formats().size());
            shelf.drop(WHOLE);
            shelf.drop(shelf.briefs().getFirst());
            assertEquals(1, shelf.formats().size());
            assertEquals(1, shelf.briefs().size());
            assertThrows(IllegalArgumentException.class, () -> shelf.keep(new BriefFile(" ", List.of())));
        }
    }

    /** Each opened before the other kept anything. */
    @Test
    void shelf_ofTwoWindows_keepsWhatEitherKeeps() {
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        try (Preferences one = Preferences.open(locations);
                Preferences other = Preferences.open(locations)) {
            Shelf ofOne = new Shelf(one);
            ofOne.keep(PRINT);
            ofOne.keep(new BriefFile("Catalogue", List.of(PRINT)));
            one.close();
            Shelf ofOther = new Shelf(other);
            ofOther.keep(WHOLE);
            ofOther.keep(new BriefFile("Web", List.of(WHOLE)));
        }
        try (Preferences later = Preferences.open(locations)) {
            Shelf shelf = new Shelf(later);
            assertEquals(
                    List.of("Whole", "Print “8×10”"),
                    shelf.formats().stream().map(Format::name).toList());
            assertEquals(
                    List.of("Web", "Catalogue"),
                    shelf.briefs().stream().map(BriefFile::name).toList());
        }
    }

    /** Somebody who tries the newer version and goes back finds there later what was kept. */
    @Test
    void shelf_keepsWhatOnlyAnotherVersionReads() {
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        String newer = new BriefFile("Later", List.of(PRINT)).text().replaceFirst("(\"nexaBrief\"\\D+)\\d+", "$199");
        String handover = "{\"nexaHandover\": 99}";
        try (Preferences preferences = Preferences.open(locations)) {
            preferences.put("shelf formats", newer + "\u001e" + new BriefFile("", List.of(WHOLE, PRINT)).text());
            preferences.put("shelf briefs", newer);
            preferences.put("shelf handovers", handover);
            Shelf shelf = new Shelf(preferences);
            assertEquals(2, shelf.formats().size());
            shelf.drop(WHOLE);
            shelf.keep(new BriefFile("Catalogue", List.of(PRINT)));
            shelf.drop(new KeptHandover(
                    base, NameTemplate.DEFAULT, Collision.SKIP, false, new BriefFile("Client", List.of())));
        }
        try (Preferences preferences = Preferences.open(locations)) {
            Shelf shelf = new Shelf(preferences);
            assertEquals(1, shelf.formats().size());
            assertEquals(1, shelf.briefs().size());
            assertTrue(preferences.get("shelf formats").orElseThrow().endsWith(newer));
            assertTrue(preferences.get("shelf briefs").orElseThrow().endsWith(newer));
            assertEquals(handover, preferences.get("shelf handovers").orElseThrow());
        }
    }

    @Test
    void shelf_keepsHandoversAcrossRestarts_andPassesOverBrokenOnes() {
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        Path elsewhere = base.resolve("client").toAbsolutePath();
        KeptHandover kept = new KeptHandover(
                elsewhere,
                new NameTemplate("{format}/{photo}"),
                Collision.REPLACE,
                true,
                new BriefFile("Client", List.of(PRINT, WHOLE)));
        try (Preferences preferences = Preferences.open(locations)) {
            Shelf shelf = new Shelf(preferences);
            shelf.keep(new KeptHandover(
                    Path.of("delivered"),
                    NameTemplate.DEFAULT,
                    Collision.SKIP,
                    false,
                    new BriefFile("CLIENT", List.of())));
            shelf.keep(kept);
            assertThrows(
                    IllegalArgumentException.class,
                    () -> shelf.keep(new KeptHandover(
                            elsewhere, NameTemplate.DEFAULT, Collision.SKIP, false, new BriefFile(" ", List.of()))));
        }
        try (Preferences preferences = Preferences.open(locations)) {
            Shelf shelf = new Shelf(preferences);
            KeptHandover read = shelf.handovers().getFirst();
            assertEquals(1, shelf.handovers().size());
            assertEquals(elsewhere, read.folderOf(base.resolve("shoot")));
            assertEquals(kept.names().text(), read.names().text());
            assertEquals(Collision.REPLACE, read.taken());
            assertTrue(read.alternates());
            assertTrue(read.brief().formats().getFirst().isLike(PRINT));
            shelf.drop(read);
            assertEquals(List.of(), shelf.handovers());
            preferences.put("shelf handovers", "{\"folder\": 3\u001e{}");
            assertEquals(List.of(), shelf.handovers());
        }
    }

    @Test
    void withAll_leavesOutWhatIsThereAndNumbersWhatIsNamedAlike() {
        Brief brief = Brief.EMPTY.with(PRINT).with("Whole", Shape.parse("1:1"));
        Brief longer = brief.withAll(List.of(PRINT, WHOLE));
        assertEquals("Print “8×10”, Whole, Whole 2", longer.names());
        assertEquals(Shape.AS_PHOTO, longer.formats().getLast().shape());
        assertEquals(longer, longer.withAll(List.of(PRINT)));
        assertEquals(4, longer.nextId());
    }
}
