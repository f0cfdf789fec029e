package nexa.core.eye;

import static org.junit.jupiter.api.Assertions.assertEquals;
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
}
