package nexa.imaging.deliver;

import org.jspecify.annotations.Nullable;

/**
 * The blocks of a source file that a delivered file takes over. Arrays are not copied and not to be changed.
 *
 * @param exif a TIFF structure without the JPEG prefix
 * @param icc a colour profile
 * @param xmp an XMP packet without the JPEG prefix
 */
record SourceMetadata(byte @Nullable [] exif, byte @Nullable [] icc, byte @Nullable [] xmp) {
    private static final int PROFILE_HEADER = 128;

    /** Without a profile that is for another kind of pixels (ICC.1:2022, 7.2.6: colour space at byte 16). */
    SourceMetadata fittingChannels(int channels) {
        return fits(channels) ? this : new SourceMetadata(exif, null, xmp);
    }

    private boolean fits(int channels) {
        if (icc == null || icc.length < PROFILE_HEADER) {
            return icc == null;
        }
        String space = new String(icc, 16, 4, java.nio.charset.StandardCharsets.US_ASCII);
        return space.equals(channels == 1 ? "GRAY" : "RGB ");
    }
}
