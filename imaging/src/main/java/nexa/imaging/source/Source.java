package nexa.imaging.source;

import java.util.Optional;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;

/** An opened photo: its pixels as the decoder gives them, and its metadata. */
public record Source(Picture picture, SourceMetadata metadata) implements AutoCloseable {
    /** The colour profile that came with the pixels and is for such pixels; empty if they are to be taken for sRGB. */
    public Optional<Profile> profile() {
        return Profile.of(metadata.icc()).filter(profile -> profile.fits(picture.channels()));
    }

    @Override
    public void close() {
        picture.close();
    }
}
