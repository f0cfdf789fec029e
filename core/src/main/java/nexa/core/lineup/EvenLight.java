package nexa.core.lineup;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import nexa.core.neutral.White;

/**
 * How even the light of several results is.
 *
 * @param lights at least one
 */
public record EvenLight(List<ResultLight> lights) {
    /** Below these nobody sees a difference between photos side by side: of L*, and of CIE 1960 u, v. */
    private static final double SEEN_LIGHTNESS = 2;

    private static final double SEEN_COLOUR = 0.003;

    /** @throws IllegalArgumentException if there is none */
    public EvenLight {
        lights = List.copyOf(lights);
        if (lights.isEmpty()) {
            throw new IllegalArgumentException("Light of no result");
        }
    }

    /** What the set's light is in the middle: the medians of all figures. */
    public ResultLight middle() {
        return new ResultLight(
                median(ResultLight::luminance),
                new White(median(light -> light.neutral().x()), median(light -> light.neutral()
                        .y())));
    }

    private double median(ToDoubleFunction<ResultLight> figure) {
        return Stray.median(lights.stream().mapToDouble(figure).toArray());
    }

    /** From the darkest to the lightest, in L*. */
    public double lightness() {
        return range(lights.stream().mapToDouble(ResultLight::lightness).toArray());
    }

    /** The farthest from the middle in colour, in thousandths of CIE 1960 u, v. */
    public double colour() {
        White middle = middle().neutral();
        return 1000
                * lights.stream()
                        .mapToDouble(light -> light.neutral().distance(middle))
                        .max()
                        .orElseThrow();
    }

    private static double range(double[] values) {
        return DoubleStream.of(values).max().orElseThrow()
                - DoubleStream.of(values).min().orElseThrow();
    }

    /** In the order of the results: whether each stands out, in lightness or colour. */
    public List<Boolean> standOut() {
        Stray lightness =
                Stray.of(lights.stream().mapToDouble(ResultLight::lightness).toArray(), SEEN_LIGHTNESS);
        White middle = middle().neutral();
        double[] colours = lights.stream()
                .mapToDouble(light -> light.neutral().distance(middle))
                .toArray();
        Stray colour = Stray.of(colours, SEEN_COLOUR);
        return lights.stream()
                .map(light -> lightness.names(light.lightness())
                        || colour.names(light.neutral().distance(middle)))
                .toList();
    }
}
