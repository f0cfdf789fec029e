package nexa.core.plumb;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;

/**
 * Decides from line evidence how a camera was pitched and rolled, and turned to the side of a wall, or that the evidence
 * does not say.
 *
 * <p>For every pitch and roll on a grid the segments that would then stand upright vote, by their length and by how nearly
 * they do. The turn with most votes is refined by least squares of the segments that speak for it. It is believed as far as
 * there are enough of them, they do not all stand in one place, and no other turn comes near. Of the yaw only what is
 * level in most of the picture tells; where walls run in several directions it is left alone.
 */
public final class AutoPlumb {
    /** Findings below this confidence are refused. */
    public static final double ENOUGH = 0.6;

    private static final double MOST_PITCH = Math.toRadians(30);
    private static final double MOST_ROLL = Math.toRadians(8);
    private static final double MOST_YAW = Math.toRadians(20);
    private static final double STEP = Math.toRadians(0.5);

    /** Segments that lean more are not taken for uprights, or levels, at all. */
    private static final double WIDEST = Math.toRadians(25);

    /** A segment shows a lean to about this much. */
    private static final double BELL = Math.toRadians(0.35);

    /** Slopes from which on nothing of the bell is left. */
    private static final double FARTHEST = Math.tan(4 * BELL);

    private static final double AGREES = 2 * BELL;
    private static final double RIVAL = Math.toRadians(3);

    /** So much length in uprights, of the long edge, is plenty. */
    private static final double PLENTY = 0.7;

    /** Longer segments count as this long: one line alone is not proof. */
    private static final double LONGEST = 0.5;

    /** So far apart, as a standard deviation in long edges, uprights tell a pitch from a roll. */
    private static final double APART = 0.1;

    /** Turns smaller than this nobody sees. */
    private static final double NOTHING = Math.toRadians(0.25);

    /** A yaw needs this share of the level evidence around it. */
    private static final double MOSTLY = 0.5;

    private static final int MOST_LINES = 24;

    /** How often lines that agree worst are left out. */
    private static final int ROUNDS = 3;

    /** Times the median lean. */
    private static final double USUALLY = 2;

    /** Degrees that any line may differ by. */
    private static final double LEAST_DIFFERENCE = 0.05;

    private final List<PlumbLine> uprights;
    private final List<PlumbLine> levels;
    private final double focal;

    private AutoPlumb(List<PlumbLine> lines, double focal) {
        this.focal = focal > 0 ? focal : Plumb.USUAL_FOCAL;
        uprights = near(lines, true);
        levels = near(lines, false);
    }

    /** Those that do not lean too much to be meant. */
    private static List<PlumbLine> near(List<PlumbLine> lines, boolean upright) {
        return lines.stream()
                .filter(line -> line.upright() == upright && Math.abs(line.lean(Affine.IDENTITY)) <= WIDEST)
                .toList();
    }

    /**
     * How the camera was turned.
     *
     * @param lines segments of any direction, those nearer to upright marked so
     * @param focal in long edges; 0 if not known
     */
    public static PlumbFinding find(List<PlumbLine> lines, double focal) {
        return new AutoPlumb(lines, focal).found(focal);
    }

    private PlumbFinding found(double known) {
        List<Voted> all = votes();
        Voted first = all.stream().max(Comparator.comparingDouble(Voted::votes)).orElseThrow();
        CameraTurn coarse = first.turn;
        double lead = first.votes == 0 ? 0 : 1 - rival(all, coarse) / first.votes;
        List<PlumbLine> speaking = speaking(uprights, coarse);
        double evidence = 1 - Math.exp(-length(speaking) / PLENTY);
        double apart = Math.min(1, spread(speaking) / APART);
        List<PlumbLine> proof = new ArrayList<>(speaking);
        if (!speaking.isEmpty()) {
            proof.addAll(levelProof(turnOf(speaking, known)));
        }
        if (proof.isEmpty()) {
            return new PlumbFinding(Standing.NONE, 0, Optional.of(PlumbRefusal.FEW_UPRIGHTS), List.of());
        }
        PlumbSolver.Solution solution = settled(proof, known > 0 ? known : focal);
        Plumb plumb = solution.standing().plumb().withFocal(known);
        double inside =
                Math.abs(coarse.pitch()) < MOST_PITCH - RIVAL ? 1 : 0; // at the grid's edge there may be more beyond
        double confidence = inside * evidence * apart * Math.sqrt(Math.max(0, lead));
        boolean nothing = Math.toRadians(Math.hypot(plumb.pitch(), plumb.yaw())) < NOTHING;
        return new PlumbFinding(
                new Standing(plumb, solution.standing().tilt()),
                confidence,
                refusal(confidence, evidence, apart, nothing),
                proof.stream()
                        .sorted(Comparator.comparingDouble(PlumbLine::length).reversed())
                        .limit(MOST_LINES)
                        .toList());
    }

