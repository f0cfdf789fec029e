package nexa.imaging.file;

/**
 * Why a photo can't be read.
 *
 * @param percent how much of the picture is there, for {@link Kind#TRUNCATED}; else 0
 */
public record Trouble(Kind kind, int percent) {
    public enum Kind {
        MISSING("the file is gone"),
        NAME("its name is not in the system's encoding; rename it"),
        NO_PERMISSION("no permission to read it"),
        EMPTY("the file is empty"),
        NOT_AN_IMAGE("not an image"),
        UNSUPPORTED("a kind of image that can't be read"),
        JPEG_XL("JPEG XL, which is not read"),
        JPEG_2000("JPEG 2000, which is not read"),
        RAW_WITHOUT_PREVIEW("a raw file without a preview picture"),
        TOO_LARGE("more pixels than the limit of 400 million"),
        TRUNCATED("truncated"),
        DAMAGED("damaged"),
        READ_FAILED("could not be read from the disk");

        private final String words;

        Kind(String words) {
            this.words = words;
        }
    }

    public static Trouble of(Kind kind) {
        return new Trouble(kind, 0);
    }

    /** Plain words for commands and logs. */
    public String text() {
        return kind == Kind.TRUNCATED ? "truncated after " + percent + " %" : kind.words;
    }
}
