package nexa.imaging.file;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The kinds of files a photo may be; told by content, not by the name's ending. The endings say which files of a folder
 * claim to be photos.
 */
public enum FileKind {
    JPEG("JPEG", "jpg", "jpeg", "jpe"),
    PNG("PNG", "png"),
    TIFF("TIFF", "tif", "tiff"),
    WEBP("WebP", "webp"),
    BMP("BMP", "bmp"),
    /** A camera's sensor data, seen through the JPEG that the camera put into it. */
    RAW(
            "", "dng", "nef", "nrw", "cr2", "cr3", "crw", "arw", "sr2", "srf", "orf", "raf", "rw2", "rwl", "pef", "srw",
            "3fr", "fff", "iiq", "erf", "mef", "mos", "kdc", "dcr"),
    /** A camera's sensor data itself, developed. */
    RAW_DATA(""),
    HEIF("HEIC, AVIF", "heic", "heif", "hif", "avif"),
    JPEG_2000("JPEG 2000", "jp2", "j2k", "j2c", "jpc", "jpf", "jpx"),
    JPEG_XL("JPEG XL", "jxl"),
    /** Any other that the pixel library reads; there it is found by asking it. */
    OTHER("GIF", "gif");

    private final String title;
    private final List<String> endings;

    FileKind(String title, String... endings) {
        this.title = title;
        this.endings = List.of(endings);
    }

    /** How names of such files usually end, in small letters and without the dot; none if another kind has them. */
    public List<String> endings() {
        return endings;
    }

    /** Those of all kinds. */
    public static Set<String> allEndings() {
        return Arrays.stream(values()).flatMap(kind -> kind.endings.stream()).collect(Collectors.toUnmodifiableSet());
    }

    /** What files of all kinds but cameras' raw ones are called, one after the other. */
    public static String titles() {
        return Arrays.stream(values())
                .map(kind -> kind.title)
                .filter(title -> !title.isEmpty())
                .collect(Collectors.joining(", "));
    }

    /** Whether its photos may have more than eight bits a channel. */
    public boolean mayBeDeep() {
        return this != JPEG && this != RAW;
    }

    /** Whether the decoder already applies the file's orientation, whatever it is asked. */
    public boolean decodesAsShot() {
        return this == TIFF || this == RAW_DATA;
    }

    /** Whether what colours its numbers stand for comes out of the decoder. */
    public boolean decodesWithProfile() {
        return this == JPEG_XL || this == RAW_DATA;
    }
}
