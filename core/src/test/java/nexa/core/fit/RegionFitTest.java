package nexa.core.fit;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.outline.Outline;
import nexa.core.outline.Region;
import nexa.core.outline.TurnedRectangle;
import org.junit.jupiter.api.Test;

/** The fit in outlines that bend inwards, against trying very many places. */
class RegionFitTest {
    private static final int ACROSS = 60;

    private static Region region(Cases c) {
        return c.below(3) == 0 && c.bent().outline() instanceof Region bent ? bent : c.star();
    }

    /** Places all over the region and around a point. */
    private static Stream<Point> places(Cases c, Region region, Point around) {
        Frame box = region.bounds();
        Stream<Point> all = Stream.iterate(0, i -> i + 1)
                .limit(ACROSS * ACROSS)
                .map(i -> box.at((i % ACROSS + 0.5) / ACROSS, (i / ACROSS + 0.5) / ACROSS));
        Stream<Point> near = Stream.generate(() -> Math.exp(c.between(-14, -2)))
                .limit(300)
                .map(far -> around.plus(new Point(c.between(-far, far), c.between(-far, far))));
        return Stream.concat(all, near);
    }

    @Test
    void within_isInsideInTheWishesShapeAndNoLarger() {
        Cases.some(3000).forEach(c -> {
            Region region = region(c);
            Frame wish = c.wish();
            Frame fit = Fit.within(region, wish);
            assertTrue(region.holds(fit), () -> fit + " of " + wish + " in " + region.corners());
            assertEquals(wish.aspect(), fit.aspect(), wish.aspect() * 1e-12);
            assertTrue(fit.width() <= wish.width());
        });
    }

    @Test
    void within_wishInside_comesBackUnchanged() {
        Cases.some(2000).forEach(c -> {
            Region region = region(c);
            Frame inside = Fit.within(region, c.wish()).scaled(0.999);
            assertSame(inside, Fit.within(region, inside));
        });
    }

    @Test
    void within_isNearerThanAnyPlaceThatTryingFinds() {
        Cases.some(300).forEach(c -> {
            Region region = region(c);
            Frame wish = c.wish();
            Frame fit = Fit.within(region, wish);
            double distance = fit.centre().distance(wish.centre());
            places(c, region, fit.centre())
                    .filter(place -> place.distance(wish.centre()) < distance - Tolerance.LENGTH)
                    .forEach(place -> assertTrue(
                            !region.contains(Frame.around(place, fit.width(), fit.height()), 0),
                            () -> place + " is nearer to " + wish + " than " + fit + " in " + region.corners()));
        });
    }

    @Test
    void within_isLargerThanAnyFrameThatTryingFinds() {
        Cases.some(300).forEach(c -> {
            Region region = region(c);
            Frame wish = c.wish();
            Frame fit = Fit.within(region, wish);
            if (fit.width() < wish.width()) {
                places(c, region, fit.centre())
                        .filter(place -> region.contains(place, 0))
                        .forEach(place -> {
                            Frame there = Frame.around(place, fit.width(), fit.height());
                            assertTrue(
                                    region.growth(there, place) <= 1 + 1e-8,
                                    () -> "larger at " + place + " than " + fit + " in " + region.corners());
                        });
            }
        });
    }

    @Test
    void within_ofASmallerWish_isNeverFartherAway() {
        Cases.some(1500).forEach(c -> {
            Region region = region(c);
            Frame wish = c.wish();
            double distance = Fit.within(region, wish).centre().distance(wish.centre());
            Frame smaller = wish.scaled(c.between(0.2, 1));
            assertTrue(Fit.within(region, smaller).centre().distance(wish.centre()) <= distance + Tolerance.LENGTH
                    || Fit.within(region, wish).width() < wish.width());
        });
    }

    @Test
    void within_ofItsOwnResult_changesNothing() {
        Cases.some(2000).forEach(c -> {
            Region region = region(c);
            Frame once = Fit.within(region, c.wish());
            Frame twice = Fit.within(region, once);
            assertEquals(0, once.centre().distance(twice.centre()), ROUNDING);
            assertEquals(once.width(), twice.width(), ROUNDING);
        });
    }

    @Test
    void rectangleAsRegion_fitsTheSame() {
        Cases.some(2000).forEach(c -> {
            TurnedRectangle rectangle = c.outline();
            Outline region = new Region(rectangle.corners());
            Frame wish = c.wish();
            Frame expected = Fit.within(rectangle, wish);
            Frame actual = Fit.within(region, wish);
            assertEquals(expected.width(), actual.width(), ROUNDING);
            assertEquals(0, expected.centre().distance(actual.centre()), 1e-8, () -> wish + " in " + rectangle);
            Frame largest = Fit.largest(rectangle, wish.aspect());
            assertEquals(largest.width(), Fit.largest(region, wish.aspect()).width(), ROUNDING);
        });
    }

    @Test
    void wishInANotch_goesIntoTheRegion() {
        Region arrow =
                new Region(List.of(new Point(-0.5, -0.4), new Point(0.5, 0), new Point(-0.5, 0.4), new Point(-0.1, 0)));
        Frame inTheNotch = new Frame(-0.4, 0, 0.02, 0.02);
        Frame fit = Fit.within(arrow, inTheNotch);
        assertTrue(arrow.holds(fit));
        assertEquals(0.02, fit.width());
    }
}
