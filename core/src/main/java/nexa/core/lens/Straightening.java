package nexa.core.lens;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.StraightLine;

/**
 * What a line that was drawn along something straight says about a lens's bend.
 *
 * @param bend the bend by hand that makes it straightest, see {@link ByHand#bend}
 * @param before how far its points were from a straight line, the root of the mean square, in long edges of the photo
 * @param after the same with that bend
 */
public record Straightening(double bend, double before, double after) {
    /** A line that no bend moves by more, in long edges, is too short or goes through the middle. */
    private static final double TELLING = 0.002;

    private static final int FEWEST = 4;

    /** Bends that are tried first, each way. */
    private static final int TRIED = 20;

    private static final int HALVINGS = 40;

    /**
     * The bend that makes a drawn line straightest; empty if the line tells of none.
     *
     * @param drawn points along it as shot, isotropic unit
     */
    public static Optional<Straightening> of(List<Point> drawn) {
        if (drawn.size() < FEWEST) {
            return Optional.empty();
        }
        double best = 0;
        double most = 0;
        for (int i = -TRIED; i <= TRIED; i++) {
            double bend = ByHand.MOST_BEND * i / TRIED;
            most = Math.max(most, off(drawn, bend));
            if (off(drawn, bend) < off(drawn, best)) {
                best = bend;
            }
        }
        double bend = refined(drawn, best);
        double after = off(drawn, bend);
        return most - after < TELLING ? Optional.empty() : Optional.of(new Straightening(bend, off(drawn, 0), after));
    }

    /** Between the neighbours of the best of those tried there is one lowest place. */
    private static double refined(List<Point> drawn, double best) {
        double low = Math.max(-ByHand.MOST_BEND, best - ByHand.MOST_BEND / TRIED);
        double high = Math.min(ByHand.MOST_BEND, best + ByHand.MOST_BEND / TRIED);
        for (int i = 0; i < HALVINGS; i++) {
            double lower = low + (high - low) / 3;
            double upper = high - (high - low) / 3;
            if (off(drawn, lower) < off(drawn, upper)) {
                high = upper;
            } else {
                low = lower;
            }
        }
        return (low + high) / 2;
    }

    /** How far the line is from straight with a bend; as long as it was drawn, so that shrinking it is no gain. */
    private static double off(List<Point> drawn, double bend) {
        Mapping corrected =
                ByHand.NONE.withBend(bend).distortion().mapping(ByHand.UNIT).inverse();
        List<Point> points = drawn.stream().map(corrected::apply).toList();
        StraightLine nearest = StraightLine.through(points);
        double squares = 0;
        for (Point p : points) {
            squares += nearest.off(p) * nearest.off(p);
        }
        return Math.sqrt(squares / points.size()) * span(drawn) / span(points);
    }

    private static double span(List<Point> points) {
        return Math.max(1e-9, points.getFirst().distance(points.getLast()));
    }
}
