package nexa.core.carry;

import java.util.Set;
import nexa.core.brief.Framing;

/**
 * What a carry makes of one photo.
 *
 * @param framing what is asked of the photo afterwards
 * @param losses what of the carried crop shows differently there
 */
public record Carried(Framing framing, Set<Loss> losses) {
    public Carried {
        losses = Set.copyOf(losses);
    }
}
