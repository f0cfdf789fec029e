package nexa.core.files;

import java.util.Arrays;
import java.util.Optional;

/** The kinds of files that can be delivered. */
public enum FileType {
    JPEG("jpg", "JPEG", 8, false, true),
    PNG("png", "PNG", 16, true, false),
    TIFF("tif", "TIFF", 16, true, false),
    WEBP("webp", "WebP", 8, true, true);

    private final String extension;
    private final String label;
    private final int mostBits;
    private final boolean alpha;
    private final boolean lossy;

    FileType(String extension, String label, int mostBits, boolean alpha, boolean lossy) {
        this.extension = extension;
        this.label = label;
        this.mostBits = mostBits;
        this.alpha = alpha;
        this.lossy = lossy;
    }

    public String extension() {
        return extension;
    }

    /** As its standard writes it. */
    public String label() {
        return label;
    }

    /** Bits a channel that it holds. */
    public int mostBits() {
        return mostBits;
    }

    /** Whether transparency survives. */
    public boolean keepsAlpha() {
        return alpha;
    }

    /** Whether it has a quality to choose, and so a size. */
    public boolean hasQuality() {
        return lossy;
    }

    /** By its name, ignoring case. */
    public static Optional<FileType> named(String name) {
        return Arrays.stream(values())
                .filter(type -> type.name().equalsIgnoreCase(name))
                .findFirst();
    }
}
