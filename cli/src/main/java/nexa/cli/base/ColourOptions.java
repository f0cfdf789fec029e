package nexa.cli.base;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;
import nexa.core.files.DeliveredColour;
import nexa.core.told.InvalidException;
import nexa.core.told.Told;
import nexa.imaging.colour.Profile;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** What the command line says of delivered colours. */
public final class ColourOptions {
    @Option(
            names = "--colour",
            paramLabel = "keep|srgb|wide|FILE.icc",
            description =
                    "The delivered files' colours: the photo's own, sRGB, a wide gamut, or a profile's, also one of inks "
                            + "(CMYK, in TIFF and JPEG); else as each format says.")
    private @Nullable String colour;

    @Option(
            names = "--intent",
            paramLabel = "INTENT",
            description = "How colours become those: ${COMPLETION-CANDIDATES}; else as each format says.")
    private @Nullable Intent intent;

    @Option(names = "--keep-black", description = "The photo's black becomes the darkest of the profile.")
    private boolean keepsBlack;

    /**
     * A format's colours, but for what the command line says.
     *
     * @throws InvalidException with words for the user
     */
    public DeliveredColour over(DeliveredColour ofFormat) {
        DeliveredColour asked = colour == null ? ofFormat : asked(colour).converted(ofFormat.how());
        Conversion how = asked.how();
        return asked.converted(new Conversion(intent == null ? how.intent() : intent, keepsBlack || how.keepsBlack()));
    }

    /**
     * Looks into the file of a profile that the command line names, so that it is said once if it is none, and not of each
     * file.
     *
     * @throws IOException with words for the user
     */
    public void requireProfile() throws IOException {
        if (colour != null) {
            Profile.delivered(asked(colour));
        }
    }

    private static DeliveredColour asked(String text) {
        try {
            return Files.isRegularFile(Path.of(text))
                    ? DeliveredColour.profile(Path.of(text).toAbsolutePath().toString())
                    : DeliveredColour.parse(text);
        } catch (IllegalArgumentException unknown) { // an invalid path is one too
            throw new InvalidException(Told.of("cli.colour-keep-srgb-wide-or", text), unknown);
        }
    }
}
