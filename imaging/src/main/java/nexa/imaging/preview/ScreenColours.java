package nexa.imaging.preview;

import nexa.core.files.Conversion;
import nexa.imaging.colour.Profile;

/**
 * What pictures are shown in.
 *
 * @param how photos' own colours become the screen's
 */
public record ScreenColours(Profile profile, Conversion how) {
    public static final ScreenColours SRGB = new ScreenColours(Profile.SRGB, Conversion.DEFAULT);
}
