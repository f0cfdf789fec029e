package nexa.core.files;

import java.util.Locale;
import nexa.core.told.InvalidException;

/**
 * What colours a delivered file has: the photo's own, or others that they are converted to.
 *
 * @param file path of a profile file; empty for the other kinds
 * @param how they are converted; the usual way where they are kept
 */
public record DeliveredColour(Kind kind, String file, Conversion how) {
    public static final DeliveredColour KEEP = of(Kind.KEEP);
    public static final DeliveredColour SRGB = of(Kind.SRGB);

    /** Where the colours come from. */
    public enum Kind {
        /** The photo's profile goes along. */
        KEEP,
        /** For the web and for labs that ask for nothing else. */
        SRGB,
        /** For screens with the P3 primaries. */
        WIDE,
        /** Those of a profile file, such as a printer's. */
        PROFILE
    }

    public DeliveredColour {
        if ((kind == Kind.PROFILE) == file.isBlank()) {
            throw new InvalidException("told.files.profile-given-by-file-write");
        }
        how = kind == Kind.KEEP ? Conversion.DEFAULT : how;
    }

    public static DeliveredColour of(Kind kind) {
        return new DeliveredColour(kind, "", Conversion.DEFAULT);
    }

    public static DeliveredColour profile(String file) {
        return new DeliveredColour(Kind.PROFILE, file.strip(), Conversion.DEFAULT);
    }

    public DeliveredColour converted(Conversion other) {
        return new DeliveredColour(kind, file, other);
    }

    /** The text that {@link #parse} reads back, but for the way of conversion. */
    public String text() {
        return (kind.name().toLowerCase(Locale.ROOT) + " " + file).strip();
    }

    /**
     * Reads {@code keep}, {@code srgb}, {@code wide} or {@code profile /path/of/it.icc}.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    public static DeliveredColour parse(String text) {
        String[] words = text.strip().split("\\s+", 2);
        for (Kind kind : Kind.values()) {
            if (kind.name().equalsIgnoreCase(words[0])) {
                return new DeliveredColour(kind, words.length < 2 ? "" : words[1], Conversion.DEFAULT);
            }
        }
        throw new InvalidException("told.files.no-choice-colours-write-keep", text.strip());
    }
}
