package nexa.core.level;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Tilt;

/**
 * What line evidence says of a photo.
 *
 * @param tilt counted from upright, that would level it; of no use if refused
 * @param confidence how often such findings are right, 0 to 1
 * @param refusal why the tilt is not to be used; empty = it is
 * @param lines the segments it rests on, strongest first, in upright pixels
 */
public record Finding(Tilt tilt, double confidence, Optional<Refusal> refusal, List<LevelLine> lines) {
    public Finding {
        lines = List.copyOf(lines);
    }

    public boolean accepted() {
        return refusal.isEmpty();
    }

    /** Whether it is refused, but likely enough to be shown and taken by hand. */
    public boolean offered() {
        return !accepted() && confidence >= AutoLevel.WORTH_SHOWING;
    }
}
