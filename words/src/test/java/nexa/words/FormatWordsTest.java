package nexa.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.brief.Format;
import nexa.core.brief.Preset;
import nexa.core.print.SizeTarget;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FormatWordsTest {
    @AfterEach
    void english() {
        Words.speak(() -> "en");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4:5 | 4:5 | 4:5 | none",
                "8x10 | 4:5 | 4:5 | none",
                "free | free | free | none",
                "24x36 cm | 24×36 cm | 2:3 | 24 x 36 cm",
                "8 x 10 in at 240 ppi | 8×10 in at 240 ppi | 4:5 | 8 x 10 in at 240 ppi",
                "9in x 12in | 9in x 12in | 3:4 | 9 x 12 in",
                "1200x1500 px | 1200×1500 px | 4:5 | 1200 x 1500 px",
                "long edge 2048 | long edge 2048 | as photo | long edge 2048",
                "A4 | A4 | 70:99 | 210 x 297 mm",
                "20x30cm | 20×30 cm | 2:3 | 20 x 30 cm",
                "letter | Letter 8.5×11 in | 17:22 | 8.5 x 11 in",
                "full hd | Full HD | 16:9 | 1920 x 1080 px"
            })
    void formats_areNamedShapedAndSizedAsTyped(String typed, String name, String shape, String size) {
        Format format = FormatWords.typed(typed);
        assertEquals(name, format.name());
        assertEquals(shape, format.shape().text());
        assertEquals(SizeTarget.parse(size), format.target());
    }

    @Test
    void sizes_areTypedInTheLanguage() {
        Words.speak(() -> "de");
        Format format = FormatWords.typed("20,5x30 cm bei 240 ppi");
        assertEquals(SizeTarget.parse("20.5 x 30 cm at 240 ppi"), format.target());
        assertEquals("41:60", format.shape().text());
        assertTrue(ShapeWords.isSaidByName(FormatWords.typed("2,35:1")));
    }

    @ParameterizedTest
    @EnumSource(Preset.class)
    void papersAndScreens_areTypedAsTheyAreCalled(Preset preset) {
        assertEquals(preset.format(), FormatWords.typed(preset.format().name()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4:5 | 4:5",
                "4:5, a4; 1200x1500 px | 4:5, A4, 1200×1500 px",
                "4:5 ;1:1;free | 4:5, 1:1, free",
                "1,91:1, as photo, | 1.91:1, as photo"
            })
    void several_areSeparated_butNotAtADecimalsComma(String typed, String names) {
        assertEquals(
                List.of(names.split(", ")),
                FormatWords.typedAll(typed).stream().map(Format::name).toList());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "4:5, wide", "4:5,1:1", ", 4:5"})
    void several_areRefusedIfOneIsNone(String typed) {
        assertThrows(IllegalArgumentException.class, () -> FormatWords.typedAll(typed));
    }

    @ParameterizedTest
    @ValueSource(strings = {"round", "square", "tall", "A", "none", "", "5 cm", "8in x 20 px", "0x0 px", "1x500 cm"})
    void others_areRefused(String typed) {
        assertThrows(IllegalArgumentException.class, () -> FormatWords.typed(typed));
    }
}
