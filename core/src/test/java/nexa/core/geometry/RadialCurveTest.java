package nexa.core.geometry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.core.Cases;
import org.junit.jupiter.api.Test;

class RadialCurveTest {
    @Test
    void at_isThePolynomial_andSlopeItsDerivative() {
        RadialCurve curve = RadialCurve.of(1, 0.02, 0.03, 0.04, 0.05);
        assertEquals(Double.POSITIVE_INFINITY, curve.straightFrom());
        for (double r : new double[] {0, 0.3, 1, 2.5}) {
            double polynomial =
                    r + 0.02 * r * r + 0.03 * Math.pow(r, 3) + 0.04 * Math.pow(r, 4) + 0.05 * Math.pow(r, 5);
            assertEquals(polynomial, curve.at(r), 1e-12);
            double slope = 1 + 0.04 * r + 0.09 * r * r + 0.16 * Math.pow(r, 3) + 0.25 * Math.pow(r, 4);
            assertEquals(slope, curve.slope(r), 1e-12);
        }
    }

    /** r − r³/2 rises by a fifth where 1 − 1.5 r² = 0.2. */
    @Test
    void aCurveThatTurnsBack_goesOnStraight_fromWhereItRisesByAFifth() {
        RadialCurve curve = RadialCurve.of(1, 0, -0.5, 0, 0);
        double from = Math.sqrt(0.8 / 1.5);
        assertEquals(from, curve.straightFrom(), 1e-12);
        assertEquals(0.2, curve.slope(from), 1e-9);
        assertEquals(0.2, curve.slope(2), 0);
        double there = from - Math.pow(from, 3) / 2;
        assertEquals(there, curve.at(from), 1e-12);
        assertEquals(there + 0.2, curve.at(from + 1), 1e-12);
        assertEquals(0.3 - 0.0135, curve.at(0.3), 1e-12);
    }

    @Test
    void inverse_comesBack_howeverFarOutAndHoweverBent() {
        Cases.some(300).forEach(c -> {
            RadialCurve curve = RadialCurve.of(
                    c.between(0.3, 2),
                    c.between(-0.2, 0.3),
                    c.between(-0.5, 0.5),
                    c.between(-0.2, 0.2),
                    c.between(-0.1, 0.1));
            for (double r : new double[] {1e-9, 0.01, 0.2, 0.6, 1, 1.7, 5, 40}) {
                assertEquals(r, curve.inverse(curve.at(r)), 1e-9 * Math.max(1, r));
            }
            assertEquals(0, curve.inverse(0), 1e-15);
        });
    }

    @Test
    void whatIsNoDistortion_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> RadialCurve.of(0.2, 0, 0, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> RadialCurve.of(1, 0, 0, 0, Double.POSITIVE_INFINITY));
        assertTrue(RadialCurve.of(0.21, 0, 0, 0, 0).straightFrom() > 1e9);
    }

    /** The largest singular value: of a turned stretch the larger factor, of a shear by 1 the golden ratio. */
    @Test
    void largestStretch_ofAnAffineMap_isItsLargestSingularValue() {
        Cases.some(200).forEach(c -> {
            double wide = c.between(0.1, 3);
            double high = c.between(0.1, 3);
            Affine map = Affine.rotation(c.tilt())
                    .then(Affine.scale(wide, high))
                    .then(Affine.rotation(c.tilt()))
                    .then(Affine.translation(c.between(-1, 1), 2));
            assertEquals(Math.max(wide, high), map.largestStretch(), 1e-9);
        });
        Affine shear = new Affine(1, 1, 0, 0, 1, 0);
        assertEquals((1 + Math.sqrt(5)) / 2, shear.largestStretch(), 1e-12);
    }
}
