package nexa.imaging.codec;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * The image resources that a JPEG's APP13 and a TIFF's tag 34377 hold: each has the signature 8BIM, a number, a name
 * padded to even length, and padded data (Adobe Photoshop File Formats Specification, Image Resources Section).
 */
final class ImageResources {
    private static final String PREFIX = "Photoshop 3.0\0";
    private static final byte[] SIGNATURE = {'8', 'B', 'I', 'M'};
    private static final int IPTC = 0x0404;

    private ImageResources() {}

    /** The IPTC record of a segment; null if there is none. */
    static byte @Nullable [] iptc(byte[] segment) {
        String beginning =
                new String(segment, 0, Math.min(segment.length, PREFIX.length()), StandardCharsets.ISO_8859_1);
        ByteBuffer in = ByteBuffer.wrap(segment);
        in.position(beginning.equals(PREFIX) ? PREFIX.length() : 0);
        while (in.remaining() >= 12) {
            byte[] signature = new byte[4];
            in.get(signature);
            if (!Arrays.equals(signature, SIGNATURE)) {
                return null;
            }
            int number = in.getShort() & 0xFFFF;
            int name = in.get(in.position()) & 0xFF;
            skip(in, name + 1 + (name + 1) % 2);
            if (in.remaining() < 4) {
                return null;
            }
            int length = in.getInt();
            if (length < 0 || length > in.remaining()) {
                return null;
            }
            if (number == IPTC) {
                byte[] record = new byte[length];
                in.get(record);
                return record;
            }
            skip(in, length + length % 2);
        }
        return null;
    }

    private static void skip(ByteBuffer in, int bytes) {
        in.position(Math.min(in.limit(), in.position() + bytes));
    }
}
