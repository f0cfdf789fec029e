package nexa.core.level;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.IntStream;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

class LeanEvidenceTest {
    private static final PixelSize PHOTO = new PixelSize(1000, 800);
    private static final LeanEvidence USUAL = new LeanEvidence(0.97, 0.5, 2, 1.9, 0.5, 0.2, 0.5);
    private static final LeanFit LEVEL = new LeanFit(0, 0);

    private static LeanLine horizontal(double y, double degrees, double length) {
        double rise = Math.tan(Math.toRadians(degrees)) * length;
        LevelLine line = new LevelLine(new Point(500 - length / 2, y), new Point(500 + length / 2, y + rise));
        return LeanLine.of(line, PHOTO);
    }

    private static LeanEvidence of(List<LeanLine> lines) {
        return LeanEvidence.of(lines, LEVEL, 1, 0.5, 1);
    }

    private static double logOdds(LeanEvidence evidence) {
        double confidence = evidence.confidence();
        return Math.log(confidence / (1 - confidence));
    }

    private static void assertMakesSurerBy(double more, LeanEvidence evidence) {
        assertEquals(more, logOdds(evidence) - logOdds(USUAL), 1e-9);
    }

    @Test
    void confidence_growsWithEachFigureAsOnPhotographs() {
        assertMakesSurerBy(0.334 * Math.log(2), new LeanEvidence(1.97, 0.5, 2, 1.9, 0.5, 0.2, 0.5));
        assertMakesSurerBy(1.176 * 0.5, new LeanEvidence(0.97, 1, 2, 1.9, 0.5, 0.2, 0.5));
        assertMakesSurerBy(0.339 * Math.log(1.5), new LeanEvidence(0.97, 0.5, 2, 2.9, 0.5, 0.2, 0.5));
        assertMakesSurerBy(3.782 * 0.25, new LeanEvidence(0.97, 0.5, 2, 1.9, 0.75, 0.2, 0.5));
        assertMakesSurerBy(2.736 * -0.1, new LeanEvidence(0.97, 0.5, 2, 1.9, 0.5, 0.1, 0.5));
        assertMakesSurerBy(3.341 * 0.5, new LeanEvidence(0.97, 0.5, 2, 1.9, 0.5, 0.2, 1));
    }

    @Test
    void confidence_fallsWithTheLean_butNotForEver() {
        assertMakesSurerBy(0.440 / 4, new LeanEvidence(0.97, 0.5, 0, 1.9, 0.5, 0.2, 0.5));
        assertMakesSurerBy(-0.440 * 0.75, new LeanEvidence(0.97, 0.5, -4, 1.9, 0.5, 0.2, 0.5));
        assertMakesSurerBy(-0.440 * 3.75, new LeanEvidence(0.97, 0.5, 14, 1.9, 0.5, 0.2, 0.5));
    }

    @Test
    void confidence_hasEnoughOfParallelAndSpread() {
        assertEquals(
                new LeanEvidence(1, 0.5, 1, 2, 1, 0.3, 1).confidence(),
                new LeanEvidence(1, 0.5, 1, 2, 1.4, 0.6, 1).confidence());
    }

    @Test
    void figures_areThoseOfTheSegmentsThatAgree() {
        LeanEvidence evidence =
                of(List.of(horizontal(300, 0.1, 100), horizontal(500, -0.2, 100), horizontal(700, 6, 90)));
        assertEquals(0.2, evidence.length(), 1e-4);
        assertEquals(0.1, evidence.spread(), 1e-3, "a deviation of 100 pixels to both sides of their middle");
        assertEquals(0, evidence.lean());
    }

    @Test
    void manySegments_orAFewLongOnesThatAgree_arePlenty() {
        assertEquals(0.1, of(lines(3, 10)).count(), 1e-9, "3 of 30");
        assertEquals(1, of(lines(60, 2)).count());
        assertEquals(0.8, of(lines(1, 200)).count(), 1e-4, "four times its length");
        LeanLine astray = horizontal(200, 1.2, 200);
        assertEquals(
                0.4, of(List.of(horizontal(400, 0, 200), astray)).count(), 1e-3, "half of the weight around agrees");
    }

    private static List<LeanLine> lines(int count, double length) {
        return IntStream.range(0, count)
                .mapToObj(i -> horizontal(100 + 10 * i, 0, length))
                .toList();
    }

    @Test
    void withoutSegments_hardlyAnythingSpeaksForALean() {
        LeanEvidence none = of(List.of());
        assertEquals(0, none.count());
        assertEquals(0, none.spread());
        assertTrue(none.confidence() < 0.1);
    }
}
