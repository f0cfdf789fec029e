package nexa.core.plumb;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a wall's own lines say of the camera, and what they leave open. */
class AutoPlumbTest {
    private static final double FOCAL = 0.9;

    /** What a camera held so sees of a wall's uprights at these places, and of its levels. */
    private static List<PlumbLine> wall(CameraTurn held, List<Double> uprights, List<Double> levels) {
        Mapping seen = held.straight(FOCAL).inverse();
        List<PlumbLine> lines = new ArrayList<>();
        for (double x : uprights) {
            lines.add(new PlumbLine(seen.apply(new Point(x, -0.2)), seen.apply(new Point(x, 0.22)), true));
        }
        for (double y : levels) {
            lines.add(new PlumbLine(seen.apply(new Point(-0.3, y)), seen.apply(new Point(0.28, y)), false));
        }
        return lines;
    }

    private static CameraTurn held(double roll, double pitch, double yaw) {
        return new CameraTurn(Math.toRadians(roll), Math.toRadians(pitch), Math.toRadians(yaw));
    }

    @ParameterizedTest
    @CsvSource({"0, 12", "2, -9", "-3, 18", "1.5, 4"})
    void uprightsApart_tellPitchAndRoll(double roll, double pitch) {
        CameraTurn held = held(roll, pitch, 0);
        PlumbFinding finding = AutoPlumb.find(wall(held, List.of(-0.35, -0.12, 0.1, 0.3), List.of()), FOCAL);
        assertEquals(Optional.empty(), finding.refusal(), finding::toString);
        CameraTurn.Parts parts = held.parts();
        assertEquals(Math.toDegrees(parts.pitch()), finding.standing().plumb().pitch(), 0.05);
        assertEquals(Math.toDegrees(parts.tilt()), finding.standing().tilt().degrees(), 0.05);
        assertEquals(FOCAL, finding.standing().plumb().focal());
        assertTrue(finding.confidence() >= AutoPlumb.ENOUGH && finding.confidence() <= 1);
        assertEquals(4, finding.lines().size());
    }

    @Test
    void levelsThatAgree_tellTheYawToo() {
        CameraTurn held = held(1, 8, 10);
        PlumbFinding finding =
                AutoPlumb.find(wall(held, List.of(-0.3, -0.1, 0.15, 0.32), List.of(-0.18, -0.05, 0.1, 0.2)), FOCAL);
        assertTrue(finding.accepted(), finding::toString);
        CameraTurn.Parts parts = held.parts();
        assertEquals(Math.toDegrees(parts.yaw()), finding.standing().plumb().yaw(), 0.1);
        assertEquals(Math.toDegrees(parts.pitch()), finding.standing().plumb().pitch(), 0.1);
        assertEquals(8, finding.lines().size());
        assertTrue(
                finding.lines().getFirst().length() >= finding.lines().getLast().length(), "longest first");
    }

    @Test
    void levelsOfSeveralWalls_leaveTheYawAlone() {
        List<PlumbLine> lines = new ArrayList<>(wall(held(0, 8, 0), List.of(-0.3, -0.1, 0.15, 0.32), List.of()));
        for (int lean = -18; lean <= 18; lean += 4) {
            Point middle = new Point(lean / 60.0, lean / 100.0);
            Point half = new Point(Math.cos(Math.toRadians(lean)), Math.sin(Math.toRadians(lean))).times(0.08);
            lines.add(new PlumbLine(middle.minus(half), middle.plus(half), false));
        }
        PlumbFinding finding = AutoPlumb.find(lines, FOCAL);
        assertTrue(finding.accepted(), finding::toString);
        assertEquals(0, finding.standing().plumb().yaw(), 0.3);
        assertTrue(finding.lines().stream().allMatch(PlumbLine::upright));
    }

