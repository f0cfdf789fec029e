package nexa.core.print;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SizeTargetTest {
    private static final PixelSize PHOTO = new PixelSize(6000, 4000);
    private static final Frame UPRIGHT = new Frame(0, 0, 0.4, 0.5);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1080x1350 px | 1080 | 1350",
                "1350 x 1080 | 1080 | 1350",
                "long edge 2048 px | 1638 | 2048",
                "long 2048 | 1638 | 2048",
                "short edge 1080 | 1080 | 1350",
                "8 x 10 in at 300 ppi | 2400 | 3000",
                "20.32 x 25.4 cm @ 100 | 800 | 1000",
                "none | 2400 | 3000"
            })
    void output_isWhatIsAskedFor(String text, int width, int height) {
        SizeTarget target = SizeTarget.parse(text);
        assertEquals(new PixelSize(width, height), target.output(UPRIGHT, PHOTO));
        assertEquals(target, SizeTarget.parse(target.text()), "its text reads back");
    }

    @Test
    void output_neverEnlarges_andTheLackIsKnown() {
        SizeTarget target = SizeTarget.parse("30 x 40 cm at 300 ppi");
        assertTrue(target.lacksPixels(UPRIGHT, PHOTO));
        assertEquals(OutputSize.natural(UPRIGHT, PHOTO), target.output(UPRIGHT, PHOTO));
        assertFalse(SizeTarget.NONE.lacksPixels(UPRIGHT, PHOTO));
        assertFalse(target.lacksPixels(UPRIGHT, new PixelSize(15000, 10000)));
    }

    @Test
    void anotherShape_staysInsideTheBox() {
        SizeTarget box = new SizeTarget.Pixels(1000, 800);
        Cases.some(500).forEach(c -> {
            double aspect = c.aspect();
            PixelSize asked = box.asked(new Frame(0, 0, aspect, 1)).orElseThrow();
            assertTrue(asked.longEdge() <= 1000 && Math.min(asked.width(), asked.height()) <= 800);
            assertTrue(asked.longEdge() == 1000 || Math.min(asked.width(), asked.height()) == 800);
            assertEquals(aspect >= 1, asked.width() >= asked.height());
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "large",
                "0 x 10 px",
                "long edge",
                "10 x 10 px at",
                "1.080 x 1.350 px",
                "99999999 x 1",
                "20 x 30 cm at 0 ppi"
            })
    void other_textsAreRefusedInWords(String text) {
        assertFalse(assertThrows(IllegalArgumentException.class, () -> SizeTarget.parse(text))
                .getMessage()
                .isBlank());
    }

    @Test
    void enlargement_isThePixelsAskedForToTheFramesOwn() {
        assertEquals(1, SizeTarget.NONE.enlargement(UPRIGHT, PHOTO));
        assertEquals(0.5, SizeTarget.parse("long edge 1500").enlargement(UPRIGHT, PHOTO), 1e-12);
        assertEquals(2, SizeTarget.parse("long edge 6000").enlargement(UPRIGHT, PHOTO), 1e-12);
    }

    @Test
    void output_enlargesAsFarAsItMay() {
        SizeTarget target = SizeTarget.parse("long edge 6000");
        assertEquals(3000, target.output(UPRIGHT, PHOTO, 1).height());
        assertEquals(4500, target.output(UPRIGHT, PHOTO, 1.5).height());
        assertEquals(6000, target.output(UPRIGHT, PHOTO, 2).height());
        assertEquals(6000, target.output(UPRIGHT, PHOTO, 4).height());
        assertEquals(3000, SizeTarget.NONE.output(UPRIGHT, PHOTO, 4).height());
    }

    @Test
    void sides_thatNothingHas_areRefused() {
        for (int bad : new int[] {0, -1, SizeTarget.MOST_PIXELS + 1}) {
            assertThrows(IllegalArgumentException.class, () -> new SizeTarget.Pixels(bad, 10));
            assertThrows(IllegalArgumentException.class, () -> new SizeTarget.Pixels(10, bad));
            assertThrows(IllegalArgumentException.class, () -> new SizeTarget.LongEdge(bad));
            assertThrows(IllegalArgumentException.class, () -> new SizeTarget.ShortEdge(bad));
        }
        assertThrows(IllegalArgumentException.class, () -> new SizeTarget.Print(10_001, 100, 300));
        assertThrows(IllegalArgumentException.class, () -> new SizeTarget.Print(100, 0, 300));
        assertThrows(IllegalArgumentException.class, () -> new SizeTarget.Print(100, 100, 2401));
        assertThrows(IllegalArgumentException.class, () -> new SizeTarget.Print(100, Double.NaN, 300));
        new SizeTarget.Pixels(SizeTarget.MOST_PIXELS, 1);
        new SizeTarget.Print(SizeTarget.MOST_MILLIMETRES, 0.0001, SizeTarget.MOST_PPI);
    }

    @Test
    void prints_areWholeThousandthsOfAMillimetre() {
        SizeTarget.Print print = new SizeTarget.Print(100.00049, 0.0001, 300);
        assertEquals(100, print.width());
        assertEquals(0.001, print.height());
    }
}
