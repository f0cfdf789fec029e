package nexa.imaging.blocks;

import java.io.IOException;

/** A Huffman table read by many bits at once. Immutable. */
final class CodeLookup {
    private static final int LOOKED_UP = 10;
    private static final int LONGEST = 16;

    private final Huffman table;

    /** By the next bits; 0 = a longer code. */
    private final char[] codes = new char[1 << LOOKED_UP];

    CodeLookup(Huffman table) {
        this.table = table;
        table.codes((symbol, code, length) -> {
            int open = LOOKED_UP - length;
            for (int i = 0; open >= 0 && i < 1 << open && (code << open) + i < codes.length; i++) {
                codes[(code << open) + i] = (char) (length << 8 | symbol);
            }
        });
    }

    /**
     * The next code.
     *
     * @param window the next bits, the first of them highest
     * @return its length in the upper, its symbol in the lower byte
     * @throws IOException if the next bits are no code
     */
    int code(long window) throws IOException {
        int code = codes[(int) (window >>> Long.SIZE - LOOKED_UP)];
        return code != 0 ? code : table.find((int) (window >>> Long.SIZE - LONGEST));
    }
}
