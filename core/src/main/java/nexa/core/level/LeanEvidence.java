package nexa.core.level;

import java.util.List;

/**
 * What speaks for a lean, as figures, and how sure that makes it: a logistic regression on photographs nobody here made, each
 * turned by known angles (see {@code docs/benchmarks.md}, Automatic level); a confidence of 0.8 should be right four times of
 * five.
 *
 * @param votes for it, whatever its likelihood
 * @param lead over what comes nearest, 0 to 1
 * @param lean in degrees
 * @param length of the segments that agree, in long edges
 * @param parallel votes of horizontals without convergence, of those with any; 1 where uprights say more
 * @param spread how far apart they stand: a standard deviation in long edges
 * @param count of them, or how long and how agreed the longest are, as a share of plenty
 */
record LeanEvidence(
        double votes, double lead, double lean, double length, double parallel, double spread, double count) {
    /** Degrees from a lean within which a segment agrees with it. */
    static final double AGREES = 0.5;

    private static final double NARROW = 0.35;
    private static final double AROUND = 2;
    private static final int PLENTY = 30;

    static LeanEvidence of(List<LeanLine> lines, LeanFit fit, double votes, double lead, double parallel) {
        List<LeanLine> agreeing =
                lines.stream().filter(line -> fit.off(line) < AGREES).toList();
        double around = weight(lines, fit, AROUND);
        double agreement = around == 0 ? 0 : weight(lines, fit, NARROW) / around;
        double longest = agreeing.stream().mapToDouble(LeanLine::length).max().orElse(0);
        return new LeanEvidence(
                votes,
                lead,
                fit.lean(),
                agreeing.stream().mapToDouble(LeanLine::length).sum(),
                parallel,
                spread(agreeing),
                Math.min(1, Math.max((double) agreeing.size() / PLENTY, 4 * agreement * longest)));
    }

    private static double weight(List<LeanLine> lines, LeanFit fit, double within) {
        return lines.stream()
                .filter(line -> fit.off(line) < within)
                .mapToDouble(LeanLine::weight)
                .sum();
    }

    private static double spread(List<LeanLine> lines) {
        double weight = 0;
        double sum = 0;
        double squares = 0;
        for (LeanLine line : lines) {
            weight += line.weight();
            sum += line.weight() * line.across();
            squares += line.weight() * line.across() * line.across();
        }
        return weight == 0 ? 0 : Math.sqrt(Math.max(0, squares / weight - sum / weight * (sum / weight)));
    }

    /** 0 to 1. */
    double confidence() {
        double usual = lean / 4; // most photos lean by less
        double sum = -7.812
                + 0.334 * Math.log(votes + 0.03)
                + 1.176 * lead
                - 0.440 * Math.min(4, usual * usual)
                + 0.339 * Math.log(length + 0.1)
                + 3.782 * Math.min(1, parallel)
                + 2.736 * Math.min(0.3, spread)
                + 3.341 * count;
        return 1 / (1 + Math.exp(-sum));
    }
}
