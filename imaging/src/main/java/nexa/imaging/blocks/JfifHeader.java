package nexa.imaging.blocks;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/** The header of a JFIF file (JFIF 1.02), without the small picture of the whole that it may hold. */
final class JfifHeader {
    private static final String NAME = "JFIF\0";

    /** Marker, length, name, version, units, densities, and the small picture's two sides. */
    private static final int LENGTH = 4 + 5 + 2 + 1 + 4 + 2;

    private JfifHeader() {}

    /** @return empty for an extension's segment, which holds nothing but such a picture */
    static Optional<byte[]> plain(byte[] segment) {
        boolean jfif = segment.length >= LENGTH
                && new String(segment, 4, NAME.length(), StandardCharsets.ISO_8859_1).equals(NAME);
        if (!jfif) {
            return Optional.empty();
        }
        byte[] plain = Arrays.copyOf(segment, LENGTH);
        ByteBuffer.wrap(plain).putShort(2, (short) (LENGTH - 2)).putShort(LENGTH - 2, (short) 0);
        return Optional.of(plain);
    }
}
