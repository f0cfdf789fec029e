package nexa.core.lens;

import java.util.List;
import java.util.Optional;
import nexa.core.pixel.CornerLift;
import nexa.core.pixel.LightStep;

/**
 * Corrections by eye, where nothing was measured.
 *
 * @param bend what belongs r away from the centre is read at r · (1 + bend · r²), r = 1 at {@value #UNIT} of the photo's
 *     long edge, the corner of a 3:2 photo; negative straightens a barrel
 * @param stops how much lighter the corners get, in stops; negative = darker
 * @param midpoint where half of these is reached, between the photo's centre and its corners
 */
public record ByHand(double bend, double stops, double midpoint) {
    public static final ByHand NONE = new ByHand(0, 0, 0.6);
    static final double UNIT = 0.6;
    public static final double MOST_BEND = 0.2;
    public static final double MOST_STOPS = 3;
    public static final double LEAST_MIDPOINT = 0.1;
    public static final double MOST_MIDPOINT = 0.95;

    /** @throws IllegalArgumentException if one is beyond what can be done */
    public ByHand {
        if (!(Math.abs(bend) <= MOST_BEND)
                || !(Math.abs(stops) <= MOST_STOPS)
                || !(midpoint >= LEAST_MIDPOINT && midpoint <= MOST_MIDPOINT)) {
            throw new IllegalArgumentException("Not by hand: " + bend + ", " + stops + ", " + midpoint);
        }
    }

    public ByHand withBend(double other) {
        return new ByHand(other, stops, midpoint);
    }

    Bend distortion() {
        return new Bend(1, 0, bend, 0, 0);
    }

    List<LightStep> light() {
        return stops == 0 ? List.of() : List.of(new CornerLift(stops, midpoint));
    }

    /** Its numbers; empty if they say {@link #NONE}. */
    Optional<List<Double>> numbers() {
        return equals(NONE) ? Optional.empty() : Optional.of(List.of(bend, stops, midpoint));
    }
}