    @Test
    void aLineThatAgreesWorst_isLeftOut() {
        CameraTurn held = held(0, 10, 0);
        List<PlumbLine> lines = new ArrayList<>(wall(held, List.of(-0.35, -0.2, -0.05, 0.1, 0.25, 0.38), List.of()));
        Point foot = new Point(0.02, 0.25);
        lines.add(new PlumbLine(new Point(0.02 + 0.1 * Math.tan(Math.toRadians(0.6)), 0.15), foot, true));
        PlumbFinding finding = AutoPlumb.find(lines, FOCAL);
        assertTrue(finding.accepted());
        assertEquals(6, finding.lines().size(), "only the wall's own");
        assertEquals(10, finding.standing().plumb().pitch(), 0.02);
    }

    @Test
    void withoutLines_orWithTooFew_nothingIsSaid() {
        PlumbFinding none = AutoPlumb.find(List.of(), FOCAL);
        assertEquals(Optional.of(PlumbRefusal.FEW_UPRIGHTS), none.refusal());
        assertEquals(Standing.NONE, none.standing());
        assertEquals(0, none.confidence());
        Mapping seen = held(0, 10, 0).straight(FOCAL).inverse();
        List<PlumbLine> few = List.of(
                new PlumbLine(seen.apply(new Point(-0.3, 0)), seen.apply(new Point(-0.3, 0.1)), true),
                new PlumbLine(seen.apply(new Point(0.3, 0)), seen.apply(new Point(0.3, 0.1)), true));
        assertEquals(
                Optional.of(PlumbRefusal.FEW_UPRIGHTS),
                AutoPlumb.find(few, FOCAL).refusal());
    }

    @Test
    void uprightsAtOnePlace_doNotTellAPitchFromARoll() {
        PlumbFinding finding =
                AutoPlumb.find(wall(held(0, 10, 0), List.of(0.28, 0.29, 0.3, 0.31, 0.32), List.of()), FOCAL);
        assertEquals(Optional.of(PlumbRefusal.ONE_PLACE), finding.refusal(), finding::toString);
        assertFalse(finding.accepted());
    }

    @Test
    void twoWallsThatSayUnlikeThings_areRivals() {
        List<PlumbLine> lines = new ArrayList<>(wall(held(0, 14, 0), List.of(-0.35, -0.1, 0.12, 0.35), List.of()));
        lines.addAll(wall(held(0, -14, 0), List.of(-0.37, -0.13, 0.1, 0.33), List.of()));
        assertEquals(
                Optional.of(PlumbRefusal.RIVAL_TURNS),
                AutoPlumb.find(lines, FOCAL).refusal());
    }

    @Test
    void whatStandsAlready_isLeftAsItIs() {
        PlumbFinding finding =
                AutoPlumb.find(wall(held(0, 0.1, 0), List.of(-0.35, -0.1, 0.12, 0.35), List.of()), FOCAL);
        assertEquals(Optional.of(PlumbRefusal.PLUMB_ALREADY), finding.refusal());
        assertTrue(finding.confidence() >= AutoPlumb.ENOUGH);
    }

    @Test
    void linesThatLeanFar_areNoUprights() {
        List<PlumbLine> leaning = new ArrayList<>();
        for (double x : new double[] {-0.3, -0.1, 0.1, 0.3}) {
            leaning.add(new PlumbLine(new Point(x, -0.2), new Point(x + 0.2, 0.2), true)); // by 27 degrees
        }
        assertEquals(
                Optional.of(PlumbRefusal.FEW_UPRIGHTS),
                AutoPlumb.find(leaning, FOCAL).refusal());
        assertEquals(List.of(), AutoPlumb.find(leaning, FOCAL).lines());
    }

    @Test
    void anUnknownFocalLength_staysUnknown() {
        PlumbFinding finding = AutoPlumb.find(wall(held(0, 10, 0), List.of(-0.35, -0.1, 0.12, 0.35), List.of()), 0);
        assertTrue(finding.accepted());
        assertEquals(0, finding.standing().plumb().focal());
    }
}
