package nexa.imaging.source;

import org.jspecify.annotations.Nullable;

/**
 * The blocks of a source file that a delivered file takes over. Arrays are not copied and not to be changed.
 *
 * @param exif a TIFF structure without the JPEG prefix
 * @param icc a colour profile
 * @param xmp an XMP packet without the JPEG prefix
 * @param iptc an IPTC-NAA record
 */
public record SourceMetadata(
        byte @Nullable [] exif, byte @Nullable [] icc, byte @Nullable [] xmp, byte @Nullable [] iptc) {
    public static final SourceMetadata NONE = new SourceMetadata(null, null, null);

    /** Without an IPTC record. */
    public SourceMetadata(byte @Nullable [] exif, byte @Nullable [] icc, byte @Nullable [] xmp) {
        this(exif, icc, xmp, null);
    }

    /** The same with another colour profile or none. */
    public SourceMetadata withIcc(byte @Nullable [] other) {
        return new SourceMetadata(exif, other, xmp, iptc);
    }

    /** The same with an IPTC record or none. */
    public SourceMetadata withIptc(byte @Nullable [] record) {
        return new SourceMetadata(exif, icc, xmp, record);
    }
}
