package nexa.core.lens.data;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.lens.Taken;
import org.junit.jupiter.api.Test;

class LightMeasureTest {
    private static final double RANGE = 46; // of a zoom from 24 to 70 mm

    private static LightMeasure at(double focal, double aperture, double distance, double k1) {
        return new LightMeasure(focal, aperture, distance, k1, 10 * k1, -k1);
    }

    private static double k1(List<LightMeasure> measures, double focal, double aperture, double distance) {
        return LightMeasure.at(measures, new Taken(focal, aperture, distance), RANGE)
                .orElseThrow()
                .k1();
    }

    @Test
    void at_aMeasuredSetting_isThatMeasure() {
        List<LightMeasure> measures = List.of(at(24, 2.8, 1000, -0.5), at(70, 2.8, 1000, -0.1), at(24, 8, 1000, -0.2));
        assertEquals(
                Optional.of(new LightMeasure.Terms(-0.1, -1, 0.1)),
                LightMeasure.at(measures, new Taken(70, 2.8, 1000), RANGE));
        assertEquals(-0.2, k1(measures, 24, 8, 1000));
    }

    /** Weights are the distances to the power of -3.5; the distances as the open format's library takes them. */
    @Test
    void at_betweenTwoMeasures_isWeighedByTheDistances() {
        List<LightMeasure> measures = List.of(at(24, 4, 10, -0.4), at(70, 4, 10, 0));
        assertEquals(-0.2, k1(measures, 47, 4, 10), 1e-12);
        double near = Math.pow(0.25, -3.5);
        double far = Math.pow(0.75, -3.5);
        assertEquals(-0.4 * near / (near + far), k1(measures, 24 + RANGE / 4, 4, 10), 1e-12);
        List<LightMeasure> stops = List.of(at(24, 2, 10, -0.4), at(24, 8, 10, 0)); // 2 and 0.5 along the axis of stops
        assertEquals(-0.2, k1(stops, 24, 4 / 1.25, 10), 1e-12);
        List<LightMeasure> distances = List.of(at(24, 4, 0.1, -0.4), at(24, 4, 0.2, 0)); // 1 and 0.5
        assertEquals(-0.2, k1(distances, 24, 4, 0.1 / 0.75), 1e-12);
    }

    @Test
    void at_anythingNear_liesBetweenTheMeasures() {
        Random random = new Random(3);
        List<LightMeasure> measures = List.of(at(24, 2.8, 1, -0.5), at(50, 5.6, 10, -0.3), at(70, 11, 1000, -0.1));
        for (int i = 0; i < 500; i++) {
            double k1 = k1(measures, 24 + random.nextDouble() * RANGE, 2.8 + random.nextDouble() * 8, 0.5 + i);
            assertTrue(k1 >= -0.5 && k1 <= -0.1, () -> "k1 = " + k1);
        }
    }

    @Test
    void at_nothingNear_isNotKnown() {
        List<LightMeasure> measures = List.of(at(24, 16, 1000, -0.5)); // f/2 is 1.75 away
        assertEquals(Optional.empty(), LightMeasure.at(measures, new Taken(24, 2, 1000), RANGE));
        assertEquals(Optional.empty(), LightMeasure.at(List.of(), new Taken(24, 2, 1000), RANGE));
        assertEquals(Optional.empty(), LightMeasure.at(measures, new Taken(26, 16, 1000), 0), "a prime counts in mm");
        assertEquals(
                -0.5,
                LightMeasure.at(measures, new Taken(25, 16, 1000), 0)
                        .orElseThrow()
                        .k1(),
                1e-12);
    }

    @Test
    void noSetting_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> at(0, 2, 1, 0));
        assertThrows(IllegalArgumentException.class, () -> at(24, -2, 1, 0));
        assertThrows(IllegalArgumentException.class, () -> at(24, 2, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> at(24, 2, 1, Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> at(Double.POSITIVE_INFINITY, 2, 1, 0));
    }
}
