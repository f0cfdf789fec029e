package nexa.imaging.metadata;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import nexa.imaging.source.JpegPrefix;
import nexa.imaging.source.SourceMetadata;

/** A JPEG's application segments (ITU T.81, B.2.4.6). */
public final class JpegParts {
    /** A segment holds 65,533 bytes besides its length. */
    static final int LARGEST = 65_533;

    private static final int APP1 = 0xE1;
    private static final int APP2 = 0xE2;
    private static final int APP13 = 0xED;
    private static final int IPTC = 0x0404;

    static final int LARGEST_EXIF = LARGEST - JpegPrefix.EXIF.length();
    static final int LARGEST_XMP = LARGEST - JpegPrefix.XMP.length();
    private static final int LARGEST_PIECE = LARGEST - JpegPrefix.ICC.length() - 2;

    private JpegParts() {}

    /** The metadata behind the header of a JPEG that has none. */
    public static byte[] with(SourceMetadata metadata, byte[] jpeg) {
        int header = 2 + 2 + (ByteBuffer.wrap(jpeg).getShort(4) & 0xFFFF);
        ByteArrayOutputStream out = new ByteArrayOutputStream(jpeg.length + (1 << 16));
        out.write(jpeg, 0, header);
        segments(metadata).forEach(out::writeBytes);
        out.write(jpeg, header, jpeg.length - header);
        return out.toByteArray();
    }

    /** EXIF, XMP, profile, IPTC; blocks must not be larger than a segment holds, a profile may be. */
    public static List<byte[]> segments(SourceMetadata metadata) {
        List<byte[]> segments = new ArrayList<>();
        if (metadata.exif() != null) {
            segments.add(segment(APP1, JpegPrefix.EXIF, metadata.exif()));
        }
        if (metadata.xmp() != null) {
            segments.add(segment(APP1, JpegPrefix.XMP, metadata.xmp()));
        }
        if (metadata.icc() != null) {
            profile(metadata.icc(), segments);
        }
        if (metadata.iptc() != null) {
            segments.add(segment(APP13, JpegPrefix.RESOURCES, resource(metadata.iptc())));
        }
        return segments;
    }

    /** In numbered pieces (ICC.1, B.4). */
    private static void profile(byte[] icc, List<byte[]> segments) {
        int pieces = Math.ceilDiv(icc.length, LARGEST_PIECE);
        for (int i = 0; i < pieces; i++) {
            int from = i * LARGEST_PIECE;
            int length = Math.min(LARGEST_PIECE, icc.length - from);
            ByteBuffer piece = ByteBuffer.allocate(length + 2);
            piece.put((byte) (i + 1)).put((byte) pieces).put(icc, from, length);
            segments.add(segment(APP2, JpegPrefix.ICC, piece.array()));
        }
    }

    private static byte[] resource(byte[] iptc) {
        ByteBuffer resource = ByteBuffer.allocate(12 + iptc.length + iptc.length % 2);
        resource.put("8BIM".getBytes(StandardCharsets.US_ASCII));
        resource.putShort((short) IPTC).putShort((short) 0).putInt(iptc.length).put(iptc);
        return resource.array();
    }

    private static byte[] segment(int marker, JpegPrefix prefix, byte[] block) {
        int length = 2 + prefix.length() + block.length;
        ByteBuffer segment = ByteBuffer.allocate(2 + length);
        segment.put((byte) 0xFF).put((byte) marker).putShort((short) length);
        segment.put(prefix.bytes()).put(block);
        return segment.array();
    }
}
