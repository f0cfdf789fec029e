package nexa.core.level;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.Cases;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import org.junit.jupiter.api.Test;

class AutoLevelTest {
    private static final PixelSize PHOTO = new PixelSize(3000, 2000);

    private static LevelLine line(double x, double y, double degrees, double length) {
        Point along = new Point(Math.cos(Math.toRadians(degrees)), Math.sin(Math.toRadians(degrees)));
        Point from = new Point(x, y);
        return new LevelLine(from.minus(along.times(length / 2)), from.plus(along.times(length / 2)));
    }

    /** Level and plumb lines of a photo that leans, each off by at most the noise. */
    private static List<LevelLine> leaning(Cases c, int count, double lean, double noise) {
        List<LevelLine> lines = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double off = noise == 0 ? 0 : c.between(-noise, noise);
            double direction = lean + off + (i % 2 == 0 ? 0 : 90);
            lines.add(line(c.between(1200, 1800), c.between(300, 1700), direction, c.between(400, 900)));
        }
        return lines;
    }

    /** As much as most photos lean. */
    @Test
    void find_agreeingLines_givesTheTiltThatLevelsThem() {
        Cases.some(200).forEach(c -> {
            double lean = c.between(-4, 4);
            Finding finding = AutoLevel.find(leaning(c, 20, lean, 0.2), PHOTO);
            assertEquals(Optional.empty(), finding.refusal(), () -> "lean " + lean + ": " + finding);
            assertEquals(-lean, finding.tilt().degrees(), 0.2);
            assertFalse(finding.lines().isEmpty());
        });
    }

    /** More may be meant: it is not tilted by itself. */
    @Test
    void find_agreeingLinesThatLeanMuch_areOfferedOrAccepted_andTheTiltIsRight() {
        Cases.some(200).forEach(c -> {
            double lean = c.between(-9, 9);
            Finding finding = AutoLevel.find(leaning(c, 20, lean, 0.2), PHOTO);
            assertTrue(finding.accepted() || finding.offered(), () -> "lean " + lean + ": " + finding);
            assertEquals(-lean, finding.tilt().degrees(), 0.2);
        });
    }

    /** A house from below: uprights converge about the middle, and the photo is level. */
    @Test
    void find_convergingUprights_areNoLean() {
        Cases.some(100).forEach(c -> {
            double lean = c.between(-3, 3);
            double convergence = c.between(-25, 25);
            List<LevelLine> lines = new ArrayList<>();
            for (int i = 0; i < 24; i++) {
                double x = c.between(200, 2800);
                lines.add(line(
                        x, c.between(500, 1500), 90 + lean + convergence * (x - 1500) / 3000, c.between(400, 900)));
            }
            Finding finding = AutoLevel.find(lines, PHOTO);
            assertEquals(-lean, finding.tilt().degrees(), 0.3, () -> lean + ", " + convergence + ": " + finding);
        });
    }

    /** Planks, or a wall from the side: what is level in truth is where they would meet. */
    @Test
    void find_convergingHorizontalsAlone_areNotAccepted() {
        Cases.some(100).forEach(c -> {
            List<LevelLine> lines = new ArrayList<>();
            for (int i = 0; i < 24; i++) {
                double y = 100 + 75 * i;
                lines.add(line(c.between(1000, 2000), y, 3 + 35 * (y - 1000) / 3000, c.between(600, 1500)));
            }
            assertFalse(AutoLevel.find(lines, PHOTO).accepted());
        });
    }

    /** The same lines as uprights are what a camera sees that looks up. */
    @Test
    void find_convergingHorizontals_areBelievedLessThanConvergingUprights() {
        List<LevelLine> lying = new ArrayList<>();
        List<LevelLine> standing = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            double off = -0.3 + 0.6 * i / 23;
            lying.add(line(1500, 1000 + 3000 * off, 12 * off, 700));
            standing.add(line(1500 + 3000 * off, 1000, 90 + 12 * off, 700));
        }
        double believed = AutoLevel.find(lying, PHOTO).confidence();
        assertTrue(believed < 0.6 * AutoLevel.find(standing, PHOTO).confidence(), () -> "" + believed);
    }

    @Test
    void find_showsTheTwelveLongestOfTheLinesThatAgree() {
        List<LevelLine> lines = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            lines.add(line(1500, 100 + 90 * i, 1, 300 + 20 * i));
        }
        lines.add(line(1500, 1900, 9, 1400));
        List<LevelLine> shown = AutoLevel.find(lines, PHOTO).lines();
        assertEquals(12, shown.size());
        for (int i = 0; i < shown.size(); i++) {
            assertEquals(300 + 20 * (19 - i), shown.get(i).length(), 1e-6);
        }
    }

    @Test
    void find_mirrored_givesTheOppositeTilt() {
        Cases.some(50).forEach(c -> {
            List<LevelLine> lines = leaning(c, 8, c.between(-10, 10), 0.1);
            List<LevelLine> mirrored =
                    lines.stream().map(l -> l.turned(Turn.MIRROR, PHOTO)).toList();
            assertEquals(
                    -AutoLevel.find(lines, PHOTO).tilt().degrees(),
                    AutoLevel.find(mirrored, PHOTO).tilt().degrees(),
                    1e-6);
        });
    }

    @Test
    void find_withoutLines_refuses() {
        assertEquals(
                Optional.of(Refusal.FEW_LINES), AutoLevel.find(List.of(), PHOTO).refusal());
        assertEquals(
                Optional.of(Refusal.FEW_LINES),
                AutoLevel.find(List.of(line(1500, 1000, 1, 60)), PHOTO).refusal());
    }

    @Test
    void find_twoDirections_refusesAndSaysSo() {
        List<LevelLine> lines = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            lines.add(line(1500, 300 + 200 * i, 0, 800));
            lines.add(line(1500, 400 + 200 * i, 4, 780));
        }
        Finding finding = AutoLevel.find(lines, PHOTO);
        assertEquals(Optional.of(Refusal.RIVAL_DIRECTIONS), finding.refusal());
        assertTrue(finding.confidence() < AutoLevel.ENOUGH);
    }

    @Test
    void find_linesOfEveryDirection_refuses() {
        Cases.some(100).forEach(c -> {
            List<LevelLine> lines = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                lines.add(line(c.between(500, 2500), c.between(300, 1700), c.between(0, 180), c.between(80, 300)));
            }
            assertFalse(AutoLevel.find(lines, PHOTO).accepted());
        });
    }

    @Test
    void find_uprightsAtTheEdges_countLessThanInTheMiddle() {
        List<LevelLine> lines = List.of(
                line(80, 1000, 93, 900),
                line(2920, 1000, 93, 900),
                line(1500, 1000, 90, 900),
                line(1450, 1000, 90, 900));
        assertEquals(0, AutoLevel.find(lines, PHOTO).tilt().degrees(), 0.01);
    }

    @Test
    void averagedLines_countByLength() {
        List<LevelLine> lines = List.of(line(1000, 500, 2, 900), line(1000, 700, 92, 900), line(1000, 900, 5, 600));
        assertEquals(
                -(2 * 1800 + 5 * 600) / 2400.0,
                LevelLines.tilt(lines).orElseThrow().degrees(),
                0.02);
        assertEquals(Optional.empty(), LevelLines.tilt(List.of()));
    }

    @Test
    void averagedLines_aroundTheDiagonal_takeTheShortWay() {
        List<LevelLine> lines = List.of(line(1000, 500, 44, 500), line(1000, 700, 46, 500));
        assertEquals(45, Math.abs(LevelLines.tilt(lines).orElseThrow().degrees()), 1e-6);
    }

    @Test
    void turned_keepsLengthAndTurnsThePlaces() {
        LevelLine turned = line(100, 50, 0, 40).turned(Turn.CLOCKWISE, PHOTO);
        assertEquals(40, turned.length(), 1e-9);
        assertEquals(1950, turned.from().x(), 1e-9);
        assertTrue(turned.isPlumb());
    }
}
