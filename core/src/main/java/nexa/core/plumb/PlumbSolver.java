package nexa.core.plumb;

import java.util.Arrays;
import java.util.List;
import nexa.core.geometry.LinearEquations;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Tilt;

/**
 * The camera's turn from lines along what is upright and what is level: least squares of their leans, each line counting by
 * its length (K. Levenberg, A method for the solution of certain non-linear problems in least squares, 1944). What the
 * lines leave open stays as of a camera held straight. Where the focal length is not known and lines of
 * both kinds tell it, it is found too.
 */
public final class PlumbSolver {
    private static final int STEPS = 40;
    private static final double NUDGE = 1e-6;

    /** How strongly the angles are held to none; far too weak to move what lines say. */
    private static final double HOLD = 1e-5;

    /** How strongly an unknown focal length is held to the usual one. */
    private static final double HOLD_FOCAL = 1e-3;

    private static final double LONGEST_FOCAL = 10;
    private static final double SHORTEST_FOCAL = 0.2;

    private final List<PlumbLine> lines;
    private final double focal;

    /** Of roll, pitch, yaw and focal length, those that the lines tell. */
    private final boolean[] told;

    /**
     * What lines come to.
     *
     * @param standing of the photo as the lines lie on it, with all of the turn undone
     * @param leans of each line, degrees, after that: how badly they agree
     */
    public record Solution(Standing standing, List<Double> leans) {
        public Solution {
            leans = List.copyOf(leans);
        }

        /** The root of the mean square of the leans, degrees. */
        public double residual() {
            return Math.sqrt(
                    leans.stream().mapToDouble(lean -> lean * lean).average().orElse(0));
        }
    }

    private PlumbSolver(List<PlumbLine> lines, double focal) {
        this.lines = lines;
        this.focal = focal > 0 ? focal : Plumb.USUAL_FOCAL;
        long uprights = lines.stream().filter(PlumbLine::upright).count();
        long levels = lines.size() - uprights;
        told = new boolean[] {
            true,
            uprights >= 2 || uprights == 1 && levels >= 2,
            levels >= 2 || levels == 1 && uprights >= 2,
            focal <= 0 && uprights >= 2 && levels >= 2
        };
    }

    /**
     * @param lines at least one
     * @param focal in long edges; 0 if not known
     */
    public static Solution solve(List<PlumbLine> lines, double focal) {
        return new PlumbSolver(lines, focal).solution(focal);
    }

    private Solution solution(double known) {
        double[] found = found();
        CameraTurn turn = turn(found);
        CameraTurn.Parts parts = turn.parts();
        double reckoned = focal(found);
        Mapping straight = turn.straight(reckoned);
        Plumb plumb = Plumb.of(Standing.angle(parts.pitch()), Standing.angle(parts.yaw()), told[3] ? reckoned : known);
        List<Double> leans =
                lines.stream().map(line -> Math.toDegrees(line.lean(straight))).toList();
        return new Solution(new Standing(plumb, Tilt.clamped(Math.toDegrees(parts.tilt()))), leans);
    }

    /** Roll, pitch, yaw, and the logarithm of the focal length against the usual one. */
    private double[] found() {
        double[] at = new double[4];
        double damping = 1e-3;
        double cost = cost(at);
        for (int step = 0; step < STEPS; step++) {
            double[] next = improved(at, damping);
            double nextCost = cost(next);
            if (nextCost < cost) {
                boolean done = cost - nextCost < 1e-14 * cost;
                at = next;
                cost = nextCost;
                damping = Math.max(1e-9, damping / 5);
                if (done) {
                    break;
                }
            } else {
                damping *= 5;
            }
        }
        return at;
    }

    private static CameraTurn turn(double[] at) {
        return new CameraTurn(at[0], at[1], at[2]);
    }

    private double focal(double[] at) {
        return told[3] ? Math.clamp(focal * Math.exp(at[3]), SHORTEST_FOCAL, LONGEST_FOCAL) : focal;
    }

    private double cost(double[] at) {
        double cost = 0;
        for (double residual : residuals(at)) {
            cost += residual * residual;
        }
        return cost;
    }

    private double[] residuals(double[] at) {
        double[] residuals = new double[lines.size() + at.length];
        Mapping straight = turn(at).straight(focal(at));
        for (int i = 0; i < lines.size(); i++) {
            PlumbLine line = lines.get(i);
            residuals[i] = Math.sqrt(line.length()) * line.lean(straight);
        }
        for (int i = 0; i < at.length; i++) {
            residuals[lines.size() + i] = (i == 3 ? HOLD_FOCAL : HOLD) * at[i];
        }
        return residuals;
    }

    private double[] improved(double[] at, double damping) {
        int n = at.length;
        double[] here = residuals(at);
        double[][] slopes = new double[n][];
        for (int i = 0; i < n; i++) {
            double[] nudged = at.clone();
            nudged[i] += told[i] ? NUDGE : 0;
            slopes[i] = residuals(nudged);
            for (int j = 0; j < here.length; j++) {
                slopes[i][j] = (slopes[i][j] - here[j]) / NUDGE;
            }
        }
        double[][] normal = new double[n][n + 1];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                normal[i][j] = i == j && !told[i] ? 1 : dot(slopes[i], slopes[j]) * (i == j ? 1 + damping : 1);
            }
            normal[i][n] = -dot(slopes[i], here);
        }
        double[] step = LinearEquations.solved(normal);
        double[] next = at.clone();
        Arrays.setAll(next, i -> at[i] + step[i]);
        return next;
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
