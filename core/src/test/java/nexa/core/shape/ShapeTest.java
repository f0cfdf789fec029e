package nexa.core.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Orientation;
import nexa.core.shape.Shape.Ratio;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ShapeTest {
    @ParameterizedTest
    @CsvSource({
        "4:5,4,5",
        "6:4,3,2",
        " 16 : 9 ,16,9",
        "1.91:1,191,100",
        "8.5x11,17,22",
        "4×5,4,5",
        "2.35/1,47,20",
        "1080 x 1350 px,4,5",
        "20x30 cm,2,3",
        "8in x 10in,4,5",
        "210mm × 297mm,70,99",
        "254 mm x 20in,1,2",
        "4 x 6\",2,3",
        "'1,91:1',191,100",
        "'21 x 29,7 cm',70,99"
    })
    void parse_readsRatios(String text, long width, long height) {
        assertEquals(new Ratio(width, height), Shape.parse(text));
    }

    @ParameterizedTest
    @CsvSource({"free,free", "FREE,free", "as photo,as photo", "As-Photo,as photo", "6:4,3:2"})
    void parse_readsWhatTextWrites(String text, String written) {
        Shape shape = Shape.parse(text);
        assertEquals(written, shape.text());
        assertEquals(shape, Shape.parse(shape.text()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "4",
                "4:",
                ":5",
                "0:5",
                "-4:5",
                "a:b",
                "4:5:6",
                "1:0.001",
                "NaN:1",
                "1e9:1",
                "999999:1",
                "20 cm x 300 px",
                "20 cm x 30",
                "4:5 kg"
            })
    void parse_refusesTheRestInWords(String text) {
        var refused = assertThrows(IllegalArgumentException.class, () -> Shape.parse(text));
        assertTrue(refused.getMessage().startsWith("told.shape."));
    }

    @ParameterizedTest
    @CsvSource({
        "FOLLOW_PHOTO,4:5,HORIZONTAL,5:4", "FOLLOW_PHOTO,4:5,VERTICAL,4:5", "FOLLOW_PHOTO,5:4,VERTICAL,4:5",
        "FOLLOW_PHOTO,4:5,SQUARE,4:5", "HORIZONTAL,4:5,VERTICAL,5:4", "VERTICAL,16:9,HORIZONTAL,9:16",
        "VERTICAL,1:1,HORIZONTAL,1:1"
    })
    void lay_turnsTheShape(OrientationRule rule, String ratio, Orientation along, String laid) {
        assertEquals(Shape.parse(laid), rule.lay((Ratio) Shape.parse(ratio), along));
    }

    @Test
    void nearest_isByQuotientAndLiesAsTheFrame() {
        List<Ratio> candidates = List.of(new Ratio(4, 5), new Ratio(1, 1), new Ratio(16, 9));
        assertEquals(Optional.of(new Ratio(5, 4)), Nearest.to(1.28, candidates));
        assertEquals(Optional.of(new Ratio(4, 5)), Nearest.to(0.75, candidates));
        assertEquals(Optional.of(new Ratio(9, 16)), Nearest.to(0.5, candidates));
        assertEquals(Optional.empty(), Nearest.to(1, List.of()));
    }

    @Test
    void ratio_beyondReason_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Ratio(101, 1));
        assertEquals(100, new Ratio(100, 1).aspect());
    }
}
