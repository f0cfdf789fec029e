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
 * @param sight what is seen in the photo, which frames that nobody placed keep
 */
public record Subject(Marks marks, Optional<Composition> rule, Sight sight) {
    public static final Subject UNKNOWN = new Subject(Marks.NONE, Optional.empty(), Sight.NONE);

    public Subject marked(Marks others) {
        return new Subject(others, rule, sight);
    }

    public Subject ruled(Optional<Composition> other) {
        return new Subject(marks, other, sight);
    }

    public Subject seen(Sight other) {
        return new Subject(marks, rule, other);
    }
}
