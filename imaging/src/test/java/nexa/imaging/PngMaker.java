package nexa.imaging;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;

/** PNGs that say more than those who make them let them. */
public final class PngMaker {
    /** Signature and size. */
    public static final int BEFORE = 33;

    private PngMaker() {}

    public static byte[] chunk(String type, byte[] content) {
        ByteBuffer chunk = ByteBuffer.allocate(12 + content.length);
        chunk.putInt(content.length)
                .put(type.getBytes(StandardCharsets.US_ASCII))
                .put(content);
        CRC32 checksum = new CRC32();
        checksum.update(chunk.array(), 4, 4 + content.length);
        return chunk.putInt((int) checksum.getValue()).array();
    }

    /** With chunks right behind its size. */
    public static byte[] with(byte[] png, byte[]... chunks) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(png, 0, BEFORE);
        for (byte[] chunk : chunks) {
            out.writeBytes(chunk);
        }
        out.write(png, BEFORE, png.length - BEFORE);
        return out.toByteArray();
    }
}
