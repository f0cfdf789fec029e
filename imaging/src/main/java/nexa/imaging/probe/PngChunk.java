package nexa.imaging.probe;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * One chunk of a PNG (ISO/IEC 15948, 5.3), as its head tells.
 *
 * @param at position of its head in the file
 * @param length number of bytes of its data, whether they are there or not; below 0 in broken files only
 */
record PngChunk(String type, long at, int length) {
    /** Bytes before the first one. */
    static final int SIGNATURE = 8;

    private static final String LAST = "IEND";

    /** The length, and the type. */
    private static final int HEAD = 8;

    private static final int LENGTH = 4;
    private static final int CHECKSUM = 4;

    /** Empty if the file ends before its head does. */
    static Optional<PngChunk> first(Bytes png) throws IOException {
        return at(png, SIGNATURE);
    }

    /** Empty behind the last one, and if the file ends before the next one's head does. */
    Optional<PngChunk> next(Bytes png) throws IOException {
        return type.equals(LAST) || length < 0 ? Optional.empty() : at(png, end());
    }

    private static Optional<PngChunk> at(Bytes png, long at) throws IOException {
        ByteBuffer head = ByteBuffer.allocate(HEAD);
        return png.read(head, at)
                ? Optional.of(new PngChunk(
                        new String(head.array(), LENGTH, HEAD - LENGTH, StandardCharsets.ISO_8859_1),
                        at,
                        head.getInt(0)))
                : Optional.empty();
    }

    /** Position of its data. */
    long data() {
        return at + HEAD;
    }

    /** Position behind its checksum. */
    long end() {
        return data() + length + CHECKSUM;
    }

    /** Whether all of it is in a file of so many bytes. */
    boolean isWholeIn(long size) {
        return length >= 0 && end() <= size;
    }
}
