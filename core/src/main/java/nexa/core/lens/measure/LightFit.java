package nexa.core.lens.measure;

import java.util.List;
import java.util.Optional;
import nexa.core.lens.Taken;
import nexa.core.lens.data.LightMeasure;

/** What an even wall shows of how much light a lens leaves to the corners. */
public final class LightFit {
    /** A wall that differs by more from what any lens does, in parts of the light, was not even. */
    private static final double UNEVEN = 0.04;

    /** A wall's middle: so far from the centre, squared. */
    private static final double MIDDLE = 0.01;

    /**
     * Linear light at a place.
     *
     * @param squared R², 1 at the photo's corner
     */
    public record Sample(double squared, double light) {}

    private LightFit() {}

    /** The measure; empty if the wall was not even. */
    public static Optional<LightMeasure> of(List<Sample> wall, Taken taken) {
        double middle = wall.stream()
                .filter(sample -> sample.squared <= MIDDLE)
                .mapToDouble(Sample::light)
                .average()
                .orElse(0);
        if (middle <= 0) {
            return Optional.empty();
        }
        LeastSquares fit = new LeastSquares(3);
        wall.forEach(sample -> fit.add(powers(sample.squared), sample.light / middle - 1));
        double[] k = fit.solution();
        double square = wall.stream()
                .mapToDouble(sample -> {
                    double[] p = powers(sample.squared);
                    double off = 1 + k[0] * p[0] + k[1] * p[1] + k[2] * p[2] - sample.light / middle;
                    return off * off;
                })
                .average()
                .orElse(1);
        return Math.sqrt(square) > UNEVEN
                ? Optional.empty()
                : Optional.of(new LightMeasure(taken.focal(), taken.aperture(), taken.distance(), k[0], k[1], k[2]));
    }

    private static double[] powers(double squared) {
        return new double[] {squared, squared * squared, squared * squared * squared};
    }
}
