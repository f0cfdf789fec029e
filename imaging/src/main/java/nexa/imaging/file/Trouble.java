package nexa.imaging.file;

import java.util.Locale;
import nexa.core.told.Telling;
import nexa.core.told.Told;

/**
 * Why a photo can't be read.
 *
 * @param percent how much of the picture is there, for {@link Kind#TRUNCATED}; else 0
 */
public record Trouble(Kind kind, int percent) implements Telling {
    public enum Kind {
        MISSING,
        NAME,
        NO_PERMISSION,
        EMPTY,
        NOT_AN_IMAGE,
        UNSUPPORTED,
        /** The system's library for it is not installed. */
        JPEG_XL,
        /** The system's library for raw data is not installed. */
        RAW_LIBRARY,
        RAW_WITHOUT_PREVIEW,
        /** This build decodes no HEVC. */
        HEVC,
        /** The decoder ended or hung, and again in a second try. */
        DECODER_FAILED,
        TOO_LARGE,
        /** Not too many pixels for us, but for the decoder of its kind. */
        DECODER_LIMIT,
        TRUNCATED,
        DAMAGED,
        READ_FAILED
    }

    public static Trouble of(Kind kind) {
        return new Trouble(kind, 0);
    }

    @Override
    public Told told() {
        String code = "trouble." + kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
        return kind == Kind.TRUNCATED ? Told.of(code, percent) : Told.of(code);
    }
}
