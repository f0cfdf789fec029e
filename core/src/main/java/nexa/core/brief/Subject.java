package nexa.core.brief;

import java.util.Optional;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;

/**
 * What is known of a photo's subject.
 *
 * @param rule where the marks lie in the frames that follow them; empty = as in the frame placed in another format, or
 *     else in the middle
 */
public record Subject(Marks marks, Optional<Composition> rule) {
    public static final Subject UNKNOWN = new Subject(Marks.NONE, Optional.empty());
}
