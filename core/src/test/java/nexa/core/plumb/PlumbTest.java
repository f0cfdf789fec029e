package nexa.core.plumb;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.core.Cases;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import org.junit.jupiter.api.Test;

class PlumbTest {
    private static final double REACH = Math.sqrt(0.5);

    /** What a camera sees of a place to the right of it, below it and ahead, in long edges. */
    private static Point seen(double right, double down, double ahead, double pitch, double yaw, double focal) {
        double p = Math.toRadians(pitch);
        double y = Math.toRadians(yaw);
        double x1 = Math.cos(y) * right - Math.sin(y) * ahead; // the camera turned right, the world turns left
        double z1 = Math.sin(y) * right + Math.cos(y) * ahead;
        double y2 = Math.cos(p) * down + Math.sin(p) * z1; // it looked up, the world sinks
        double z2 = -Math.sin(p) * down + Math.cos(p) * z1;
        return new Point(focal * x1 / z2, focal * y2 / z2);
    }

    @Test
    void plumb_ofAnyTurn_standsUprightsUpAndKeepsLevelsLevel_inTheirProportions() {
        Cases.some(500).forEach(c -> {
            double pitch = c.between(-20, 20);
            double yaw = c.between(-20, 20);
            double focal = c.between(0.7, 2);
            Mapping plumb = Plumb.of(pitch, yaw, focal).mapping(REACH);
            double right = c.between(-1, 1);
            double down = c.between(-1, 1);
            Point corner = plumb.apply(seen(right, down, 8, pitch, yaw, focal));
            Point above = plumb.apply(seen(right, down - 1, 8, pitch, yaw, focal));
            Point beside = plumb.apply(seen(right + 1, down, 8, pitch, yaw, focal));
            assertEquals(corner.x(), above.x(), 1e-9);
            assertEquals(corner.y(), beside.y(), 1e-9);
            assertEquals(corner.distance(above), corner.distance(beside), 1e-9);
        });
    }

    @Test
    void plumb_keepsTheMiddleInItsPlaceAndAsLargeAsItWas() {
        Cases.some(200).forEach(c -> {
            Mapping plumb = Plumb.of(c.between(-45, 45), c.between(-45, 45), c.between(0, 2))
                    .mapping(REACH);
            assertEquals(0, plumb.apply(Point.ORIGIN).length(), 1e-12);
            assertEquals(1, plumb.stretch(Point.ORIGIN), 1e-9);
        });
    }

    @Test
    void plumb_ofASteepView_staysBeforeTheCamera() {
        Mapping plumb = Plumb.of(45, 45, 0.3).mapping(REACH);
        for (Point corner :
                new Point[] {new Point(-0.5, -0.5), new Point(0.5, -0.5), new Point(0.5, 0.5), new Point(-0.5, 0.5)}) {
            assertTrue(plumb.apply(corner).length() < 20, corner::toString);
            assertEquals(0, plumb.inverse().apply(plumb.apply(corner)).distance(corner), 1e-9);
        }
    }

    @Test
    void far_ofNothing_leavesThePhotoAsItIs() {
        assertTrue(Plumb.of(10, 5, 1).withFar(0).isNone());
        assertTrue(Plumb.NONE.isNone());
    }

    @Test
    void text_readsBackToTheLastBit() {
        Cases.some(200).forEach(c -> {
            Plumb plumb = c.plumb();
            assertEquals(plumb, Plumb.parse(plumb.text()));
        });
        assertEquals("", Plumb.NONE.text());
        assertEquals(Plumb.NONE, Plumb.parse(""));
        assertThrows(IllegalArgumentException.class, () -> Plumb.parse("1 2 3"));
        assertThrows(IllegalArgumentException.class, () -> Plumb.parse("90 0 1 0 1 0 0 1"));
        assertThrows(IllegalArgumentException.class, () -> Plumb.parse("NaN 0 1 0 1 0 0 1"));
    }

    @Test
    void after_aTurn_countsAsThePhotoLiesThen() {
        Plumb plumb = new Plumb(10, 4, 0.5, 1, 1.1, 0.1, -0.2, 1.3);
        assertEquals(new Plumb(-4, 10, 0.5, 1, 1.1, 0.2, 0.1, 1 / 1.3), plumb.after(Turn.CLOCKWISE));
        assertEquals(new Plumb(-10, -4, 0.5, 1, 1.1, -0.1, 0.2, 1.3), plumb.after(new Turn(2, false)));
        assertEquals(plumb, plumb.before(Turn.NONE));
        Cases.some(100).forEach(c -> {
            Turn turn = new Turn(c.below(4), c.below(2) == 0);
            Plumb back = plumb.after(turn).before(turn);
            assertEquals(plumb.pitch(), back.pitch(), 1e-12);
            assertEquals(plumb.yaw(), back.yaw(), 1e-12);
            assertEquals(plumb.right(), back.right(), 1e-12);
            assertEquals(plumb.stretch(), back.stretch(), 1e-12);
            // of one angle: seen on the turned photo it does to it what it did before
            Plumb pitched = plumb.withAngles(c.between(-20, 20), 0);
            Point at = new Point(c.between(-0.5, 0.5), c.between(-0.3, 0.3));
            Point turned = turn.apply(pitched.mapping(REACH).apply(at));
            assertEquals(
                    0, pitched.after(turn).mapping(REACH).apply(turn.apply(at)).distance(turned), 1e-9);
        });
    }

    @Test
    void finish_scalesStretchesAndShifts() {
        Mapping finish = Plumb.NONE.finished(1.2, 0.1, -0.05, 4).mapping(REACH);
        assertEquals(
                0,
                new Point(0.1 + 1.2 * 2 * 0.2, -0.05 + 1.2 / 2 * 0.1).distance(finish.apply(new Point(0.2, 0.1))),
                1e-12);
        assertFalse(Plumb.NONE.finished(1.2, 0, 0, 1).isNone());
        assertFalse(Plumb.of(1, 0, 0).isNone());
    }

    @Test
    void far_isTheShareOfTheAnglesThatIsUndone() {
        Point at = new Point(0.3, -0.2);
        Plumb half = Plumb.of(10, 6, 1).withFar(0.5);
        assertEquals(
                0,
                half.mapping(REACH)
                        .apply(at)
                        .distance(Plumb.of(5, 3, 1).mapping(REACH).apply(at)),
                1e-12);
        assertEquals(Plumb.USUAL_FOCAL, Plumb.of(1, 1, 0).reckoned());
        assertEquals(1.5, Plumb.of(1, 1, 1.5).reckoned());
    }

    @Test
    void numbers_beyondWhatCanBeDone_areRefused() {
        for (double factor : new double[] {0.249, 4.01, -1, Double.NaN}) {
            assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.finished(factor, 0, 0, 1));
            assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.finished(1, 0, 0, factor));
        }
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.finished(1, 1.01, 0, 1));
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.finished(1, 0, -1.01, 1));
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.withFar(1.01));
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.withFar(-0.01));
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.withAngles(45.1, 0));
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.withAngles(0, -45.1));
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.withFocal(-0.1));
        assertThrows(IllegalArgumentException.class, () -> Plumb.NONE.withFocal(1001));
        Plumb.NONE.finished(0.25, 1, -1, 4);
        Plumb.NONE.withAngles(-45, 45).withFocal(1000);
    }
}
