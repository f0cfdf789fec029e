package nexa.core.level;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;

/**
 * Decides from line evidence how a photo leans, or that the evidence does not say.
 *
 * <p>Every segment votes for the lean it shows, by its length; a segment shows a lean only to a quarter of a degree, so a
 * vote is a bell of that width (a kernel density estimate; B. W. Silverman, Density Estimation, 1986, ch. 2). Uprights
 * far from the photo's middle lean by perspective, so they count less. The highest peak is the lean. It is believed as
 * far as three things hold: there is enough evidence, no rival peak comes near, and the votes around it agree.
 */
public final class AutoLevel {
    /** Findings below this confidence are refused. */
    public static final double ENOUGH = 0.6;

    /** Photos lean by a few degrees; what leans more is meant or is not an upright. */
    public static final double WIDEST = 15;

    private static final double STEP = 0.05;
    private static final int STEPS = (int) (WIDEST / STEP);
    private static final double BELL = 0.25;
    private static final double AT_PEAK = 0.5;
    private static final double RIVAL = 1;
    private static final double AGREEING = 0.3;
    private static final double AROUND = 1.5;
    /** Half the votes at a photo's best may differ by grain and curved edges; more is scatter. */
    private static final double USUAL_AGREEMENT = 0.6;
    /** A third of the long edge in straight lines is plenty. */
    private static final double PLENTY = 0.2;
    /** Longer segments count as this long, of the long edge: one line alone is not proof. */
    private static final double LONGEST = 0.5;

    private static final double MIDDLE_PULL = 1.2;
    private static final int MOST_LINES = 12;

    private AutoLevel() {}

    private record Vote(LevelLine line, double lean, double weight) {}

    /**
     * The lean of a photo.
     *
     * @param lines segments in upright pixels, of any direction
     * @param upright the photo's size
     */
    public static Finding find(List<LevelLine> lines, PixelSize upright) {
        List<Vote> votes = lines.stream()
                .map(line -> new Vote(line, line.lean(), weight(line, upright)))
                .filter(vote -> Math.abs(vote.lean) <= WIDEST + AT_PEAK)
                .toList();
        double[] curve = curve(votes);
        double peak = peak(curve);
        double height = density(votes, peak);
        double evidence = 1 - Math.exp(-height / PLENTY);
        double lead = height == 0 ? 0 : 1 - rival(curve, peak) / height;
        double lean = mean(votes, peak);
        double agreement = agreement(votes, lean);
        double confidence = evidence * lead * agreement;
        return new Finding(
                new Tilt(-Math.clamp(lean, -WIDEST, WIDEST)),
                confidence,
                refusal(confidence, evidence, lead, agreement),
                proof(votes, peak));
    }

    private static double weight(LevelLine line, PixelSize upright) {
        double length = Math.min(LONGEST, line.length() / upright.longEdge());
        Point middle = line.from().plus(line.to()).times(0.5);
        double away = Math.abs(middle.x() / upright.width() - 0.5);
        return Math.pow(length, 1.5) * (line.isPlumb() ? Math.max(0, 1 - MIDDLE_PULL * away) : 1);
    }

    private static double density(List<Vote> votes, double at) {
        double sum = 0;
        for (Vote vote : votes) {
            double off = (vote.lean - at) / BELL;
            sum += vote.weight * Math.exp(-off * off / 2);
        }
        return sum;
    }

    /** The density at every step from one end of the range to the other. */
    private static double[] curve(List<Vote> votes) {
        return IntStream.rangeClosed(-STEPS, STEPS)
                .mapToDouble(step -> density(votes, step * STEP))
                .toArray();
    }

    /** Where the curve is highest; 0 if it is nowhere above nothing. */
    private static double peak(double[] curve) {
        int best = STEPS;
        double height = 0;
        for (int i = 0; i < curve.length; i++) {
            if (curve[i] > height) {
                height = curve[i];
                best = i;
            }
        }
        return (best - STEPS) * STEP;
    }

    /** The highest density away from the peak. */
    private static double rival(double[] curve, double peak) {
        return IntStream.range(0, curve.length)
                .filter(i -> Math.abs((i - STEPS) * STEP - peak) > RIVAL)
                .mapToDouble(i -> curve[i])
                .max()
                .orElse(0);
    }

    private static double mean(List<Vote> votes, double peak) {
        double sum = 0;
        for (Vote vote : votes) {
            sum += Math.abs(vote.lean - peak) <= AT_PEAK ? vote.weight * vote.lean : 0;
        }
        double weight = weightNear(votes, peak, AT_PEAK);
        return weight == 0 ? 0 : sum / weight;
    }

    /** How well the votes around the lean agree with it: 1 = as well as they ever do. */
    private static double agreement(List<Vote> votes, double lean) {
        double around = weightNear(votes, lean, AROUND);
        return around == 0 ? 0 : Math.min(1, weightNear(votes, lean, AGREEING) / around / USUAL_AGREEMENT);
    }

    private static double weightNear(List<Vote> votes, double lean, double within) {
        return votes.stream()
                .filter(vote -> Math.abs(vote.lean - lean) <= within)
                .mapToDouble(Vote::weight)
                .sum();
    }

    private static Optional<Refusal> refusal(double confidence, double evidence, double lead, double agreement) {
        if (confidence >= ENOUGH) {
            return Optional.empty();
        }
        if (evidence < ENOUGH) {
            return Optional.of(Refusal.FEW_LINES);
        }
        return Optional.of(lead <= agreement ? Refusal.RIVAL_DIRECTIONS : Refusal.SCATTERED);
    }

    /** The segments that speak for the peak, strongest first. */
    private static List<LevelLine> proof(List<Vote> votes, double peak) {
        return votes.stream()
                .filter(vote -> Math.abs(vote.lean - peak) <= AT_PEAK)
                .sorted(Comparator.comparingDouble(Vote::weight).reversed())
                .limit(MOST_LINES)
                .map(Vote::line)
                .toList();
    }
}
