package nexa.core.lineup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import nexa.core.Cases;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import org.junit.jupiter.api.Test;

class LineupTest {
    private static final Frame FRAME = new Frame(0, 0, 0.4, 0.5);

    /** A pot whose middle is moved and whose size is scaled, standing at an angle. */
    private static Placing pot(double right, double down, double size, double lean) {
        Point middle = new Point(right * FRAME.width(), down * FRAME.height());
        Point half = new Point(-Math.sin(Math.toRadians(lean)), Math.cos(Math.toRadians(lean))).times(0.1 * size);
        return Placing.of(FRAME, List.of(middle.minus(half), middle.plus(half)));
    }

    @Test
    void deviations_sayHowFarHowMuchLargerAndHowMuchFurtherRound() {
        Lineup lineup = new Lineup(List.of(pot(0, 0, 1, 0), pot(0.02, -0.03, 1.1, 2)));
        Deviation none = lineup.deviations().getFirst();
        assertEquals(new Deviation(Point.ORIGIN, OptionalDouble.of(1), OptionalDouble.of(0)), none);
        Deviation other = lineup.deviations().getLast();
        assertEquals(0.02, other.offset().x(), 1e-12);
        assertEquals(-0.03, other.offset().y(), 1e-12);
        assertEquals(1.1, other.sizeRatio().orElseThrow(), 2e-3);
        assertEquals(2, other.lean().orElseThrow(), 1e-9);
    }

    @Test
    void spread_isTheWorstOfTheSet() {
        Spread spread = new Lineup(List.of(pot(0, 0, 1, 0), pot(0.01, 0, 1.05, 1), pot(-0.03, 0, 0.95, -1))).spread();
        assertEquals(0.03, spread.place(), 1e-12);
        assertEquals(1.05 / 0.95 - 1, spread.size().orElseThrow(), 1e-3);
        assertEquals(2, spread.lean().orElseThrow(), 1e-9);
        assertTrue(new Lineup(List.of(pot(0, 0, 1, 0))).spread().size().isEmpty());
    }

    @Test
    void oneMark_hasOnlyAPlace() {
        Placing one = Placing.of(FRAME, List.of(new Point(0.1, 0)));
        Deviation deviation = one.from(pot(0, 0, 1, 0));
        assertEquals(0.25, deviation.offset().x(), 1e-12);
        assertTrue(deviation.sizeRatio().isEmpty() && deviation.lean().isEmpty());
        assertEquals(List.of(Set.of(), Set.of()), new Lineup(List.of(one, one)).outliers());
    }

    @Test
    void outliers_areNamedHoweverManyAreAlike() {
        List<Placing> set = new ArrayList<>();
        Random random = new Random(7); // always as many: what stands out depends on it
        for (int i = 0; i < 40; i++) {
            set.add(pot(
                    random.nextDouble(-0.004, 0.004),
                    random.nextDouble(-0.004, 0.004),
                    random.nextDouble(0.995, 1.005),
                    random.nextDouble(-0.2, 0.2)));
        }
        assertTrue(new Lineup(set).outliers().stream().allMatch(Set::isEmpty));
        set.add(pot(0.05, 0, 1, 0));
        set.add(pot(0, -0.05, 1, 0));
        set.add(pot(0, 0, 1.2, 0));
        set.add(pot(0, 0, 0.8, 4));
        List<Set<Trait>> outliers = new Lineup(set).outliers();
        assertTrue(outliers.subList(0, 40).stream().allMatch(Set::isEmpty));
        assertEquals(
                List.of(Set.of(Trait.PLACE), Set.of(Trait.PLACE), Set.of(Trait.SIZE), Set.of(Trait.SIZE, Trait.LEAN)),
                outliers.subList(40, 44));
    }

