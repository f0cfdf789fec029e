package nexa.imaging.border;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.trim.Side;

/** All four sides of a picture, in the order of {@link Side}; none before they were looked at. */
record Sides(List<LookedAt> all) {
    static final Sides NONE = new Sides(List.of());

    Optional<SideBorder> border(Side side) {
        return all.isEmpty() ? Optional.empty() : all.get(side.ordinal()).border();
    }

    Stream<SideBorder> borders() {
        return all.stream().flatMap(side -> side.border().stream());
    }

    /** The one whose edge most of its lines end on. */
    Optional<SideBorder> surest() {
        return borders().max(Comparator.comparingDouble(border -> border.line().on()));
    }
}
