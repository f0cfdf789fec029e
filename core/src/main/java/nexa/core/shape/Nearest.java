package nexa.core.shape;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/** Finds the shape that a free frame comes nearest to. */
public final class Nearest {
    private Nearest() {}

    /**
     * The ratio nearest to an aspect, either way up, laid as the aspect lies. Nearness is by the quotient of the two,
     * so that 2:1 is as far from 1:1 as 1:2 is. Empty if there is no candidate.
     */
    public static Optional<Shape.Ratio> to(double aspect, Collection<Shape.Ratio> candidates) {
        return candidates.stream()
                .map(ratio -> ratio.aspect() >= 1 == aspect >= 1 ? ratio : ratio.turned())
                .min(Comparator.comparingDouble(ratio -> Math.abs(Math.log(ratio.aspect() / aspect))));
    }
}
