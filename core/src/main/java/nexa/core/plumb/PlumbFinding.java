package nexa.core.plumb;

import java.util.List;
import java.util.Optional;

/**
 * What line evidence says of how a camera was turned.
 *
 * @param standing that would undo it; of no use if refused
 * @param confidence 0 = none, 1 = certain
 * @param refusal why it is not to be used; empty = it is
 * @param lines what it rests on, longest first
 */
public record PlumbFinding(
        Standing standing, double confidence, Optional<PlumbRefusal> refusal, List<PlumbLine> lines) {
    public PlumbFinding {
        lines = List.copyOf(lines);
    }

    public boolean accepted() {
        return refusal.isEmpty();
    }
}
