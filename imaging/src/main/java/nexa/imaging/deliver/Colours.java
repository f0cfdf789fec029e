package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import nexa.core.files.DeliveredColour;
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
     * @throws IOException with words for the user if the asked profile can't be used
     */
    static Colours of(Picture picture, Optional<Profile> own, DeliveredColour asked) throws IOException {
        if (asked.kind() == DeliveredColour.Kind.KEEP) {
            return new Colours(picture.shared(), own.map(Profile::bytes).orElse(null));
        }
        Profile target = target(asked);
        if (own.isEmpty() && picture.channels() == 1) {
            try (Picture coloured = picture.coloured()) {
                return converted(coloured, Profile.SRGB, target);
            }
        }
        return converted(picture, own.orElse(Profile.SRGB), target);
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

    private static Colours converted(Picture picture, Profile from, Profile to) throws IOException {
        try {
            return new Colours(ColourTransform.between(from, to).apply(picture), to.bytes());
        } catch (RuntimeException refused) { // the engine's own
            throw new ToldException(Told.of("told.deliver.colours-cannot-turned-into-those", from, to), refused);
        }
    }

    private static Profile target(DeliveredColour asked) throws IOException {
        return switch (asked.kind()) {
            case KEEP, SRGB -> Profile.SRGB;
            case WIDE -> Profile.WIDE;
            case PROFILE -> Profile.read(Path.of(asked.file()));
        };
    }

    @Override
    public void close() {
        picture.close();
    }
}
