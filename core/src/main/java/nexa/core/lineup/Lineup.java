package nexa.core.lineup;

import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import nexa.core.geometry.Point;

/** The results of several photos measured against the first, the exemplar. What stands out in a trait is a {@link Stray} of it. */
public final class Lineup {
    /** Below these nobody sees a difference: 1 % of the frame, 2 % in size, half a degree. */
    private static final double SEEN_PLACE = 0.01;

    private static final double SEEN_SIZE = 0.02;
    private static final double SEEN_LEAN = 0.5;

    private final List<Deviation> deviations;

    /**
     * @param placings the exemplar first
     * @throws IllegalArgumentException if there is none
     */
    public Lineup(List<Placing> placings) {
        if (placings.isEmpty()) {
            throw new IllegalArgumentException("A line-up has at least an exemplar");
        }
        Placing exemplar = placings.getFirst();
        deviations = placings.stream().map(placing -> placing.from(exemplar)).toList();
    }

    /** In the order of the placings; the first is the exemplar's own, with nothing off. */
    public List<Deviation> deviations() {
        return deviations;
    }

    public Spread spread() {
        Point middle = new Point(
                Stray.median(all(d -> OptionalDouble.of(d.offset().x()))),
                Stray.median(all(d -> OptionalDouble.of(d.offset().y()))));
        double place = deviations.stream()
                .mapToDouble(d -> d.offset().distance(middle))
                .max()
                .orElseThrow();
        return new Spread(
                place,
                range(all(Deviation::sizeRatio), (low, high) -> high / low - 1),
                range(all(Deviation::lean), (low, high) -> high - low));
    }

    /** In the order of the placings: in what each stands out from the set. */
    public List<Set<Trait>> outliers() {
        Stray x = Stray.of(all(d -> OptionalDouble.of(d.offset().x())), SEEN_PLACE);
        Stray y = Stray.of(all(d -> OptionalDouble.of(d.offset().y())), SEEN_PLACE);
        Stray size = Stray.of(all(Lineup::logSize), Math.log1p(SEEN_SIZE));
        Stray lean = Stray.of(all(Deviation::lean), SEEN_LEAN);
        return deviations.stream()
                .map(d -> {
                    EnumSet<Trait> traits = EnumSet.noneOf(Trait.class);
                    if (x.names(d.offset().x()) || y.names(d.offset().y())) {
                        traits.add(Trait.PLACE);
                    }
                    logSize(d).ifPresent(value -> add(traits, Trait.SIZE, size.names(value)));
                    d.lean().ifPresent(value -> add(traits, Trait.LEAN, lean.names(value)));
                    return Set.copyOf(traits);
                })
                .toList();
    }

    private static void add(Set<Trait> traits, Trait trait, boolean strays) {
        if (strays) {
            traits.add(trait);
        }
    }

    /** Twice as large is as far off as half as large. */
    private static OptionalDouble logSize(Deviation deviation) {
        return deviation.sizeRatio().isPresent()
                ? OptionalDouble.of(Math.log(deviation.sizeRatio().orElseThrow()))
                : OptionalDouble.empty();
    }

    private double[] all(Function<Deviation, OptionalDouble> figure) {
        return deviations.stream()
                .map(figure)
                .flatMapToDouble(value -> value.stream())
                .toArray();
    }

    @FunctionalInterface
    private interface Range {
        double of(double low, double high);
    }

    private static OptionalDouble range(double[] values, Range range) {
        return values.length < 2
                ? OptionalDouble.empty()
                : OptionalDouble.of(range.of(
                        DoubleStream.of(values).min().orElseThrow(),
                        DoubleStream.of(values).max().orElseThrow()));
    }
}
