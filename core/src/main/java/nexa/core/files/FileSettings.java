package nexa.core.files;

import nexa.core.fill.Fill;
import nexa.core.told.InvalidException;

/**
 * How a format becomes files.
 *
 * @param quality of a JPEG or WebP, 1 to 100; unused for the other types
 * @param fill where a frame shows no photo, unless a photo has one of its own
 * @param mostFill percent of a frame that may be filled before it is warned of
 */
public record FileSettings(
        FileType type,
        int quality,
        DeliveredColour colour,
        Packing packing,
        Finish finish,
        Description description,
        Fill fill,
        int mostFill) {
    public static final int USUAL_MOST_FILL = 15;

    public static final FileSettings DEFAULT = new FileSettings(FileType.JPEG, 92);

    public FileSettings {
        if (quality < 1 || quality > 100) {
            throw new InvalidException("told.files.quality-from-not", type.label(), quality);
        }
        if (mostFill < 0 || mostFill > 100) {
            throw new InvalidException("told.files.fill-from-to", mostFill);
        }
    }

    /** With the photo's own colours. */
    public FileSettings(FileType type, int quality) {
        this(type, quality, DeliveredColour.KEEP);
    }

    public FileSettings(FileType type, int quality, DeliveredColour colour) {
        this(type, quality, colour, Packing.DEFAULT, Finish.DEFAULT, Description.DEFAULT, Fill.WHITE, USUAL_MOST_FILL);
    }

    public FileSettings typed(FileType other, int otherQuality) {
        return new FileSettings(other, otherQuality, colour, packing, finish, description, fill, mostFill);
    }

    public FileSettings coloured(DeliveredColour other) {
        return new FileSettings(type, quality, other, packing, finish, description, fill, mostFill);
    }

    public FileSettings packed(Packing other) {
        return new FileSettings(type, quality, colour, other, finish, description, fill, mostFill);
    }

    public FileSettings finished(Finish other) {
        return new FileSettings(type, quality, colour, packing, other, description, fill, mostFill);
    }

    public FileSettings described(Description other) {
        return new FileSettings(type, quality, colour, packing, finish, other, fill, mostFill);
    }

    public FileSettings filled(Fill other) {
        return new FileSettings(type, quality, colour, packing, finish, description, other, mostFill);
    }

    public FileSettings warnedAbove(int percent) {
        return new FileSettings(type, quality, colour, packing, finish, description, fill, percent);
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        return FileText.of(this);
    }

    /** The same for people: without the quality where the type has none, which is kept for when it is another type again. */
    public String textToRead() {
        return FileText.toRead(this);
    }

    /**
     * Reads {@code jpeg 92}, {@code png srgb}, or one of these with more behind semicolons, such as
     * {@code jpeg 92 srgb; at most 500 kB; sharpened for matt 80 %; 300 ppi; keep credit; no place; creator "Anna"}.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    public static FileSettings parse(String text) {
        return FileText.parse(text);
    }
}
