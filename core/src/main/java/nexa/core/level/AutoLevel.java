package nexa.core.level;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.level.LeanVotes.Likely;

/**
 * Decides from line evidence how a photo leans, or that the evidence does not say.
 *
 * <p>Horizontals and uprights vote apart: uprights may converge evenly across the picture, as they do where the camera looks
 * up, so perspective is not taken for a lean; horizontals that converge tell of a wall seen from the side and not of a lean.
 * Small leans are likelier than large ones. The lean with most votes is refined by least squares, and believed as far as
 * photographs with such evidence turned out right ({@link LeanEvidence}).
 */
public final class AutoLevel {
    /** Findings of this confidence are accepted: of those on real photographs 19 of 20 lie within a third of a degree. */
    public static final double ENOUGH = 0.58;

    /** Findings of this confidence are shown, to be taken or not. */
    public static final double WORTH_SHOWING = 0.25;

    private static final Likely LEAN = new Likely(4.5, 0.15);
    private static final Likely CONVERGENCE = new Likely(18, 0);

    /** Degrees from the best lean from which on another one is a rival. */
    private static final double RIVAL = 1;

    /** Of the best one's votes: nearer ones are named as the reason. */
    private static final double NEAR_RIVAL = 0.6;

    private static final double FEW_VOTES = 0.15;
    private static final int MOST_LINES = 12;

    private final List<LeanLine> lines;
    private final LeanVotes uprights;
    private final LeanVotes horizontals;
    private final double[] scores = new double[LeanVotes.STEPS];

    private AutoLevel(List<LeanLine> lines) {
        this.lines = lines;
        uprights = new LeanVotes(lines.stream().filter(LeanLine::upright).toList());
        horizontals =
                new LeanVotes(lines.stream().filter(line -> !line.upright()).toList());
        for (int step = 0; step < scores.length; step++) {
            scores[step] = (standing(step) + horizontals.straight(step)) * LEAN.of(LeanVotes.lean(step));
        }
    }

    /**
     * The lean of a photo.
     *
     * @param lines segments in upright pixels, of any direction
     * @param upright the photo's size
     */
    public static Finding find(List<LevelLine> lines, PixelSize upright) {
        return new AutoLevel(
                        lines.stream().map(line -> LeanLine.of(line, upright)).toList())
                .found();
    }

    /** Votes of the uprights. */
    private double standing(int step) {
        int which = uprights.best(step, CONVERGENCE);
        return uprights.at(which, step) * CONVERGENCE.of(LeanVotes.convergence(which));
    }

    private Finding found() {
        int best = best();
        if (scores[best] == 0) {
            return new Finding(Tilt.NONE, 0, Optional.of(Refusal.FEW_LINES), List.of());
        }
        double convergence = LeanVotes.convergence(uprights.best(best, CONVERGENCE));
        LeanFit fit = new LeanFit(LeanVotes.lean(best), convergence).refined(lines);
        double rival = rival(best) / scores[best];
        double votes = standing(best) + horizontals.straight(best);
        LeanEvidence evidence = LeanEvidence.of(lines, fit, votes, 1 - rival, parallel(best));
        double confidence = evidence.confidence();
        return new Finding(
                new Tilt(-Math.clamp(fit.lean(), -LeanVotes.WIDEST, LeanVotes.WIDEST)),
                confidence,
                refusal(confidence, votes, rival),
                proof(fit));
    }

    /** Of equal ones that nearest to none. */
    private int best() {
        int best = LeanVotes.STEPS / 2;
        for (int step = 0; step < scores.length; step++) {
            boolean nearer = Math.abs(LeanVotes.lean(step)) < Math.abs(LeanVotes.lean(best));
            if (scores[step] > scores[best] || scores[step] == scores[best] && nearer) {
                best = step;
            }
        }
        return best;
    }

    private double rival(int best) {
        double most = 0;
        for (int step = 0; step < scores.length; step++) {
            if (Math.abs(LeanVotes.lean(step) - LeanVotes.lean(best)) > RIVAL) {
                most = Math.max(most, scores[step]);
            }
        }
        return most;
    }

    private double parallel(int best) {
        double straight = horizontals.straight(best);
        return straight > standing(best) ? straight / horizontals.at(horizontals.best(best, Likely.ALIKE), best) : 1;
    }

    private static Optional<Refusal> refusal(double confidence, double votes, double rival) {
        if (confidence >= ENOUGH) {
            return Optional.empty();
        }
        if (votes < FEW_VOTES) {
            return Optional.of(Refusal.FEW_LINES);
        }
        return Optional.of(rival > NEAR_RIVAL ? Refusal.RIVAL_DIRECTIONS : Refusal.SCATTERED);
    }

    /** The segments that speak for the lean, strongest first. */
    private List<LevelLine> proof(LeanFit fit) {
        return lines.stream()
                .filter(line -> fit.off(line) < LeanEvidence.AGREES)
                .sorted(Comparator.comparingDouble(LeanLine::weight).reversed())
                .limit(MOST_LINES)
                .map(LeanLine::line)
                .toList();
    }
}
