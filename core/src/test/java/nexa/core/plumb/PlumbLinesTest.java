package nexa.core.plumb;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.Cases;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import org.junit.jupiter.api.Test;

class PlumbLinesTest {
    private static final double REACH = 0.6;

    /** What a camera held so sees of a line on a wall right before it. */
    private static Optional<PlumbLine> seen(CameraTurn held, double focal, Point from, Point to, boolean upright) {
        CameraTurn.Parts parts = held.parts();
        Mapping undone = Plumb.of(Math.toDegrees(parts.pitch()), Math.toDegrees(parts.yaw()), focal)
                .mapping(REACH)
                .then(Affine.rotation(new Tilt(Math.toDegrees(parts.tilt()))));
        Point a = undone.inverse().apply(from);
        Point b = undone.inverse().apply(to);
        return Math.max(a.length(), b.length()) < 0.8 && a.distance(b) > 0.05
                ? Optional.of(new PlumbLine(a, b, upright))
                : Optional.empty();
    }

    private static List<PlumbLine> wall(Cases c, CameraTurn held, double focal, int uprights, int levels) {
        List<PlumbLine> lines = new ArrayList<>();
        for (int tries = 0; tries < 1000 && lines.size() < uprights + levels; tries++) {
            boolean upright = lines.size() < uprights;
            Point from = new Point(c.between(-0.5, 0.5), c.between(-0.35, 0.35));
            double length = c.between(0.2, 0.5);
            Point to = upright ? new Point(from.x(), from.y() + length) : new Point(from.x() + length, from.y());
            seen(held, focal, from, to, upright)
                    .filter(line -> lines.stream().allMatch(other -> apart(line, other)))
                    .ifPresent(lines::add);
        }
        return lines;
    }

    private static boolean apart(PlumbLine one, PlumbLine other) {
        return one.upright() != other.upright()
                || Math.abs(
                                one.upright()
                                        ? one.from().x() - other.from().x()
                                        : one.from().y() - other.from().y())
                        > 0.15;
    }

    private static CameraTurn held(Cases c, double most) {
        return new CameraTurn(
                Math.toRadians(c.between(-4, 4)),
                Math.toRadians(c.between(-most, most)),
                Math.toRadians(c.between(-most, most)));
    }

    @Test
    void uprightsAndLevels_tellTheWholeTurn() {
        Cases.some(300).forEach(c -> {
            double focal = c.between(0.7, 1.5);
            CameraTurn held = held(c, 15);
            List<PlumbLine> lines = wall(c, held, focal, 2, 2);
            if (lines.size() == 4) {
                PlumbSolver.Solution solution = PlumbSolver.solve(lines, focal);
                CameraTurn.Parts parts = held.parts();
                assertEquals(
                        Math.toDegrees(parts.pitch()),
                        solution.standing().plumb().pitch(),
                        0.02);
                assertEquals(
                        Math.toDegrees(parts.yaw()), solution.standing().plumb().yaw(), 0.02);
                assertEquals(
                        Math.toDegrees(parts.tilt()), solution.standing().tilt().degrees(), 0.02);
                assertTrue(solution.residual() < 0.01, solution::toString);
            }
        });
    }

    @Test
    void uprightsAlone_areMadeUpright_andTheCameraIsNotTurnedAside() {
        Cases.some(300).forEach(c -> {
            CameraTurn held = new CameraTurn(Math.toRadians(c.between(-4, 4)), Math.toRadians(c.between(-15, 15)), 0);
            List<PlumbLine> lines = wall(c, held, 1, 2, 0);
            if (lines.size() == 2) {
                PlumbSolver.Solution solution = PlumbSolver.solve(lines, 1);
                CameraTurn.Parts parts = held.parts();
                assertEquals(
                        Math.toDegrees(parts.pitch()),
                        solution.standing().plumb().pitch(),
                        0.05);
                assertEquals(
                        Math.toDegrees(parts.yaw()), solution.standing().plumb().yaw(), 0.05);
                assertTrue(solution.residual() < 0.01, solution::toString);
            }
        });
    }

