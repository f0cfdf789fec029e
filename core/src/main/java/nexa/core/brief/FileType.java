package nexa.core.brief;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The kinds of files that can be delivered. */
public enum FileType {
    JPEG("jpg", 8, false),
    PNG("png", 16, true),
    TIFF("tif", 16, true);

    private final String extension;
    private final int mostBits;
    private final boolean alpha;

    FileType(String extension, int mostBits, boolean alpha) {
        this.extension = extension;
        this.mostBits = mostBits;
        this.alpha = alpha;
    }

    public String extension() {
        return extension;
    }

    /** Bits a channel that it holds. */
    public int mostBits() {
        return mostBits;
    }

    /** Whether transparency survives. */
    public boolean keepsAlpha() {
        return alpha;
    }

    /** By its name, ignoring case. */
    public static Optional<FileType> named(String name) {
        return Arrays.stream(values())
                .filter(type -> type.name().toLowerCase(Locale.ROOT).equals(name.toLowerCase(Locale.ROOT)))
                .findFirst();
    }
}
