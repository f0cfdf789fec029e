package nexa.core.pixel;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

class LightStepTest {
    private static final CornerLight LENS = new CornerLight(-0.3, 0.1, -0.05);

    @Test
    void cornerLight_givesBackWhatTheModelTakes() {
        for (double r = 0; r <= 1; r += 0.1) {
            double r2 = r * r;
            double left = 1 - 0.3 * r2 + 0.1 * r2 * r2 - 0.05 * r2 * r2 * r2;
            assertEquals(1, LENS.gain(r2) * left, 1e-12);
        }
    }

    @Test
    void cornerLight_inPart_isThatPartOfTheGain() {
        double whole = LENS.gain(1);
        assertEquals(1, LENS.times(0).gain(1), 1e-12);
        assertEquals(1 + 0.5 * (whole - 1), LENS.times(0.5).gain(1), 1e-12);
        assertEquals(whole, LENS.times(0.5).times(1).gain(1), 1e-12, "of the measured, not of what was asked before");
    }

    @Test
    void cornerLight_ofALensThatTakesAll_staysFinite() {
        assertEquals(20, new CornerLight(-2, 0, 0).gain(1), 1e-12);
    }

    @Test
    void cornerLift_reachesItsStopsAtTheCorners_andHalfAtTheMidpoint() {
        CornerLift lift = new CornerLift(2, 0.6);
        assertEquals(1, lift.gain(0), 1e-12);
        assertEquals(2, lift.gain(0.36), 1e-12);
        assertEquals(4, lift.gain(1), 1e-12);
        assertEquals(0.5, new CornerLift(-1, 0.6).gain(1), 1e-12);
    }

    @Test
    void gain_ofSeveral_isTheirProduct() {
        CornerLift lift = new CornerLift(1, 0.5);
        assertEquals(1, LightStep.gain(List.of(), 0.7));
        assertEquals(LENS.gain(0.7) * lift.gain(0.7), LightStep.gain(List.of(LENS, lift), 0.7), 1e-12);
    }
}