    @Test
    void fourLinesOfAFacade_withoutAFocalLength_areMadeARectangle() {
        Cases.some(300).forEach(c -> {
            List<PlumbLine> lines = wall(c, held(c, 20), c.between(0.6, 1.2), 2, 2);
            if (lines.size() == 4) {
                PlumbSolver.Solution solution = PlumbSolver.solve(lines, 0);
                assertTrue(solution.residual() < 0.3, () -> solution + " " + lines);
            }
        });
    }

    @Test
    void auto_ofAWall_isRightWhereItIsAccepted_amongOtherLines() {
        int[] accepted = new int[1];
        Cases.some(60).forEach(c -> {
            CameraTurn held = new CameraTurn(Math.toRadians(c.between(-3, 3)), Math.toRadians(c.between(-20, 20)), 0);
            List<PlumbLine> lines = new ArrayList<>(wall(c, held, 0.8, 5, 0));
            for (int i = 0; i < 30; i++) {
                Point from = new Point(c.between(-0.5, 0.5), c.between(-0.3, 0.3));
                Point along = new Point(c.between(-0.03, 0.03), c.between(0.02, 0.06));
                lines.add(new PlumbLine(from, from.plus(along), true));
            }
            PlumbFinding finding = AutoPlumb.find(lines, 0.8);
            if (finding.accepted()) {
                accepted[0]++;
                CameraTurn.Parts parts = held.parts();
                assertEquals(
                        Math.toDegrees(parts.pitch()),
                        finding.standing().plumb().pitch(),
                        0.5,
                        finding::toString);
                assertEquals(
                        Math.toDegrees(parts.tilt()), finding.standing().tilt().degrees(), 0.5, finding::toString);
            }
        });
        assertTrue(accepted[0] > Cases.of(30), () -> "only " + accepted[0]);
    }

    @Test
    void standing_foundOnATurnedPhoto_isTheSameOnThePhotoAsShot() {
        Cases.some(200).forEach(c -> {
            Turn turn = c.turn();
            Standing found =
                    new Standing(Plumb.of(c.between(-15, 15), c.between(-15, 15), 0.9), new Tilt(c.between(-5, 5)));
            Standing kept = found.before(turn);
            Point at = new Point(c.between(-0.3, 0.3), c.between(-0.3, 0.3));
            Mapping onTurned =
                    Affine.of(turn).then(found.plumb().mapping(REACH)).then(Affine.rotation(found.tilt()));
            Mapping before = kept.plumb().mapping(REACH).then(Affine.of(turn)).then(Affine.rotation(kept.tilt()));
            assertEquals(0, onTurned.apply(at).distance(before.apply(at)), 1e-9);
            Plumb seen = found.plumb();
            assertEquals(seen, seen.before(turn).after(turn));
        });
    }

    @Test
    void auto_withoutUprights_refuses() {
        assertEquals(
                Optional.of(PlumbRefusal.FEW_UPRIGHTS),
                AutoPlumb.find(List.of(), 1).refusal());
        PlumbLine one = new PlumbLine(new Point(0, -0.2), new Point(0.05, 0.2), true);
        assertFalse(AutoPlumb.find(List.of(one), 1).accepted());
    }

    @Test
    void lean_isTheSameWhicheverEndWasDrawnFirst_andItsTangentIsTheSlope() {
        Point middle = new Point(0.1, -0.05);
        for (double degrees : new double[] {-40, -3, 0, 2, 40, 89}) {
            double lean = Math.toRadians(degrees);
            Point along = new Point(Math.cos(lean), Math.sin(lean)).times(0.2);
            Point down = new Point(-along.y(), along.x());
            for (double way : new double[] {1, -1}) {
                assertEquals(lean, line(middle, along.times(way), false).lean(Affine.IDENTITY), 1e-12);
                assertEquals(lean, line(middle, down.times(way), true).lean(Affine.IDENTITY), 1e-12);
                for (PlumbLine each :
                        List.of(line(middle, along.times(way), false), line(middle, down.times(way), true))) {
                    assertEquals(lean, Math.atan(each.slope(Affine.IDENTITY)), 1e-12);
                }
            }
        }
    }

    private static PlumbLine line(Point middle, Point half, boolean upright) {
        return new PlumbLine(middle.minus(half), middle.plus(half), upright);
    }
}
