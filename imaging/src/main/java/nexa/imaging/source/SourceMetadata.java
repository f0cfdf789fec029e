package nexa.imaging.source;

import org.jspecify.annotations.Nullable;

/**
 * The blocks of a source file that a delivered file takes over. Arrays are not copied and not to be changed.
 *
 * @param exif a TIFF structure without the JPEG prefix
 * @param icc a colour profile
 * @param xmp an XMP packet without the JPEG prefix
 */
public record SourceMetadata(byte @Nullable [] exif, byte @Nullable [] icc, byte @Nullable [] xmp) {
    public static final SourceMetadata NONE = new SourceMetadata(null, null, null);

    /** The same with another colour profile or none. */
    public SourceMetadata withIcc(byte @Nullable [] other) {
        return new SourceMetadata(exif, other, xmp);
    }
}
