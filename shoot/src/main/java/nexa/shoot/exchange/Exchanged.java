package nexa.shoot.exchange;

import java.util.List;
import nexa.core.told.Told;

/**
 * What came of writing or reading crops.
 *
 * @param photos whose crops were written, or were read and are other ones now
 * @param same whose crops were there already
 * @param troubles what was left out and why, in words for the user
 */
public record Exchanged(int photos, int same, List<Told> troubles) {
    public Exchanged {
        troubles = List.copyOf(troubles);
    }
}
