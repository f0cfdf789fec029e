package nexa.core.lens.data;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.core.lens.Bend;
import org.junit.jupiter.api.Test;

class FocalCurveTest {
    private static final int[] FOCALS = {20, 30, 50, 80};

    /** Terms times focal length: 1, 3, 2 and 6; no straight line. */
    private static final double[] SCALED = {1, 3, 2, 6};

    private static final List<BendMeasure> MEASURES = IntStream.range(0, 4)
            .mapToObj(i -> new BendMeasure(FOCALS[i], BendModel.POLY3, List.of(SCALED[i] / FOCALS[i])))
            .toList();

    private static double scaled(List<BendMeasure> measures, double focal) {
        return FocalCurve.bend(measures, focal).orElseThrow().c2() * focal;
    }

    @Test
    void atAMeasure_isThatMeasure_andBeyondTheEndsTheNearest() {
        for (int i = 0; i < 4; i++) {
            assertEquals(SCALED[i], scaled(MEASURES, FOCALS[i]), 1e-12);
        }
        assertEquals(1.0 / 20, FocalCurve.bend(MEASURES, 10).orElseThrow().c2(), 1e-12);
        assertEquals(6.0 / 80, FocalCurve.bend(MEASURES, 200).orElseThrow().c2(), 1e-12);
        assertEquals(Optional.empty(), FocalCurve.bend(List.of(), 50));
    }

    /** Between four: half way the Hermite curve is the mean of both and an eighth of how the slopes differ. */
    @Test
    void halfWay_betweenFour_isTheMeanAndAnEighthOfTheSlopes() {
        double leaving = (2 - 1) / 2.0; // half the way from the measure before to the one after
        double arriving = (6 - 3) / 2.0;
        assertEquals((3 + 2) / 2.0 + (leaving - arriving) / 8, scaled(MEASURES, 40), 1e-12);
    }

    /** At the ends the slope is that of the stretch itself. */
    @Test
    void halfWay_atTheEnds_takesTheStretchsOwnSlope() {
        assertEquals((1 + 3) / 2.0 + (2 - (2 - 1) / 2.0) / 8, scaled(MEASURES, 25), 1e-12);
        assertEquals((2 + 6) / 2.0 + ((6 - 3) / 2.0 - 4) / 8, scaled(MEASURES, 65), 1e-12);
    }

    @Test
    void aQuarterOfTheWay_isTheHermiteCurvesOwn() {
        double leaving = 0.5;
        double arriving = 1.5;
        double expected = 0.84375 * 3 + 0.140625 * leaving + 0.15625 * 2 - 0.046875 * arriving;
        assertEquals(expected, scaled(MEASURES, 35), 1e-12);
        double twoOnly = 0.84375 * 3 + 0.140625 * -1 + 0.15625 * 2 - 0.046875 * -1;
        assertEquals(twoOnly, scaled(MEASURES.subList(1, 3), 35), 1e-12);
    }

    /** A colour's size is no matter of focal length. */
    @Test
    void coloursSizes_areNotScaled() {
        List<BendMeasure> red = List.of(
                new BendMeasure(20, BendModel.COLOUR_LINEAR, List.of(1.002)),
                new BendMeasure(40, BendModel.COLOUR_LINEAR, List.of(1.004)));
        assertEquals(1.003, FocalCurve.bend(red, 30).orElseThrow().c0(), 1e-12);
    }

    @Test
    void ofTwoAtOneFocal_theLaterHolds_andOtherModelsAreLeftOut() {
        List<BendMeasure> measures = List.of(
                new BendMeasure(50, BendModel.POLY3, List.of(0.01)),
                new BendMeasure(50, BendModel.POLY3, List.of(0.02)),
                new BendMeasure(60, BendModel.POLY5, List.of(0.5, 0.5)));
        assertEquals(
                new Bend(0.98, 0, 0.02, 0, 0), FocalCurve.bend(measures, 60).orElseThrow());
    }
}
