package nexa.core.trim;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * What was found of a photo's borders.
 *
 * @param trim that leaves them out; {@link Trim#NONE} if none was found
 * @param confidence 0 = none, 1 = certain
 * @param refusal why they are not trimmed without being asked; empty = they may be
 * @param sides where there is a border
 */
public record TrimFinding(Trim trim, double confidence, Optional<TrimRefusal> refusal, Map<Side, FoundSide> sides) {
    public TrimFinding {
        sides = sides.isEmpty() ? Map.of() : new EnumMap<>(sides);
    }

    public static TrimFinding nothing(TrimRefusal why) {
        return new TrimFinding(Trim.NONE, 0, Optional.of(why), Map.of());
    }

    public boolean accepted() {
        return refusal.isEmpty();
    }

    /** Whether there is something to look at, be it refused. */
    public boolean isProposed() {
        return !trim.isNone();
    }
}
