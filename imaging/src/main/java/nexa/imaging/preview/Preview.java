package nexa.imaging.preview;

import java.util.Optional;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;

/**
 * A small picture of a photo as shot, 8 bits, opaque, in the photo's own colours.
 *
 * @param profile of its colours; empty if they are to be taken for sRGB
 */
public record Preview(Picture picture, Optional<Profile> profile) implements AutoCloseable {

    /** Its pixels in a screen's colours. */
    public Raster raster(ScreenColours screen) {
        Profile from = profile.orElse(Profile.SRGB);
        if (profile.isEmpty() && picture.channels() == 1 && screen.profile().equals(Profile.SRGB)) {
            return picture.toRaster();
        }
        try (Picture coloured = picture.channels() == 1 && profile.isEmpty() ? picture.coloured() : picture.shared();
                Picture shown = ColourTransform.between(from, screen.profile(), screen.how())
                        .apply(coloured)) {
            return shown.toRaster();
        }
    }

    /** A smaller one, of at most the given long edge. */
    Preview reducedTo(int longEdge) {
        return new Preview(picture.reducedTo(longEdge), profile);
    }

    @Override
    public void close() {
        picture.close();
    }
}
