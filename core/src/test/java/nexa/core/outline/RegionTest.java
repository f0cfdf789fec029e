package nexa.core.outline;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.function.DoubleFunction;
import nexa.core.Cases;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Tolerance;
import nexa.core.space.PhotoSpace;
import org.junit.jupiter.api.Test;

class RegionTest {
    private static final Region ARROW =
            new Region(List.of(new Point(-0.5, -0.4), new Point(0.5, 0), new Point(-0.5, 0.4), new Point(-0.1, 0)));

    private static Frame inside(Cases c, Region region) {
        return Fit.within(region, c.wish()).scaled(c.between(0.3, 0.999));
    }

    /** The largest factor, found by trying. */
    private static double byTrying(Region region, DoubleFunction<Frame> grown) {
        double low = 1;
        double high = 1;
        while (high < 1e4 && region.contains(grown.apply(high), 0)) {
            low = high;
            high *= 1.05;
        }
        for (int halving = 0; halving < 50; halving++) {
            double middle = (low + high) / 2;
            if (region.contains(grown.apply(middle), 0)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private static Frame scaledAbout(Point anchor, Frame frame, double factor) {
        Point centre = anchor.plus(frame.centre().minus(anchor).times(factor));
        return Frame.around(centre, frame.width() * factor, frame.height() * factor);
    }

    @Test
    void contains_ofAFrame_isThatNoPointOfItIsOutside() {
        Cases.some(400).forEach(c -> {
            Region region = c.star();
            Frame frame =
                    new Frame(c.between(-0.4, 0.4), c.between(-0.4, 0.4), c.between(0.01, 0.5), c.between(0.01, 0.5));
            boolean all = true;
            for (int i = 0; i <= 60; i++) {
                for (int j = 0; j <= 60; j++) {
                    all &= region.contains(frame.at(i / 60.0, j / 60.0), 0);
                }
            }
            if (region.contains(frame, 0)) {
                assertTrue(all, () -> frame + " in " + region);
            } else if (all) {
                assertTrue(region.growth(frame, frame.centre()) > 0.9, "only between the points tried");
            }
        });
    }

    @Test
    void contains_frameOverANotch_isFalseThoughItsCornersAreInside() {
        Frame across = new Frame(-0.2, 0, 0.4, 0.3);
        assertFalse(ARROW.contains(across, 0));
        Region comb = new Region(List.of(
                new Point(-0.5, -0.5),
                new Point(-0.01, -0.5),
                new Point(0, 0.2),
                new Point(0.01, -0.5),
                new Point(0.5, -0.5),
                new Point(0.5, 0.5),
                new Point(-0.5, 0.5)));
        Frame wide = new Frame(0, 0.1, 0.8, 0.6);
        assertTrue(wide.corners().stream().allMatch(corner -> comb.contains(corner, 0)));
        assertFalse(comb.contains(wide, 0));
        assertTrue(comb.contains(new Frame(0, 0.35, 0.8, 0.3), ROUNDING));
    }

    @Test
    void contains_withSlack_forgivesThatMuch() {
        Region square =
                new Region(TurnedRectangle.of(new PixelSize(10, 10), Tilt.NONE).corners());
        assertTrue(square.contains(new Point(0.6, 0), 0.1001));
        assertFalse(square.contains(new Point(0.6, 0), 0.0999));
        assertTrue(square.contains(new Frame(0.1, 0, 1, 1), 0.1001));
        assertFalse(square.contains(new Frame(0.1, 0, 1, 1), 0.0999));
    }

    @Test
    void growth_aboutAnyAnchor_isWhatTryingFinds() {
        List<Point> anchors = List.of(
                new Point(0.5, 0.5),
                new Point(0, 0),
                new Point(1, 1),
                new Point(0, 0.5),
                new Point(0.5, 1),
                new Point(0.3, 0.8));
        Cases.some(300).forEach(c -> {
            Region region = c.star();
            Frame frame = inside(c, region);
            for (Point at : anchors) {
                Point anchor = frame.at(at.x(), at.y());
                double growth = region.growth(frame, anchor);
                double tried = byTrying(region, factor -> scaledAbout(anchor, frame, factor));
                assertEquals(tried, growth, 1e-6 * tried, () -> at + " of " + frame);
            }
        });
    }

    @Test
    void reach_ofEachSide_isWhatTryingFinds() {
        Cases.some(300).forEach(c -> {
            Region region = c.star();
            Frame frame = inside(c, region);
            double right = region.reach(frame.at(1, 0), frame.at(1, 1), new Point(frame.width(), 0));
            double triedRight = byTrying(
                    region,
                    factor -> new Frame(
                            frame.left() + frame.width() * factor / 2,
                            frame.centreY(),
                            frame.width() * factor,
                            frame.height()));
            assertEquals(triedRight - 1, right, 1e-6 * triedRight);
            double up = region.reach(frame.at(0, 0), frame.at(1, 0), new Point(0, -frame.height()));
            double triedUp = byTrying(
                    region,
                    factor -> new Frame(
                            frame.centreX(),
                            frame.bottom() - frame.height() * factor / 2,
                            frame.width(),
                            frame.height() * factor));
            assertEquals(triedUp - 1, up, 1e-6 * triedUp);
        });
    }

    @Test
    void rectangleAsRegion_measuresTheSame() {
        Cases.some(500).forEach(c -> {
            TurnedRectangle rectangle = c.outline();
            Region region = new Region(rectangle.corners());
            Frame frame = Fit.within(rectangle, c.wish()).scaled(c.between(0.2, 0.99));
            Point anchor = frame.at(c.between(0, 1), c.between(0, 1));
            double growth = rectangle.growth(frame, anchor);
            assertEquals(growth, region.growth(frame, anchor), 1e-8 * growth);
            Point step = new Point(0.3, 0);
            double reach = rectangle.reach(frame.at(1, 0), frame.at(1, 1), step);
            // a side nearly along the step is met with Tolerance.LENGTH across, which is more along it
            assertEquals(reach, region.reach(frame.at(1, 0), frame.at(1, 1), step), 1e-6 * (1 + reach));
        });
    }

    @Test
    void sides_thatLieStraight_areSaid() {
        Region level =
                new Region(TurnedRectangle.of(new PixelSize(30, 20), Tilt.NONE).corners());
        assertEquals(List.of(-1 / 3.0, 1 / 3.0), level.levelSides());
        assertEquals(List.of(0.5, -0.5), level.uprightSides());
        assertEquals(List.of(), ARROW.levelSides());
    }

    @Test
    void bentPhoto_isFlattenedToATwentiethOfAPixel() {
        Cases.some(60).forEach(c -> {
            PhotoSpace space = c.bent();
            Region outline = (Region) space.outline();
            double allowed = Tolerance.FLATNESS / space.asShot().longEdge();
            TurnedRectangle photo = TurnedRectangle.of(space.asShot(), Tilt.NONE);
            Mapping toLevel = space.asShotToLevel();
            for (int i = 0; i < 200; i++) {
                Point edge = new Point(c.between(-1, 1) * photo.halfWidth(), photo.halfHeight());
                assertTrue(outline.contains(toLevel.apply(edge), allowed * 1.01));
                Point mapped =
                        toLevel.apply(new Point(edge.x(), photo.halfHeight() * (1 + 4 * allowed / photo.halfHeight())));
                assertFalse(outline.contains(mapped, 0), () -> space + " at " + edge);
            }
            assertTrue(outline.size() < 2000, () -> outline.size() + " corners");
        });
    }

    @Test
    void grownBy_movesTheSidesOutwards() {
        Cases.some(200).forEach(c -> {
            TurnedRectangle rectangle = TurnedRectangle.of(new PixelSize(300, 200), c.tilt());
            List<Point> corners = rectangle.corners();
            List<Point> grown = rectangle.grownBy(0.01).corners();
            for (List<Point> way : List.of(corners, corners.reversed())) {
                List<Point> actual = new Region(way).grownBy(0.01).corners();
                for (int i = 0; i < 4; i++) {
                    assertEquals(0, grown.get(i).distance(actual.get(way == corners ? i : 3 - i)), ROUNDING);
                }
            }
        });
    }

    @Test
    void whatIsNoOutline_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Region(List.of(Point.ORIGIN, new Point(1, 0))));
        assertThrows(
                IllegalArgumentException.class,
                () -> new Region(List.of(Point.ORIGIN, new Point(1, 0), new Point(0, Double.NaN))));
    }

    @Test
    void equals_ofTheSameCornersInTheSameOrder() {
        Region again =
                new Region(List.of(new Point(-0.5, -0.4), new Point(0.5, 0), new Point(-0.5, 0.4), new Point(-0.1, 0)));
        assertEquals(ARROW, again);
        assertEquals(ARROW.hashCode(), again.hashCode());
        assertNotEquals(
                ARROW,
                new Region(
                        List.of(new Point(-0.5, -0.4), new Point(0.5, 0), new Point(-0.5, 0.4), new Point(-0.2, 0))));
        assertNotEquals(ARROW, new Region(List.of(new Point(-0.5, -0.4), new Point(0.5, 0), new Point(-0.5, 0.4))));
    }

    @Test
    void straightRectangle_saysItsSides_aTiltedOneHasNone() {
        Outline straight = new PhotoSpace(new PixelSize(600, 400), nexa.core.space.Pose.AS_SHOT).outline();
        assertEquals(List.of(-0.5, 0.5), straight.uprightSides());
        assertEquals(List.of(-1 / 3.0, 1 / 3.0), straight.levelSides());
        Outline tilted =
                new PhotoSpace(new PixelSize(600, 400), nexa.core.space.Pose.AS_SHOT.withTilt(new Tilt(3))).outline();
        assertEquals(List.of(), tilted.uprightSides());
        assertEquals(List.of(), tilted.levelSides());
    }
}
