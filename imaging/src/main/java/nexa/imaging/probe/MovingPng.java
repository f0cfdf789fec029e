package nexa.imaging.probe;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * PNGs with pictures that follow each other (PNG, third edition, 4.9). Whoever shows none of them shows the still picture, which
 * need not be one of them.
 */
public final class MovingPng {
    private static final int SIGNATURE = 8;
    private static final int HEAD = 8;
    private static final int LENGTH = 4;
    private static final int CHECKSUM = 4;
    private static final String CONTROL = "acTL";
    private static final Set<String> OF_MOVEMENT = Set.of(CONTROL, "fcTL", "fdAT");

    private MovingPng() {}

    /** Whether a PNG says so, which it has to before its pixels. */
    public static boolean is(SeekableByteChannel png) throws IOException {
        ByteBuffer head = ByteBuffer.allocate(HEAD);
        long at = SIGNATURE;
        while (JpegSegments.read(png, head, at)) {
            String type = type(head.array(), LENGTH);
            if (type.equals(CONTROL)) {
                return true;
            }
            if (type.equals("IDAT") || head.getInt(0) < 0) {
                return false;
            }
            at += HEAD + (long) head.getInt(0) + CHECKSUM;
        }
        return false;
    }

    /** The same file without what moves. What is no chunk any more is kept as it is. */
    public static byte[] still(byte[] png) {
        ByteArrayOutputStream still = new ByteArrayOutputStream(png.length);
        ByteBuffer bytes = ByteBuffer.wrap(png);
        int at = Math.min(SIGNATURE, png.length);
        still.write(png, 0, at);
        while (png.length - at >= HEAD) {
            int length = bytes.getInt(at);
            long whole = HEAD + (long) length + CHECKSUM;
            if (length < 0 || whole > png.length - at) {
                break;
            }
            if (!OF_MOVEMENT.contains(type(png, at + LENGTH))) {
                still.write(png, at, (int) whole);
            }
            at += (int) whole;
        }
        still.write(png, at, png.length - at);
        return still.toByteArray();
    }

    private static String type(byte[] bytes, int at) {
        return new String(bytes, at, LENGTH, StandardCharsets.ISO_8859_1);
    }
}
