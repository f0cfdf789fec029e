package nexa.imaging.blocks;

import java.io.IOException;
import nexa.imaging.file.ToldException;

/** The bits of a scan, without the zero that follows each 0xFF (F.1.2.3). */
final class BitReader {
    private final byte[] bytes;
    private int at;
    private int bits;
    private int left;

    BitReader(byte[] bytes, int at) {
        this.bytes = bytes;
        this.at = at;
    }

    /** @param count 0 to 16 */
    int read(int count) throws IOException {
        while (left < count) {
            bits = bits << 8 | next();
            left += 8;
        }
        left -= count;
        return bits >>> left & (1 << count) - 1;
    }

    private int next() throws IOException {
        if (at >= bytes.length) {
            throw new ToldException("told.blocks.data-ends-too-early");
        }
        int value = bytes[at++] & 0xFF;
        if (value == 0xFF) {
            if (at >= bytes.length || bytes[at] != 0) {
                throw new ToldException("told.blocks.data-ends-too-early");
            }
            at++;
        }
        return value;
    }

    /** Passes over what is left of a byte and the marker that must be next (E.2.4). */
    void restart() throws IOException {
        left = 0;
        bits = 0;
        while (at + 1 < bytes.length && (bytes[at] & 0xFF) == 0xFF && (bytes[at + 1] & 0xFF) == 0xFF) {
            at++; // fill bytes
        }
        boolean marker = at + 1 < bytes.length && (bytes[at] & 0xFF) == 0xFF && (bytes[at + 1] & 0xF8) == 0xD0;
        if (!marker) {
            throw new ToldException("told.blocks.data-damaged");
        }
        at += 2;
    }
}
