package nexa.core.brief;

import java.util.Locale;

/**
 * How pixels become a file.
 *
 * @param quality of a JPEG, 1 to 100; unused for the other types
 */
public record FileSettings(FileType type, int quality) {
    public static final FileSettings DEFAULT = new FileSettings(FileType.JPEG, 92);

    public FileSettings {
        if (quality < 1 || quality > 100) {
            throw new IllegalArgumentException("JPEG quality is from 1 to 100, not " + quality);
        }
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        return type.name().toLowerCase(Locale.ROOT) + " " + quality;
    }

    /**
     * Reads {@code jpeg 92}, or {@code png} with any or no quality.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    public static FileSettings parse(String text) {
        String[] words = text.strip().split("\\s+");
        FileType type = FileType.named(words[0])
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + text.strip() + "” is not a file type: write jpeg, png or tiff, or jpeg 92"));
        try {
            return new FileSettings(type, words.length < 2 ? DEFAULT.quality : Integer.parseInt(words[1]));
        } catch (NumberFormatException notANumber) {
            throw new IllegalArgumentException("“" + words[1] + "” is no JPEG quality from 1 to 100");
        }
    }
}
