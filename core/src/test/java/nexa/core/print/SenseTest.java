package nexa.core.print;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.stream.Stream;
import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.print.Sense.Reach;
import nexa.core.print.SizeTarget.Print;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SenseTest {
    static Stream<Cases> cases() {
        return Cases.some(200);
    }

    @ParameterizedTest
    @CsvSource({"343.8, 10", "3438, 1", "34.38, 100", "286.5, 12"})
    void sharpFrom_isTheRuleOfThumb(double ppi, double inches) {
        assertEquals(inches * 25.4, Sense.sharpFrom(ppi), inches * 25.4 * 1e-3);
    }

    @ParameterizedTest
    @CsvSource({"300, HAND", "291, HAND", "280, ARM", "146, ARM", "140, WALL", "44, WALL", "40, FAR", "1, FAR"})
    void reach_byDistance(double ppi, Reach reach) {
        assertEquals(reach, Sense.reach(ppi));
    }

    @Test
    void millimetres_ofTheLargestPrint() {
        assertEquals(254, Sense.millimetres(3000, 300), 1e-9);
        assertEquals(317.5, Sense.millimetres(3000, 240), 1e-9);
    }

    /** The delivered pixels at the asked ppi are what the print asks for, whichever way it lies. */
    @ParameterizedTest
    @MethodSource("cases")
    void ppi_ofWhatAPrintAsksFor_isItsPpi(Cases cases) {
        Print print = new Print(cases.between(50, 900), cases.between(50, 900), cases.between(72, 400));
        double aspect = cases.between(0.3, 3);
        PixelSize asked = print.asked(new Frame(0, 0, aspect, 1)).orElseThrow();
        double ppi = Sense.ppi(asked, print);
        double shortPixels = Math.min(asked.width(), asked.height());
        assertEquals(print.ppi(), ppi, print.ppi() * 2 / shortPixels);
        PixelSize lying = new PixelSize(asked.height(), asked.width());
        assertEquals(ppi, Sense.ppi(lying, print), 1e-9);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void output_enlargesNoFartherThanAllowed(Cases cases) {
        PixelSize photo = cases.photo();
        var frame = new Frame(0, 0, cases.between(0.01, 1), cases.between(0.01, 1));
        SizeTarget target = new SizeTarget.LongEdge(1 + cases.below(20_000));
        double most = cases.between(1, 4);
        PixelSize natural = OutputSize.natural(frame, photo);
        PixelSize output = target.output(frame, photo, most);
        assertTrue(output.longEdge() <= Math.max(natural.longEdge(), Math.round(most * natural.longEdge())));
        if (target.enlargement(frame, photo) <= most) {
            assertEquals(target.asked(frame).orElseThrow(), output);
        }
    }
}