    @Test
    void outliers_ofAVariedSet_areOnlyTheStrays() {
        List<Placing> set = new ArrayList<>();
        Cases.some(40).forEach(c -> set.add(pot(c.between(-0.1, 0.1), 0, c.between(0.8, 1.2), 0)));
        set.add(pot(0.12, 0, 1, 0));
        assertTrue(new Lineup(set).outliers().stream().allMatch(Set::isEmpty), "0.12 is not far among ±0.1");
        assertThrows(IllegalArgumentException.class, () -> new Lineup(List.of()));
    }

    @Test
    void placing_ofAFraming_isThatOfItsMarksInItsFrame() {
        Brief brief = Brief.EMPTY.with("Square", Shape.parse("1:1"));
        Format format = brief.formats().getFirst();
        PixelSize photo = new PixelSize(3000, 2000);
        assertTrue(Placing.of(photo, Framing.UNTOUCHED, format, brief).isEmpty());
        Framing marked = Framing.UNTOUCHED
                .withMarks(new Marks(List.of(new Point(-0.1, 0), new Point(0.1, 0))))
                .withCrop(format, new Crop(Frame.around(Point.ORIGIN, 0.5, 0.5)));
        Placing placing = Placing.of(photo, marked, format, brief).orElseThrow();
        assertEquals(0, new Point(0.5, 0.5).distance(placing.place()), 1e-9);
        assertEquals(0.4, placing.size().orElseThrow(), 1e-9);
        assertEquals(0, placing.direction().orElseThrow(), 1e-9);
    }

    @Test
    void photoWithoutMarks_isPlacedByWhatIsSeen() {
        Brief brief = Brief.EMPTY.with("Square", Shape.parse("1:1"));
        Format format = brief.formats().getFirst();
        PixelSize photo = new PixelSize(3000, 2000);
        assertTrue(
                Placing.ofMarksOrSight(photo, Framing.UNTOUCHED, format, brief).isEmpty());
        Framing seen = Framing.UNTOUCHED
                .withSubject(Subject.UNKNOWN.seen(
                        new Sight(List.of(), Optional.of(Frame.around(new Point(0.05, 0), 0.1, 0.2)), 0)))
                .withCrop(format, new Crop(Frame.around(Point.ORIGIN, 0.5, 0.5)));
        Placing placing = Placing.ofMarksOrSight(photo, seen, format, brief).orElseThrow();
        assertEquals(0, new Point(0.6, 0.5).distance(placing.place()), 1e-9);
        assertEquals(0.4, placing.size().orElseThrow(), 1e-9);
        Framing marked = seen.withMarks(new Marks(List.of(new Point(-0.1, 0), new Point(0.1, 0))));
        assertEquals(Placing.of(photo, marked, format, brief), Placing.ofMarksOrSight(photo, marked, format, brief));
    }

    @Test
    void amount_isHowFarOffPlaceAndSizeAreTogether() {
        Point middle = Point.ORIGIN;
        Placing one = Placing.of(FRAME, List.of(middle, new Point(0, 0.1)));
        assertEquals(0, one.from(one).amount());
        Placing alone = Placing.of(FRAME, List.of(middle));
        Placing beside = Placing.of(FRAME, List.of(new Point(0.3 * FRAME.width(), 0.4 * FRAME.height())));
        assertEquals(0.5, beside.from(alone).amount(), 1e-9);
        Placing larger =
                new Placing(one.place(), OptionalDouble.of(Math.E * one.size().orElseThrow()), OptionalDouble.empty());
        assertEquals(1, larger.from(one).amount(), 1e-9);
    }

    @Test
    void lean_goesTheShorterWayRound() {
        Point middle = Point.ORIGIN;
        Placing down = Placing.of(FRAME, List.of(middle, new Point(-0.1, 0.001)));
        Placing up = Placing.of(FRAME, List.of(middle, new Point(-0.1, -0.001)));
        assertEquals(2 * Math.toDegrees(Math.atan(0.01)), up.from(down).lean().orElseThrow(), 1e-9);
        assertEquals(-2 * Math.toDegrees(Math.atan(0.01)), down.from(up).lean().orElseThrow(), 1e-9);
    }
}
