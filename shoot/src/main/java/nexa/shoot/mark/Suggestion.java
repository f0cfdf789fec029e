package nexa.shoot.mark;

import nexa.core.brief.Framing;
import nexa.core.mark.Marks;
import nexa.core.sight.Sight;

/**
 * What a photo seems to be of.
 *
 * @param marks two, for a photo that has none
 * @param sight what was seen
 * @param confidence how often such a suggestion is right, 0 to 1
 */
public record Suggestion(Marks marks, Sight sight, double confidence) {
    /** Surer suggestions are taken unless somebody objects; the others are shown first. */
    public static final double ENOUGH = 0.6;

    /** The photo with these marks; frames that nobody placed keep what was seen. */
    public Framing on(Framing before) {
        return before.withSubject(before.subject().marked(marks).seen(sight));
    }

    public boolean accepted() {
        return confidence >= ENOUGH;
    }
}
