package nexa.imaging.blocks;

import java.io.ByteArrayOutputStream;

/** Writes the bits of a scan, with a zero behind each 0xFF (F.1.2.3). */
final class BitWriter {
    private final ByteArrayOutputStream out;
    private int bits;
    private int held;

    BitWriter(ByteArrayOutputStream out) {
        this.out = out;
    }

    /** @param count 0 to 16 */
    void write(int value, int count) {
        bits = bits << count | value & (1 << count) - 1;
        held += count;
        while (held >= 8) {
            held -= 8;
            put(bits >>> held & 0xFF);
        }
        bits &= (1 << held) - 1;
    }

    private void put(int value) {
        out.write(value);
        if (value == 0xFF) {
            out.write(0);
        }
    }

    /** Fills the last byte with ones. */
    void end() {
        if (held > 0) {
            write(0xFF, 8 - held);
        }
    }
}
