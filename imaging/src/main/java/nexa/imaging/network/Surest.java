package nexa.imaging.network;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import nexa.core.geometry.Frame;

/** A network finds one thing many times over: of boxes that share much the surest stands for all. */
public final class Surest {
    private Surest() {}

    /**
     * The surest first.
     *
     * @param same boxes that overlap more are of one thing
     */
    public static <T> List<T> of(List<T> all, ToDoubleFunction<T> confidence, Function<T, Frame> box, double same) {
        List<T> kept = new ArrayList<>();
        all.stream()
                .sorted(Comparator.comparingDouble(confidence).reversed())
                .filter(one -> kept.stream().noneMatch(known -> box.apply(known).overlap(box.apply(one)) > same))
                .forEach(kept::add);
        return List.copyOf(kept);
    }
}
