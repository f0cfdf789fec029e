package nexa.imaging.deliver;

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
}
