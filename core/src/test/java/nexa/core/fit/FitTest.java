package nexa.core.fit;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.outline.Outline;
import nexa.core.outline.TurnedRectangle;
import org.junit.jupiter.api.Test;

class FitTest {
    @Test
    void within_isNeverOutside() {
        Cases.some(5000).forEach(c -> {
            Outline outline = c.outline();
            assertTrue(outline.contains(Fit.within(outline, c.wish()), ROUNDING));
        });
    }

    @Test
    void within_keepsShapeExactly() {
        Cases.some(2000).forEach(c -> {
            Frame wish = c.wish();
            assertEquals(wish.aspect(), Fit.within(c.outline(), wish).aspect(), wish.aspect() * 1e-14);
        });
    }

    @Test
    void within_isNeverLargerThanTheWish() {
        Cases.some(2000).forEach(c -> {
            Frame wish = c.wish();
            assertTrue(Fit.within(c.outline(), wish).width() <= wish.width());
        });
    }

    @Test
    void within_ofItsOwnResult_changesNothing() {
        Cases.some(2000).forEach(c -> {
            Outline outline = c.outline();
            Frame once = Fit.within(outline, c.wish());
            Frame twice = Fit.within(outline, once);
            assertEquals(0, once.centre().distance(twice.centre()), ROUNDING);
            assertEquals(once.width(), twice.width(), ROUNDING);
        });
    }

    @Test
    void within_wishInside_comesBackUnchanged() {
        Cases.some(2000).forEach(c -> {
            Outline outline = c.outline();
            Frame inside = Fit.within(outline, c.wish()).scaled(0.999);
            assertEquals(inside, Fit.within(outline, inside));
        });
    }

    @Test
    void within_leavesNoRoomToGrow() {
        Cases.some(2000).forEach(c -> {
            Outline outline = c.outline();
            Frame wish = c.wish();
            Frame fit = Fit.within(outline, wish);
            if (fit.width() < wish.width()) {
                assertFalse(outline.contains(Fit.largest(outline, wish.aspect()).scaled(1.0001), ROUNDING));
                assertEquals(Fit.largest(outline, wish.aspect()).width(), fit.width(), ROUNDING);
            }
        });
    }

    @Test
    void within_isNearestToTheWishedCentre() {
        Cases.some(500).forEach(c -> {
            Outline outline = c.outline();
            Frame wish = c.wish();
            Frame fit = Fit.within(outline, wish);
            double distance = fit.centre().distance(wish.centre());
            for (int i = 0; i < 40; i++) {
                Point step = new Point(c.between(-0.05, 0.05), c.between(-0.05, 0.05));
                Frame other = fit.movedBy(step);
                if (outline.contains(other, 0)) {
                    assertTrue(other.centre().distance(wish.centre()) >= distance - ROUNDING);
                }
            }
        });
    }

    @Test
    void largest_levelPhoto_touchesTwoOppositeEdges() {
        Outline outline = TurnedRectangle.of(new PixelSize(3000, 2000), Tilt.NONE);
        Frame frame = Fit.largest(outline, 1.25);
        assertEquals(2.0 / 3, frame.height(), ROUNDING);
        assertEquals(1.25 * 2 / 3, frame.width(), ROUNDING);
    }

    /** The largest rectangle of a photo's own shape in it when tilted: known closed form, w / (cos t + h/w sin t). */
    @Test
    void largest_ofPhotosOwnShape_agreesWithTheKnownFormula() {
        Outline outline = TurnedRectangle.of(new PixelSize(2000, 2000), new Tilt(30));
        double side = 1 / (Math.cos(Math.toRadians(30)) + Math.sin(Math.toRadians(30)));
        assertEquals(side, Fit.largest(outline, 1).width(), ROUNDING);
    }

    @Test
    void within_mirroredPhoto_givesTheMirroredFrame() {
        Cases.some(1000).forEach(c -> {
            TurnedRectangle outline = c.outline();
            Frame wish = c.wish();
            Outline mirrored = new TurnedRectangle(
                    outline.halfWidth(), outline.halfHeight(), outline.tilt().negated());
            Frame fit = Fit.within(outline, wish);
            Frame other = Fit.within(mirrored, new Frame(-wish.centreX(), wish.centreY(), wish.width(), wish.height()));
            assertEquals(-fit.centreX(), other.centreX(), ROUNDING);
            assertEquals(fit.centreY(), other.centreY(), ROUNDING);
            assertEquals(fit.width(), other.width(), ROUNDING);
        });
    }
}
