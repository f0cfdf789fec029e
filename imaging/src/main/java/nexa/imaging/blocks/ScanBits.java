package nexa.imaging.blocks;

import java.io.IOException;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import nexa.imaging.file.ToldException;

/** The bits of a JPEG's scan, many at a time. Behind its end come zeros, which must not be used. */
final class ScanBits {
    private static final VarHandle INTS = MethodHandles.byteArrayViewVarHandle(int[].class, ByteOrder.BIG_ENDIAN);

    private final byte[] bytes;
    private int at;
    private long buffer;
    private int left;
    private int borrowed;

    ScanBits(byte[] bytes, int at) {
        this.bytes = bytes;
        this.at = at;
    }

    /** @param count at most 16 */
    int peek(int count) {
        if (left < count) {
            fill();
        }
        return (int) (buffer >>> left - count) & (1 << count) - 1;
    }

    /**
     * @param count at most 31
     * @throws IOException if there are not so many
     */
    void skip(int count) throws IOException {
        if (left < count) {
            fill();
        }
        left -= count;
        if (left < borrowed) {
            throw new ToldException("told.blocks.data-ends-too-early");
        }
    }

    private void fill() {
        if (at + Integer.BYTES <= bytes.length) {
            int next = (int) INTS.get(bytes, at);
            if (hasNoMarkerByte(next)) { // as nearly always
                buffer = buffer << Integer.SIZE | next & 0xFFFFFFFFL;
                left += Integer.SIZE;
                at += Integer.BYTES;
                return;
            }
        }
        fillByBytes();
    }

    /** Whether none of four bytes is 0xFF: then none of their complements is zero. */
    private static boolean hasNoMarkerByte(int four) {
        return (~four - 0x01010101 & four & 0x80808080) == 0;
    }

    private void fillByBytes() {
        while (left < Integer.SIZE) {
            int value = at < bytes.length ? bytes[at] & 0xFF : 0xFF;
            if (value != 0xFF) {
                at++;
            } else if (atMarker()) {
                value = 0;
                borrowed += Byte.SIZE;
            } else {
                at += 2;
            }
            buffer = buffer << Byte.SIZE | value;
            left += Byte.SIZE;
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
        buffer = 0;
        left = 0;
        borrowed = 0;
    }

    /**
     * The marker that ends the data is next, or the file's end.
     *
     * @throws IOException if more data is
     */
    void end() throws IOException {
        toMarker();
    }

    private void toMarker() throws IOException {
        if (left - borrowed >= Byte.SIZE || !atMarker()) {
            throw new ToldException("told.blocks.data-too-much");
        }
        while (at + 1 < bytes.length && bytes[at + 1] == (byte) 0xFF) { // fill bytes
            at++;
        }
    }
}
