package nexa.imaging.codec;

import java.nio.ByteBuffer;
import java.util.Arrays;
import nexa.imaging.source.JpegPrefix;
import org.jspecify.annotations.Nullable;

/**
 * The image resources that a JPEG's APP13 and a TIFF's tag 34377 hold: each has the signature 8BIM, a number, a name
 * padded to even length, and padded data (Adobe Photoshop File Formats Specification, Image Resources Section).
 */
final class ImageResources {
    private static final byte[] SIGNATURE = {'8', 'B', 'I', 'M'};
    private static final int IPTC = 0x0404;

    private ImageResources() {}

    /** The IPTC record of a segment; null if there is none. */
    static byte @Nullable [] iptc(byte[] segment) {
        ByteBuffer in = ByteBuffer.wrap(JpegPrefix.RESOURCES.without(segment));
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
