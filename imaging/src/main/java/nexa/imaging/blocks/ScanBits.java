package nexa.imaging.blocks;

import java.io.IOException;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import nexa.imaging.file.ToldException;

/** The bits of a JPEG's scan, many at a time. Behind its end come zeros, which must not be used. */
final class ScanBits {
    private static final VarHandle LONGS = MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.BIG_ENDIAN);

    /** Of a window, at least. */
    static final int SEEN = 48;

    private final byte[] bytes;
    private int at;

    /** The next bits, the first of them highest. */
    private long window;

    private int filled;
    private int borrowed;

    ScanBits(byte[] bytes, int at) {
        this.bytes = bytes;
        this.at = at;
    }

    /** The next bits, the first of them highest; {@link #SEEN} at least. */
    long window() {
        if (filled < SEEN) {
            fill();
        }
        return window;
    }

    /**
     * @param count at most {@link #SEEN} after a window was seen
     * @throws IOException if there are not so many
     */
    void skip(int count) throws IOException {
        window <<= count;
        filled -= count;
        if (filled < borrowed) {
            throw new ToldException("told.blocks.data-ends-too-early");
        }
    }

    private void fill() {
        if (at + Long.BYTES <= bytes.length) {
            long next = (long) LONGS.get(bytes, at);
            if (hasNoMarkerByte(next)) { // as nearly always
                window |= next >>> filled; // of its last byte perhaps a part, which is the same when that byte comes
                int taken = (Long.SIZE - filled) / Byte.SIZE;
                filled += taken * Byte.SIZE;
                at += taken;
                return;
            }
        }
        fillByBytes();
    }

    /** Whether none of eight bytes is 0xFF: then none of their complements is zero. */
    private static boolean hasNoMarkerByte(long eight) {
        return (~eight - 0x0101010101010101L & eight & 0x8080808080808080L) == 0;
    }

    private void fillByBytes() {
        while (filled < SEEN) {
            int value = at < bytes.length ? bytes[at] & 0xFF : 0xFF;
            if (value != 0xFF) {
                at++;
            } else if (atMarker()) {
                value = 0;
                borrowed += Byte.SIZE;
            } else {
                at += 2;
            }
            window |= (long) value << Long.SIZE - Byte.SIZE - filled;
            filled += Byte.SIZE;
        }
    }

    private boolean atMarker() {
        return at >= bytes.length || bytes[at] == (byte) 0xFF && (at + 1 >= bytes.length || bytes[at + 1] != 0);
    }

    /**
     * Passes over what is left of a byte and the marker that must be next (E.2.4).
     *
     * @throws IOException if it is another
     */
    void restart() throws IOException {
        toMarker();
        if (at + 1 >= bytes.length || (bytes[at + 1] & 0xF8) != 0xD0) {
            throw new ToldException("told.blocks.data-damaged");
        }
        at += 2;
        window = 0;
        filled = 0;
        borrowed = 0;
    }

    /**
     * Where the marker is that ends the data, or the file's end.
     *
     * @throws IOException if more data is next
     */
    int end() throws IOException {
        toMarker();
        return at;
    }

    private void toMarker() throws IOException {
        if (filled - borrowed >= Byte.SIZE || !atMarker()) {
            throw new ToldException("told.blocks.data-too-much");
        }
        while (at + 1 < bytes.length && bytes[at + 1] == (byte) 0xFF) { // fill bytes
            at++;
        }
    }
}
