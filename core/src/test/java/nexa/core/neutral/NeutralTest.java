package nexa.core.neutral;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import nexa.core.Cases;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NeutralTest {
    /** Chromaticities of the CIE's lights (CIE 15). */
    @ParameterizedTest
    @CsvSource({"2856, 0.44757, 0.40745", "5003, 0.34567, 0.35850", "5503, 0.33242, 0.34743", "6504, 0.3127, 0.3290"})
    void temperatures_ofKnownLights(double kelvin, double x, double y) {
        assertEquals(kelvin, new White(x, y).kelvin(), 0.005 * kelvin);
    }

    @Test
    void daylight_hasNoTint() {
        assertEquals(0, White.D65.tint(), 1e-6);
        assertTrue(White.of(6504, 0).distance(White.D65) < 1e-4);
        assertTrue(new White(0.44757, 0.40745).tint() < 0, "a lamp's light lies on the black body's curve, less green");
        assertTrue(new White(0.3721, 0.4051).tint() > 5, "a green lamp");
    }

    @Test
    void temperatureAndTint_leadBackToThemselves() {
        Cases.some(500).forEach(cases -> {
            double kelvin = Math.exp(cases.between(Math.log(2500), Math.log(14000)));
            double tint = cases.between(-25, 12);
            White white = White.of(kelvin, tint);
            assertEquals(kelvin, white.kelvin(), 0.002 * kelvin, kelvin + ", " + tint);
            assertEquals(tint, white.tint(), 0.05, kelvin + ", " + tint);
        });
    }

    @Test
    void noLight_isGreenerThanLightCanBe() {
        Cases.some(300).forEach(cases -> {
            White white = White.of(cases.between(100, 30000), cases.between(-90, 90));
            assertTrue(white.x() + white.y() < 1);
        });
    }

    @Test
    void texts_leadBackToTheLastBit() {
        Cases.some(200).forEach(cases -> {
            Neutral neutral = cases.neutral();
            assertEquals(neutral, Neutral.parse(neutral.text()));
        });
        assertEquals("", Neutral.AS_FILED.text());
        assertEquals(Neutral.AS_FILED, Neutral.parse(" "));
        assertThrows(IllegalArgumentException.class, () -> Neutral.parse("0.3"));
        assertThrows(IllegalArgumentException.class, () -> Neutral.parse("0.3 NaN 0"));
        assertThrows(IllegalArgumentException.class, () -> Neutral.parse("0.3 0.3 9"));
    }

    @Test
    void carried_leavesAPhotosOwnGreyPlaceAlone() {
        Neutral warm = new Neutral(White.of(3000, 2), 0.5, Optional.of(new Point(0.1, 0.1)));
        Neutral own = Neutral.AS_FILED.picked(White.of(4000, 0), Point.ORIGIN);
        assertEquals(own, warm.carriedTo(own));
        assertEquals(new Neutral(warm.white(), 0.5, Optional.empty()), warm.carriedTo(Neutral.AS_FILED));
    }

    @Test
    void changes_keepWhatTheyAreNotAbout() {
        White lamp = new White(0.45, 0.41);
        Point at = new Point(0.1, 0.2);
        Neutral picked = Neutral.AS_FILED.withStops(1).picked(lamp, at);
        assertEquals(new Neutral(lamp, 1, Optional.of(at)), picked);
        assertEquals(new Neutral(lamp, -0.5, Optional.of(at)), picked.withStops(-0.5));
        assertEquals(Neutral.MOST_STOPS, picked.withStops(9).stops());
        assertEquals(-Neutral.MOST_STOPS, picked.withStops(-9).stops());
        assertEquals(new Neutral(White.D65, 1, Optional.empty()), picked.withWhite(White.D65));
    }

    @Test
    void isNone_ifNeitherColourNorAmountChanges() {
        assertTrue(Neutral.AS_FILED.isNone());
        assertTrue(new Neutral(White.D65, 0, Optional.of(Point.ORIGIN)).isNone(), "wherever it was found");
        assertFalse(Neutral.AS_FILED.withStops(0.1).isNone());
        assertFalse(Neutral.AS_FILED.withWhite(new White(0.45, 0.41)).isNone());
        assertThrows(IllegalArgumentException.class, () -> new Neutral(White.D65, 4.1, Optional.empty()));
        assertThrows(IllegalArgumentException.class, () -> new Neutral(White.D65, Double.NaN, Optional.empty()));
        assertThrows(IllegalArgumentException.class, () -> Neutral.parse("0.3 0.3"));
        assertThrows(IllegalArgumentException.class, () -> Neutral.parse("0.3 0.3 0 1"));
    }
}
