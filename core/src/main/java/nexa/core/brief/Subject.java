package nexa.core.brief;

import java.util.Optional;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.sight.Sight;

/**
 * What is known of a photo's subject.
 *
 * @param rule where the marks lie in the frames that follow them; empty = as in the frame placed in another format, or
 *     else in the middle
 * @param sight what is seen in the photo, which frames that nobody placed keep; empty if nobody looked yet
 */
public record Subject(Marks marks, Optional<Composition> rule, Optional<Sight> sight) {
    public static final Subject UNKNOWN = new Subject(Marks.NONE, Optional.empty(), Optional.empty());

    public Subject marked(Marks others) {
        return new Subject(others, rule, sight);
    }

    public Subject ruled(Optional<Composition> other) {
        return new Subject(marks, other, sight);
    }

    /** The sight's text; empty if nobody looked. */
    public String sightText() {
        return sight.map(Sight::text).orElse("");
    }

    public Subject seen(Sight other) {
        return new Subject(marks, rule, Optional.of(other));
    }
}