    /** Solved without the lines that agree worst with the others: edges of something else that lie nearly so. */
    private static PlumbSolver.Solution settled(List<PlumbLine> proof, double focal) {
        PlumbSolver.Solution solution = PlumbSolver.solve(proof, focal);
        for (int round = 0; round < ROUNDS; round++) {
            List<Double> leans = solution.leans();
            double usual = leans.stream()
                    .mapToDouble(Math::abs)
                    .sorted()
                    .skip(leans.size() / 2)
                    .findFirst()
                    .orElse(0);
            double most = Math.max(LEAST_DIFFERENCE, USUALLY * usual);
            List<PlumbLine> agreeing = new ArrayList<>();
            for (int i = 0; i < proof.size(); i++) {
                if (Math.abs(leans.get(i)) <= most) {
                    agreeing.add(proof.get(i));
                }
            }
            proof.retainAll(agreeing);
            solution = PlumbSolver.solve(proof, focal);
        }
        return solution;
    }

    private static Optional<PlumbRefusal> refusal(double confidence, double evidence, double apart, boolean nothing) {
        if (confidence >= ENOUGH) {
            return nothing ? Optional.of(PlumbRefusal.PLUMB_ALREADY) : Optional.empty();
        }
        if (evidence < ENOUGH) {
            return Optional.of(PlumbRefusal.FEW_UPRIGHTS);
        }
        return Optional.of(apart < ENOUGH ? PlumbRefusal.ONE_PLACE : PlumbRefusal.RIVAL_TURNS);
    }

    // ---- pitch and roll ----

    private record Voted(CameraTurn turn, double votes) {}

    /** Of the uprights, for every turn on the grid. */
    private List<Voted> votes() {
        return grid().stream()
                .map(turn -> new Voted(turn, votes(uprights, turn)))
                .toList();
    }

    private static List<CameraTurn> grid() {
        int pitches = (int) Math.round(MOST_PITCH / (2 * STEP));
        int rolls = (int) Math.round(MOST_ROLL / STEP);
        List<CameraTurn> turns = new ArrayList<>();
        for (int pitch = -pitches; pitch <= pitches; pitch++) {
            for (int roll = -rolls; roll <= rolls; roll++) {
                turns.add(new CameraTurn(roll * STEP, pitch * 2 * STEP, 0));
            }
        }
        return turns;
    }

    /** The votes of the turn that comes nearest, of those that are another turn. */
    private static double rival(List<Voted> all, CameraTurn best) {
        return all.stream()
                .filter(each -> Math.abs(each.turn.pitch() - best.pitch()) > 2 * RIVAL
                        || Math.abs(each.turn.roll() - best.roll()) > RIVAL)
                .mapToDouble(Voted::votes)
                .max()
                .orElse(0);
    }

    private double votes(List<PlumbLine> lines, CameraTurn turn) {
        Mapping straight = turn.straight(focal);
        double votes = 0;
        for (PlumbLine line : lines) {
            double slope = line.slope(straight);
            if (Math.abs(slope) < FARTHEST) { // most lines are farther off, and an angle takes long
                double off = Math.atan(slope) / BELL;
                votes += weight(line) * Math.exp(-off * off / 2);
            }
        }
        return votes;
    }

    private static double weight(PlumbLine line) {
        return Math.min(LONGEST, line.length());
    }

    private List<PlumbLine> speaking(List<PlumbLine> lines, CameraTurn turn) {
        Mapping straight = turn.straight(focal);
        return lines.stream()
                .filter(line -> Math.abs(line.lean(straight)) <= AGREES)
                .toList();
    }

    private static double length(List<PlumbLine> lines) {
        return lines.stream().mapToDouble(AutoPlumb::weight).sum();
    }

    /** How far apart lines stand, in long edges: the standard deviation of their middles, to the side. */
    private static double spread(List<PlumbLine> lines) {
        double weight = length(lines);
        double mean = 0;
        for (PlumbLine line : lines) {
            mean += weight(line) * middle(line).x() / weight;
        }
        double square = 0;
        for (PlumbLine line : lines) {
            double off = middle(line).x() - mean;
            square += weight(line) * off * off / weight;
        }
        return Math.sqrt(square);
    }

    private static Point middle(PlumbLine line) {
        return line.from().plus(line.to()).times(0.5);
    }

    // ---- yaw ----

    private CameraTurn turnOf(List<PlumbLine> speaking, double known) {
        PlumbSolver.Solution solution = PlumbSolver.solve(speaking, known > 0 ? known : focal);
        return new CameraTurn(
                Math.toRadians(solution.standing().tilt().degrees()),
                Math.toRadians(solution.standing().plumb().pitch()),
                0);
    }

    /** The level lines that agree on a yaw, if most do; else none. */
    private List<PlumbLine> levelProof(CameraTurn upright) {
        CameraTurn best = upright;
        double most = 0;
        for (double yaw = -MOST_YAW; yaw <= MOST_YAW; yaw += STEP) {
            CameraTurn turned = new CameraTurn(upright.roll(), upright.pitch(), yaw);
            double votes = votes(levels, turned);
            if (votes > most) {
                most = votes;
                best = turned;
            }
        }
        List<PlumbLine> speaking = speaking(levels, best);
        boolean enough = length(speaking) >= MOSTLY * length(levels) && length(speaking) >= PLENTY / 2;
        return enough ? speaking : List.of();
    }
}
