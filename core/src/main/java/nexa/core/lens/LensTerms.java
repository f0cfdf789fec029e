package nexa.core.lens;

import java.util.Optional;
import nexa.core.pixel.CornerLight;

/**
 * What a lens does to one photo.
 *
 * @param unit the length of r = 1, in the isotropic unit of the photo as shot
 * @param distortion of all colours
 * @param red how much farther red lies than green, on top of it
 * @param blue the same of blue
 * @param light what is left to the corners; empty if not known
 */
public record LensTerms(double unit, Bend distortion, Bend red, Bend blue, Optional<CornerLight> light) {
    public static final LensTerms NONE = new LensTerms(1, Bend.NONE, Bend.NONE, Bend.NONE, Optional.empty());

    /** @throws IllegalArgumentException if the unit is not a length */
    public LensTerms {
        if (!(unit > 0) || !Double.isFinite(unit)) {
            throw new IllegalArgumentException("No unit: " + unit);
        }
    }

    public LensTerms withoutLight() {
        return new LensTerms(unit, distortion, red, blue, Optional.empty());
    }
}
