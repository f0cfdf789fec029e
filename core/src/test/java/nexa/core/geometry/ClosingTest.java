package nexa.core.geometry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import nexa.core.geometry.Gaps.Gap;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class ClosingTest {
    private static final double EXACT = 1e-12;

    private static Gaps gaps(Random random) {
        List<Gap> gaps = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            double from = random.nextDouble(-0.5, 0.45);
            gaps.add(new Gap(from, from + random.nextDouble(0.001, 0.1)));
        }
        return new Gaps(gaps);
    }

    private static boolean isInside(Gaps gaps, double place) {
        return gaps.all().stream().anyMatch(gap -> place > gap.from() + EXACT && place < gap.to() - EXACT);
    }

    @RepeatedTest(100)
    void everyPlaceOutsideTheBands_comesBack(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        Closing closing = new Closing(gaps(random), gaps(random), false);
        for (int i = 0; i < 50; i++) {
            Point p = new Point(random.nextDouble(-0.6, 0.6), random.nextDouble(-0.6, 0.6));
            Point closed = closing.apply(p);
            Point back = closing.inverse().apply(closed);
            if (!isInside(closing.across(), p.x())) {
                assertEquals(p.x(), back.x(), EXACT);
            }
            if (!isInside(closing.down(), p.y())) {
                assertEquals(p.y(), back.y(), EXACT);
            }
            assertFalse(isInside(closing.across(), back.x()), "nothing of a band is seen again");
            Point again = closing.apply(back);
            assertEquals(closed.x(), again.x(), EXACT);
            assertEquals(closed.y(), again.y(), EXACT);
            double[] xs = {p.x()};
            double[] ys = {p.y()};
            closing.map(xs, ys, 1);
            assertEquals(closed, new Point(xs[0], ys[0]));
            assertEquals(closed, closing.tangent(p).apply(p));
        }
    }

    @Test
    void whatIsLeft_staysAboutTheMiddle_andTheSidesOfABandMeet() {
        Closing closing = new Closing(new Gaps(List.of(new Gap(0.1, 0.2))), Gaps.NONE, false);
        assertEquals(-0.45, closing.apply(new Point(-0.5, 0.3)).x(), EXACT);
        assertEquals(0.45, closing.apply(new Point(0.5, 0.3)).x(), EXACT);
        for (double inside : new double[] {0.1, 0.14, 0.2}) {
            assertEquals(0.15, closing.apply(new Point(inside, 0.3)).x(), EXACT);
        }
        assertEquals(0.3, closing.apply(new Point(0.1, 0.3)).y(), EXACT);
    }

    @Test
    void bandsThatTouch_areOne_whateverTheirOrder() {
        Gaps gaps = new Gaps(List.of(new Gap(0.3, 0.4), new Gap(-0.1, 0), new Gap(0.25, 0.32)));
        assertEquals(new Gaps(List.of(new Gap(-0.1, 0), new Gap(0.25, 0.4))), gaps);
        assertEquals(0.25, gaps.width(), EXACT);
        assertThrows(IllegalArgumentException.class, () -> new Gap(0.2, 0.2));
        assertThrows(IllegalArgumentException.class, () -> new Gap(Double.NaN, 0.2));
    }

    @Test
    void onlyWhatOpensBands_breaksAPicture_andWithoutBandsNothingHappens() {
        Closing closing = new Closing(new Gaps(List.of(new Gap(0.1, 0.2))), Gaps.NONE, false);
        assertFalse(closing.breaks());
        assertTrue(closing.inverse().breaks());
        Mapping chain = Affine.scale(2, 2).then((Mapping) closing.inverse());
        assertTrue(chain.breaks() && chain.bends());
        assertTrue(new Closing(Gaps.NONE, Gaps.NONE, true).isIdentity());
        assertEquals(Affine.scale(2, 2), Affine.scale(2, 2).then((Mapping) new Closing(Gaps.NONE, Gaps.NONE, true)));
    }
}
