package nexa.shoot.lens;

import java.util.Optional;
import java.util.Set;
import nexa.core.lens.LensTerms;
import nexa.core.lens.data.LensMatch;

/**
 * What can be done about a photo's lens by the measured ones.
 *
 * @param match the lens, or why none
 * @param terms what it comes to on the photo; empty without one lens
 * @param assumed what was taken for what the file does not say
 */
public record LensOffer(LensMatch match, Optional<LensTerms> terms, Set<Assumed> assumed) {
    public LensOffer {
        assumed = Set.copyOf(assumed);
    }
}
