package nexa.core.level;

import java.util.List;

/**
 * Votes of segments for every lean and every convergence: uprights of a camera that looks up or down lean the more the
 * farther they are from the middle, horizontals of a wall seen from the side the farther they are from the horizon. A vote is
 * a bell as wide as a segment's own doubt (a kernel density estimate; B. W. Silverman, Density Estimation, 1986, ch. 2).
 */
final class LeanVotes {
    /** Photos lean by a few degrees; what leans more is meant or is not an upright. */
    static final double WIDEST = 15;

    static final double STEP = 0.1;
    static final int STEPS = (int) Math.round(2 * WIDEST / STEP) + 1;

    /** Degrees for each long edge. */
    private static final double MOST_CONVERGENCE = 40;

    private static final double CONVERGENCE_STEP = 4;
    private static final int CONVERGENCES = 2 * (int) (MOST_CONVERGENCE / CONVERGENCE_STEP) + 1;

    private static final double BELL = 0.3;

    /** Bells are cut off so far out, in bells. */
    private static final double CUT = 4;

    private final double[][] votes = new double[CONVERGENCES][STEPS];

    LeanVotes(List<LeanLine> lines) {
        for (LeanLine line : lines) {
            for (int c = 0; c < CONVERGENCES; c++) {
                add(votes[c], line.lean() - convergence(c) * line.across(), line.weight());
            }
        }
    }

    static double lean(int step) {
        return step * STEP - WIDEST;
    }

    static double convergence(int which) {
        return which * CONVERGENCE_STEP - MOST_CONVERGENCE;
    }

    private static void add(double[] votes, double lean, double weight) {
        int first = Math.max(0, (int) Math.ceil((lean - CUT * BELL + WIDEST) / STEP));
        int last = Math.min(STEPS - 1, (int) Math.floor((lean + CUT * BELL + WIDEST) / STEP));
        for (int step = first; step <= last; step++) {
            double off = (lean - lean(step)) / BELL;
            votes[step] += weight * Math.exp(-off * off / 2);
        }
    }

    /** For a lean, without convergence. */
    double straight(int step) {
        return votes[CONVERGENCES / 2][step];
    }

    /** Which convergence has most votes for a lean, likely ones counting more. */
    int best(int step, Likely likely) {
        int best = CONVERGENCES / 2;
        for (int c = 0; c < CONVERGENCES; c++) {
            if (votes[c][step] * likely.of(convergence(c)) > votes[best][step] * likely.of(convergence(best))) {
                best = c;
            }
        }
        return best;
    }

    double at(int convergence, int step) {
        return votes[convergence][step];
    }

    /** How likely a value is before anything was seen: a bell about 0, never less than its floor. */
    record Likely(double width, double floor) {
        /** Any value as much as any other. */
        static final Likely ALIKE = new Likely(1, 1);

        double of(double value) {
            double off = value / width;
            return floor + (1 - floor) * Math.exp(-off * off / 2);
        }
    }
}
