package nexa.imaging.neutral;

import java.util.Optional;
import nexa.core.neutral.Receptors;
import nexa.imaging.colour.Profile;

/**
 * What light a picture's numbers stand for.
 *
 * @param profile of its pixels; empty if they are taken for sRGB
 * @param receptors by which another light becomes neutral
 */
public record PictureLight(Optional<Profile> profile, Receptors receptors) {
    /** A picture that is balanced as the eye would. */
    public static PictureLight of(Optional<Profile> profile) {
        return new PictureLight(profile, Receptors.EYE);
    }

    /** The same of a picture that has a profile. */
    public static PictureLight of(Profile profile) {
        return of(Optional.of(profile));
    }
}
