package nexa.imaging.blocks;

import java.io.IOException;
import java.util.Arrays;
import nexa.imaging.file.ToldException;

/** A Huffman table, to read with and to write with (C.2, F.2.2.3). */
final class Huffman {
    private static final int LONGEST = 16;

    /** Figure K.3, with the categories that 8-bit pictures have. */
    static final Huffman DC = new Huffman(
            new int[] {0, 1, 5, 1, 1, 1, 1, 1, 1, 0, 0, 0, 0, 0, 0, 0},
            new int[] {0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11});

    private final int[] counts;
    private final int[] symbols;
    private final int[] codeOf = new int[256];
    private final int[] lengthOf = new int[256];

    /**
     * @param counts of codes with 1 to 16 bits
     * @param symbols in the order of their codes
     */
    Huffman(int[] counts, int[] symbols) {
        this.counts = counts;
        this.symbols = symbols;
        int code = 0;
        int next = 0;
        for (int length = 1; length <= LONGEST; length++) {
            for (int i = 0; i < counts[length - 1]; i++) {
                codeOf[symbols[next]] = code++;
                lengthOf[symbols[next++]] = length;
            }
            code <<= 1;
        }
    }

    /** @throws IOException if the bits are no code of this table */
    int read(BitReader bits) throws IOException {
        int code = 0;
        int first = 0;
        int index = 0;
        for (int count : counts) {
            code |= bits.read(1);
            if (code - first < count) {
                return symbols[index + code - first];
            }
            index += count;
            first = first + count << 1;
            code <<= 1;
        }
        throw new ToldException("told.blocks.data-damaged");
    }

    /** Told of every code. */
    interface Codes {
        void take(int symbol, int code, int length);
    }

    void codes(Codes told) {
        for (int symbol : symbols) {
            told.take(symbol, codeOf[symbol], lengthOf[symbol]);
        }
    }

    /**
     * The code that begins so.
     *
     * @param bits the next 16
     * @return its length in the upper, its symbol in the lower byte
     * @throws IOException if no code of this table begins so
     */
    int find(int bits) throws IOException {
        int first = 0;
        int index = 0;
        for (int length = 1; length <= LONGEST; length++) {
            int code = bits >> LONGEST - length;
            int count = counts[length - 1];
            if (code - first < count) {
                return length << 8 | symbols[index + code - first];
            }
            index += count;
            first = first + count << 1;
        }
        throw new ToldException("told.blocks.data-damaged");
    }

    void write(int symbol, BitWriter bits) {
        bits.write(codeOf[symbol], lengthOf[symbol]);
    }

    /** The payload of a segment that defines this table (B.2.4.2). */
    byte[] segment(int kindAndNumber) {
        byte[] payload = new byte[1 + LONGEST + symbols.length];
        payload[0] = (byte) kindAndNumber;
        for (int i = 0; i < LONGEST; i++) {
            payload[1 + i] = (byte) counts[i];
        }
        for (int i = 0; i < symbols.length; i++) {
            payload[1 + LONGEST + i] = (byte) symbols[i];
        }
        return payload;
    }

    /** From a segment's bytes at a place. */
    static Huffman of(byte[] bytes, int at) throws IOException {
        int[] counts = new int[LONGEST];
        int all = 0;
        for (int i = 0; i < LONGEST; i++) {
            counts[i] = bytes[at + i] & 0xFF;
            all += counts[i];
        }
        if (all > 256 || at + LONGEST + all > bytes.length) {
            throw new ToldException("told.blocks.tables-damaged");
        }
        int[] symbols = new int[all];
        Arrays.setAll(symbols, i -> bytes[at + LONGEST + i] & 0xFF);
        return new Huffman(counts, symbols);
    }

    /** Bytes that {@link #of} read. */
    int size() {
        return LONGEST + symbols.length;
    }
}
