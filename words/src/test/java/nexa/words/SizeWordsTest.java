package nexa.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import nexa.core.exact.Unit;
import nexa.core.print.SizeTarget;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SizeWordsTest {
    @AfterEach
    void english() {
        Words.speak(() -> "en");
        Lengths.measure(() -> PrintUnit.AS_SYSTEM);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "none | none | keine",
                "1080x1350 | 1080 x 1350 px | 1080 x 1350 px",
                "long 2048 | long edge 2048 px | lange Kante 2048 px",
                "short 1080 | short edge 1080 px | kurze Kante 1080 px",
                "8 x 10 in | 8 x 10 in at 300 ppi | 8 x 10 Zoll bei 300 ppi",
                "8.5 x 11 in at 240 | 8.5 x 11 in at 240 ppi | 8,5 x 11 Zoll bei 240 ppi",
                "20 x 30 cm at 300 ppi | 20 x 30 cm at 300 ppi | 20 x 30 cm bei 300 ppi",
                "10.5 x 14.8 cm | 105 x 148 mm at 300 ppi | 105 x 148 mm bei 300 ppi",
                "210 x 297 mm | 210 x 297 mm at 300 ppi | 210 x 297 mm bei 300 ppi"
            })
    void sizes_areSaidAndTypedInTheLanguage(String typed, String english, String german) {
        Lengths.measure(() -> PrintUnit.CENTIMETRE);
        SizeTarget target = SizeTarget.parse(typed);
        assertEquals(english, SizeWords.of(target));
        assertEquals(target, SizeWords.parse(english));
        Words.speak(() -> "de");
        assertEquals(german, SizeWords.of(target));
        assertEquals(target, SizeWords.parse(" " + german.toUpperCase(Locale.ROOT)));
        assertEquals(target, SizeWords.parse(target.text()), "as it is stored, too");
    }

    /** A comma is no decimal sign in English, and a point parts thousands in German: neither becomes something else. */
    @Test
    void thousands_areRefused() {
        assertThrows(IllegalArgumentException.class, () -> SizeWords.parse("1,080 x 1,350 px"));
        Words.speak(() -> "de");
        assertThrows(IllegalArgumentException.class, () -> SizeWords.parse("1.080 x 1.350 px"));
        assertEquals(SizeTarget.parse("20.5 x 30 cm"), SizeWords.parse("20,5 x 30 cm"));
    }

    @Test
    void whatIsSaid_isReadBack() {
        Random random = new Random(7);
        for (String language : Languages.tags()) {
            Words.speak(() -> language);
            for (PrintUnit unit : PrintUnit.values()) {
                Lengths.measure(() -> unit);
                Stream.generate(() -> new SizeTarget.Print(
                                random.nextInt(1, 2_000_000) / 1000.0,
                                random.nextInt(1, 8000) / 8.0 * SizeTarget.MILLIMETRES_PER_INCH / 10,
                                random.nextInt(72, 1200)))
                        .limit(500)
                        .forEach(print -> assertEquals(print, SizeWords.parse(SizeWords.of(print))));
            }
        }
    }

    @Test
    void lengths_areInTheUsersUnit() {
        Lengths.measure(() -> PrintUnit.CENTIMETRE);
        assertEquals("20.3 × 25.4 cm", Lengths.size(203.2, 254));
        assertEquals("30 cm", Lengths.about(304));
        Lengths.measure(() -> PrintUnit.INCH);
        assertEquals("8.0 × 10.0 in", Lengths.size(203.2, 254));
        assertEquals("12 in", Lengths.about(304));
    }

    @Test
    void asTheSystem_isInchesWhereTheyAreUsual() {
        assertEquals(Unit.INCH, PrintUnit.AS_SYSTEM.in("US"));
        assertEquals(Unit.CENTIMETRE, PrintUnit.AS_SYSTEM.in("DE"));
        assertEquals(Unit.CENTIMETRE, PrintUnit.AS_SYSTEM.in(""));
        assertEquals(Unit.INCH, PrintUnit.INCH.in("DE"));
    }
}
