package nexa.core.eye;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalInt;
import nexa.core.Cases;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

class GlowingEyesTest {
    private static final GlowingEye LARGE = new GlowingEye(Point.ORIGIN, 0.05, Glow.RED);
    private static final GlowingEye SMALL = new GlowingEye(new Point(0.02, 0), 0.01, Glow.BRIGHT, 0.5);

    @Test
    void texts_leadBackToTheLastBit() {
        Cases.some(200).forEach(cases -> {
            GlowingEyes eyes = cases.eyes();
            assertEquals(eyes, GlowingEyes.parse(eyes.text()));
        });
        assertThrows(IllegalArgumentException.class, () -> GlowingEyes.parse("red 0 0 0.01"));
        assertThrows(IllegalArgumentException.class, () -> GlowingEyes.parse("blue 0 0 0.01 1"));
        assertThrows(IllegalArgumentException.class, () -> GlowingEyes.parse("red 0 0 7 1"));
    }

    @Test
    void ofSeveralThatHoldAPlace_theSmallestIsMeant() {
        GlowingEyes both = new GlowingEyes(List.of(LARGE, SMALL));
        assertEquals(OptionalInt.of(1), both.at(new Point(0.021, 0)));
        assertEquals(OptionalInt.of(0), both.at(new Point(-0.02, 0)));
        assertTrue(both.at(new Point(0.2, 0)).isEmpty());
        assertEquals(new GlowingEyes(List.of(LARGE)), both.without(1));
    }

    @Test
    void found_thatAreThereAlready_areNotAddedAgain() {
        GlowingEyes one = new GlowingEyes(List.of(LARGE));
        GlowingEye elsewhere = new GlowingEye(new Point(0.3, 0), 0.01, Glow.RED);
        assertEquals(new GlowingEyes(List.of(LARGE, elsewhere)), one.and(List.of(SMALL, elsewhere)));
    }

    @Test
    void eye_changesOneThingAtATime_andItsStrengthStaysPossible() {
        GlowingEye eye = new GlowingEye(new Point(0.1, 0.2), 0.02, GlowingEye.Glow.RED);
        assertEquals(1, eye.strength());
        assertEquals(0.5, eye.withStrength(0.5).strength());
        assertEquals(1, eye.withStrength(1.5).strength());
        assertEquals(0, eye.withStrength(-1).strength());
        assertEquals(
                GlowingEye.Glow.BRIGHT, eye.withGlow(GlowingEye.Glow.BRIGHT).glow());
        assertEquals(
                eye,
                eye.withGlow(GlowingEye.Glow.BRIGHT)
                        .withStrength(0.2)
                        .withGlow(GlowingEye.Glow.RED)
                        .withStrength(1));
        assertTrue(eye.holds(new Point(0.12, 0.2)));
        assertFalse(eye.holds(new Point(0.1201, 0.2)));
    }

    @Test
    void eye_ofASizeThatNoneHas_isRefused() {
        for (double radius : new double[] {0.0009, 0.21, Double.NaN}) {
            assertThrows(
                    IllegalArgumentException.class, () -> new GlowingEye(Point.ORIGIN, radius, GlowingEye.Glow.RED));
        }
        assertThrows(
                IllegalArgumentException.class, () -> new GlowingEye(Point.ORIGIN, 0.01, GlowingEye.Glow.RED, 1.1));
        assertThrows(
                IllegalArgumentException.class, () -> new GlowingEye(Point.ORIGIN, 0.01, GlowingEye.Glow.RED, -0.1));
        new GlowingEye(Point.ORIGIN, GlowingEye.SMALLEST, GlowingEye.Glow.RED, 0);
        new GlowingEye(Point.ORIGIN, GlowingEye.LARGEST, GlowingEye.Glow.RED, 1);
    }

    @Test
    void with_anotherInAPlace_leavesTheOthers() {
        GlowingEye left = new GlowingEye(new Point(-0.1, 0), 0.02, GlowingEye.Glow.RED);
        GlowingEye right = new GlowingEye(new Point(0.1, 0), 0.02, GlowingEye.Glow.RED);
        GlowingEyes both = GlowingEyes.NONE.with(left).with(right);
        GlowingEye weaker = right.withStrength(0.5);
        assertEquals(java.util.List.of(left, weaker), both.with(1, weaker).all());
        assertEquals(java.util.List.of(right), both.without(0).all());
    }
}
