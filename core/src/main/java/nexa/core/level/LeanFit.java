package nexa.core.level;

import java.util.List;

/**
 * The lean and the uprights' convergence that fit best to the segments near them: least squares, in rounds that trust ever
 * nearer ones.
 *
 * @param lean in degrees, positive = clockwise
 * @param convergence degrees for each long edge
 */
record LeanFit(double lean, double convergence) {
    /** Degrees, round by round: how far a segment may be off. */
    private static final double[] NEAR = {0.7, 0.5, 0.4};

    /** Segments farther off by so many of those don't count at all. */
    private static final double CUT = 1.5;

    /** Holds the convergence where hardly anything tells of it, of all weight. */
    private static final double STIFFNESS = 2e-4;

    LeanFit refined(List<LeanLine> lines) {
        LeanFit fit = this;
        for (double near : NEAR) {
            fit = fit.round(lines, near);
        }
        return Math.abs(fit.lean) <= LeanVotes.WIDEST ? fit : this;
    }

    private LeanFit round(List<LeanLine> lines, double near) {
        double weight = 0;
        double cross = 0;
        double square = 0;
        double leans = 0;
        double crossLeans = 0;
        for (LeanLine line : lines) {
            double off = line.off(lean, convergence) / near;
            if (Math.abs(off) >= CUT) {
                continue;
            }
            double w = line.weight() * Math.exp(-off * off / 2);
            double across = line.upright() ? line.across() : 0;
            weight += w;
            cross += w * across;
            square += w * across * across;
            leans += w * line.lean();
            crossLeans += w * across * line.lean();
        }
        if (weight == 0) {
            return this;
        }
        double stiff = square + STIFFNESS * weight;
        double determinant = weight * stiff - cross * cross;
        return new LeanFit(
                (leans * stiff - cross * crossLeans) / determinant,
                (weight * crossLeans - cross * leans) / determinant);
    }

    double off(LeanLine line) {
        return Math.abs(line.off(lean, convergence));
    }
}
