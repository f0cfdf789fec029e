package nexa.core.carry;

import java.util.Set;
import nexa.core.brief.Framing;

/**
 * What a carry makes of one photo.
 *
 * @param framing what is asked of the photo afterwards
 * @param losses what of the carried crop shows differently there
 * @param error how far the mark that is worst off lies from its place, in fractions of the frame; 0 unless carried by
 *     marks
 */
public record Carried(Framing framing, Set<Loss> losses, double error) {
    public Carried(Framing framing, Set<Loss> losses) {
        this(framing, losses, 0);
    }

    public Carried {
        losses = Set.copyOf(losses);
    }

    /** Whether the photo is as it was. */
    public boolean leftAlone() {
        return losses.contains(Loss.LEFT_ALONE) || losses.contains(Loss.NO_MARK);
    }
}
