package nexa.core.lens.data;

import java.util.List;
import java.util.Optional;
import nexa.core.lens.Taken;

/**
 * How much light a lens leaves to the corners at one setting: 1 + k1·R² + k2·R⁴ + k3·R⁶ of it, R = 1 at the corner of the
 * sensor it was measured on.
 *
 * @param focal in mm
 * @param aperture f-number
 * @param distance in metres
 */
public record LightMeasure(double focal, double aperture, double distance, double k1, double k2, double k3) {
    private static final double POWER = 3.5;
    private static final double SAME = 1e-4;

    /** @throws IllegalArgumentException if a number is not finite, or a setting is not positive */
    public LightMeasure {
        if (!(focal > 0)
                || !(aperture > 0)
                || !(distance > 0)
                || !Double.isFinite(k1 + k2 + k3 + focal + aperture + distance)) {
            throw new IllegalArgumentException("No measure of light at " + focal + " mm, f/" + aperture);
        }
    }

    /** One number for each of the model's terms. */
    record Terms(double k1, double k2, double k3) {}

    /**
     * The terms at a setting, by the distances to all measures (D. Shepard, A two-dimensional interpolation function for
     * irregularly-spaced data, 1968); empty if there are none, or the nearest is not near.
     *
     * @param focalRange how far the lens zooms, in mm; 0 if it does not
     */
    static Optional<Terms> at(List<LightMeasure> measures, Taken taken, double focalRange) {
        double nearest = Double.MAX_VALUE;
        double weights = 0;
        double k1 = 0;
        double k2 = 0;
        double k3 = 0;
        for (LightMeasure measure : measures) {
            double away = measure.away(taken, focalRange);
            if (away < SAME) {
                return Optional.of(new Terms(measure.k1, measure.k2, measure.k3));
            }
            nearest = Math.min(nearest, away);
            double weight = 1 / Math.pow(away, POWER);
            weights += weight;
            k1 += weight * measure.k1;
            k2 += weight * measure.k2;
            k3 += weight * measure.k3;
        }
        return nearest > 1 ? Optional.empty() : Optional.of(new Terms(k1 / weights, k2 / weights, k3 / weights));
    }

    private double away(Taken taken, double focalRange) {
        double off = focalRange > 0 ? (taken.focal() - focal) / focalRange : taken.focal() - focal;
        double stops = 4 / taken.aperture() - 4 / aperture;
        double near = 0.1 / taken.distance() - 0.1 / distance;
        return Math.sqrt(off * off + stops * stops + near * near);
    }
}
