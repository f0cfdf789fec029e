package nexa.core.lens;

import java.util.Optional;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.pixel.CornerLight;

/**
 * What a lens does to one photo.
 *
 * @param unit the length of r = 1, in the isotropic unit of the photo as shot
 * @param centre what it turns about, in the isotropic unit of the photo as shot
 * @param distortion of all colours
 * @param red how much farther red lies than green, on top of it
 * @param blue the same of blue
 * @param light what is left to the corners; empty if not known
 */
public record LensTerms(double unit, Point centre, Bend distortion, Bend red, Bend blue, Optional<CornerLight> light) {
    public static final LensTerms NONE = new LensTerms(1, Bend.NONE, Bend.NONE, Bend.NONE, Optional.empty());

    /** @throws IllegalArgumentException if the unit is not a length */
    public LensTerms {
        if (!(unit > 0) || !Double.isFinite(unit + centre.x() + centre.y())) {
            throw new IllegalArgumentException("No unit: " + unit + " about " + centre);
        }
    }

    /** Of a lens whose axis goes through the photo's middle. */
    public LensTerms(double unit, Bend distortion, Bend red, Bend blue, Optional<CornerLight> light) {
        this(unit, Point.ORIGIN, distortion, red, blue, light);
    }

    /** The same on a photo whose pixels lie on the sensor as they were before a turn. */
    public LensTerms turned(Turn turn) {
        return new LensTerms(unit, Affine.of(turn).apply(centre), distortion, red, blue, light);
    }

    public LensTerms withoutLight() {
        return new LensTerms(unit, centre, distortion, red, blue, Optional.empty());
    }
}
