package nexa.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Locale;
import nexa.core.brief.Format;
import nexa.core.brief.Preset;
import nexa.core.shape.Shape;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShapeWordsTest {
    @AfterEach
    void english() {
        Words.speak(() -> "en");
    }

    @ParameterizedTest
    @CsvSource({"en, free, as photo", "de, frei, wie Foto"})
    void shapes_areSaidAndTypedInTheLanguage(String language, String free, String asPhoto) {
        Words.speak(() -> language);
        assertEquals(free, ShapeWords.of(Shape.FREE));
        assertEquals(asPhoto, ShapeWords.of(Shape.AS_PHOTO));
        assertEquals("4:5", ShapeWords.of(Shape.parse("4:5")));
        assertEquals(Shape.FREE, ShapeWords.parse(" " + free.toUpperCase(Locale.ROOT) + " "));
        assertEquals(Shape.AS_PHOTO, ShapeWords.parse("as-photo"), "as it is stored, too");
        assertEquals(Shape.AS_PHOTO, ShapeWords.parse(asPhoto));
        assertThrows(IllegalArgumentException.class, () -> ShapeWords.parse("round"));
    }

    @ParameterizedTest
    @CsvSource({
        "1.91:1, 1.91:1, '1,91:1'",
        "1:2.35, 1:2.35, '1:2,35'",
        "30:1, 30:1, 30:1",
        "21:9, 21:9, 21:9",
        "9:21, 9:21, 9:21",
        "1920x1200 px, 16:10, 16:10",
        "2.4:1, 2.4:1, '2,4:1'",
        "1.618:1, 1.618:1, '1,618:1'",
        "1:1.4142, 1:1.4142, '1:1,4142'",
        "1920x1079 px, 1920:1079, 1920:1079",
        "3.2:1, 16:5, 16:5",
        "6.2:1, 6.2:1, '6,2:1'",
        "1080x1350 px, 4:5, 4:5",
        "8.5x11 in, 8.5:11, '8,5:11'",
        "11:8.5, 11:8.5, '11:8,5'",
        "210x297 mm, 70:99, 70:99"
    })
    void ratios_areSaidAsPeopleKnowThem(String typed, String english, String german) {
        Shape shape = ShapeWords.parse(typed);
        assertEquals(english, ShapeWords.of(shape));
        assertEquals(shape, ShapeWords.parse(english));
        Words.speak(() -> "de");
        assertEquals(german, ShapeWords.of(shape));
        assertEquals(shape, ShapeWords.parse(german));
    }

    @ParameterizedTest
    @CsvSource({"en", "de"})
    void formatNamedByItsShape_saysItOnce(String language) {
        Words.speak(() -> language);
        Format whole = ShapeWords.format(Shape.AS_PHOTO);
        assertEquals(ShapeWords.of(Shape.AS_PHOTO), whole.name());
        assertTrue(ShapeWords.isSaidByName(whole));
        assertTrue(ShapeWords.isSaidByName(Format.of(Shape.FREE)), "named in another language");
        assertTrue(ShapeWords.isSaidByName(Format.of(Shape.parse("4:5")).named("8x10")));
        assertTrue(ShapeWords.isSaidByName(Preset.A4.format()), "nobody knows a paper by 70:99");
        assertFalse(ShapeWords.isSaidByName(Preset.TALL_1080.format()), "which names a screen");
        assertFalse(ShapeWords.isSaidByName(whole.named("Print")));
        assertFalse(ShapeWords.isSaidByName(whole.named("A4")));
    }
}
