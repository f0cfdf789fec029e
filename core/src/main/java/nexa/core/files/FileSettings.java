package nexa.core.files;

import nexa.core.fill.Fill;
import nexa.core.told.InvalidException;

/**
 * How a format becomes files.
 *
 * @param quality of a JPEG or WebP, 1 to 100; unused for the other types
 * @param fill where a frame shows no photo, unless a photo has one of its own
 */
public record FileSettings(
        FileType type,
        int quality,
        DeliveredColour colour,
        Packing packing,
        Finish finish,
        Description description,
        Fill fill) {
    public static final FileSettings DEFAULT = new FileSettings(FileType.JPEG, 92);

    public FileSettings {
        if (quality < 1 || quality > 100) {
            throw new InvalidException("told.files.quality-from-not", type.label(), quality);
        }
    }

    /** With the photo's own colours. */
    public FileSettings(FileType type, int quality) {
        this(type, quality, DeliveredColour.KEEP);
    }

    public FileSettings(FileType type, int quality, DeliveredColour colour) {
        this(type, quality, colour, Packing.DEFAULT, Finish.DEFAULT, Description.DEFAULT, Fill.WHITE);
    }

    public FileSettings typed(FileType other, int otherQuality) {
        return new FileSettings(other, otherQuality, colour, packing, finish, description, fill);
    }

    public FileSettings coloured(DeliveredColour other) {
        return new FileSettings(type, quality, other, packing, finish, description, fill);
    }

    public FileSettings packed(Packing other) {
        return new FileSettings(type, quality, colour, other, finish, description, fill);
    }

    public FileSettings finished(Finish other) {
        return new FileSettings(type, quality, colour, packing, other, description, fill);
    }

    public FileSettings described(Description other) {
        return new FileSettings(type, quality, colour, packing, finish, other, fill);
    }

    public FileSettings filled(Fill other) {
        return new FileSettings(type, quality, colour, packing, finish, description, other);
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        return FileText.of(this);
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
