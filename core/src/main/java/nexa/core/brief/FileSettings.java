package nexa.core.brief;

import java.util.Locale;

/**
 * How pixels become a file.
 *
 * @param quality of a JPEG, 1 to 100; unused for the other types
 */
public record FileSettings(FileType type, int quality, DeliveredColour colour) {
    public static final FileSettings DEFAULT = new FileSettings(FileType.JPEG, 92);

    public FileSettings {
        if (quality < 1 || quality > 100) {
            throw new IllegalArgumentException("JPEG quality is from 1 to 100, not " + quality);
        }
    }

    /** With the photo's own colours. */
    public FileSettings(FileType type, int quality) {
        this(type, quality, DeliveredColour.KEEP);
    }

    public FileSettings coloured(DeliveredColour other) {
        return new FileSettings(type, quality, other);
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        String file = type.name().toLowerCase(Locale.ROOT) + " " + quality;
        return colour.equals(DeliveredColour.KEEP) ? file : file + " " + colour.text();
    }

    /**
     * Reads {@code jpeg 92}, {@code jpeg 92 srgb}, or {@code png} with any or no quality and colours.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    public static FileSettings parse(String text) {
        String[] words = text.strip().split("\\s+", 2);
        FileType type = FileType.named(words[0])
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + text.strip() + "” is not a file type: write jpeg, png or tiff, or jpeg 92"));
        return words.length < 2 ? new FileSettings(type, DEFAULT.quality) : parse(type, words[1]);
    }

    private static FileSettings parse(FileType type, String rest) {
        String[] words = rest.split("\\s+", 2);
        if (Character.isLetter(words[0].charAt(0))) {
            return new FileSettings(type, DEFAULT.quality, DeliveredColour.parse(rest));
        }
        try {
            int quality = Integer.parseInt(words[0]);
            return new FileSettings(
                    type, quality, words.length < 2 ? DeliveredColour.KEEP : DeliveredColour.parse(words[1]));
        } catch (NumberFormatException notANumber) {
            throw new IllegalArgumentException("“" + words[0] + "” is no JPEG quality from 1 to 100");
        }
    }
}
