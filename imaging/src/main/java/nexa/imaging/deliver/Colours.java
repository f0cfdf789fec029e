package nexa.imaging.deliver;

import java.io.IOException;
import java.util.Arrays;
import java.util.Optional;
import nexa.core.files.Conversion;
import nexa.core.told.Told;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.Picture;
import org.jspecify.annotations.Nullable;

/**
 * Pixels in the colours that a file is to have.
 *
 * @param icc the profile to go along; null if there is none
 */
record Colours(Picture picture, byte @Nullable [] icc) implements AutoCloseable {

    /**
     * Converts a picture if its colours are to be others.
     *
     * @param own the picture's profile; empty if it is to be taken for sRGB
     * @param target of RGB; empty if the picture keeps its own
     * @throws IOException with words for the user if the engine refuses
     */
    static Colours of(Picture picture, Optional<Profile> own, Optional<Profile> target, Conversion how)
            throws IOException {
        if (target.isEmpty()) {
            return new Colours(picture.shared(), own.map(Profile::bytes).orElse(null));
        }
        if (own.isEmpty() && picture.channels() == 1) {
            try (Picture coloured = picture.coloured()) {
                return converted(coloured, Profile.SRGB, target.get(), how);
            }
        }
        return converted(picture, own.orElse(Profile.SRGB), target.get(), how);
    }

    /** How colours get from one profile to another. */
    static ColourTransform transform(Profile from, Profile to, Conversion how) throws IOException {
        try {
            return ColourTransform.between(from, to, how);
        } catch (RuntimeException refused) { // the engine's own
            throw new ToldException(Told.of("told.deliver.colours-cannot-turned-into-those", from, to), refused);
        }
    }

    private static Colours converted(Picture picture, Profile from, Profile to, Conversion how) throws IOException {
        return new Colours(transform(from, to, how).apply(picture), to.bytes());
    }

    boolean isSrgb() {
        return isSrgb(icc);
    }

    /** Whether a profile is sRGB's; without one colours are taken for it. */
    static boolean isSrgb(byte @Nullable [] icc) {
        return icc == null
                || Arrays.equals(icc, Profile.SRGB.bytes())
                || Profile.of(icc)
                        .filter(profile -> profile.toString().contains("sRGB"))
                        .isPresent();
    }

    @Override
    public void close() {
        picture.close();
    }
}
