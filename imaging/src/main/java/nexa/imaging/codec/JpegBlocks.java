package nexa.imaging.codec;

import java.io.ByteArrayOutputStream;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import nexa.imaging.probe.JpegSegments;
import nexa.imaging.probe.JpegSegments.Segment;
import nexa.imaging.source.JpegPrefix;
import nexa.imaging.source.SourceMetadata;
import org.jspecify.annotations.Nullable;

/**
 * What the application segments of a JPEG hold, in whatever order they come (ITU T.81, B.2.4.6): EXIF and XMP in APP1,
 * the pieces of a profile in APP2 (ICC.1, B.4), IPTC among the image resources in APP13.
 */
final class JpegBlocks {
    private static final int APP1 = 0xE1;
    private static final int APP2 = 0xE2;
    private static final int APP13 = 0xED;

    private final Map<Integer, byte[]> profile = new TreeMap<>();
    private int pieces;
    private byte @Nullable [] exif;
    private byte @Nullable [] xmp;
    private byte @Nullable [] iptc;

    private JpegBlocks() {}

    static SourceMetadata of(byte[] jpeg) {
        JpegBlocks blocks = new JpegBlocks();
        for (Segment segment : JpegSegments.ofFile(jpeg).segments()) {
            int at = (int) segment.at();
            blocks.take(segment.marker(), Arrays.copyOfRange(jpeg, at, Math.min(jpeg.length, at + segment.length())));
        }
        return new SourceMetadata(blocks.exif, blocks.icc(), blocks.xmp, blocks.iptc);
    }

    /** Of several of a kind the first counts, as with other readers. */
    private void take(int marker, byte[] payload) {
        if (marker == APP1 && exif == null && JpegPrefix.EXIF.isAt(payload, 0)) {
            exif = JpegPrefix.EXIF.without(payload);
        } else if (marker == APP1 && xmp == null && JpegPrefix.XMP.isAt(payload, 0)) {
            xmp = JpegPrefix.XMP.without(payload);
        } else if (marker == APP2 && JpegPrefix.ICC.isAt(payload, 0) && payload.length > JpegPrefix.ICC.length() + 2) {
            pieces = payload[JpegPrefix.ICC.length() + 1] & 0xFF;
            profile.putIfAbsent(
                    payload[JpegPrefix.ICC.length()] & 0xFF,
                    Arrays.copyOfRange(payload, JpegPrefix.ICC.length() + 2, payload.length));
        } else if (marker == APP13 && iptc == null) {
            iptc = ImageResources.iptc(payload);
        }
    }

    /** Null also if a piece is missing. */
    private byte @Nullable [] icc() {
        if (profile.isEmpty() || profile.size() < pieces) {
            return null;
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        profile.values().forEach(whole::writeBytes);
        return whole.toByteArray();
    }
}
