package nexa.imaging.blocks;

import java.io.IOException;
import nexa.imaging.file.ToldException;

/**
 * How far a scan's next codes and the values behind them reach: a step is a number of bits and of coefficients, and whether a
 * block ends with it. What most bits say is looked up, several codes at once. Immutable.
 */
final class ScanSteps {
    /** The next bits do not hold one code and its value, or hold what is none. */
    static final int NONE = 0;

    /** So many bits are looked up at once. */
    private static final int LOOKED_UP = 13;

    /** Of a window so many may be used, and a step can still be looked up in the rest. */
    static final int MOST_USED = ScanBits.SEEN - LOOKED_UP;

    /** More at once would never fit into a block. */
    private static final int MOST_COEFFICIENTS = 64;

    private static final int LONGEST_CODE = 16;
    private static final int SIXTEEN_ZEROS = 0xF0;
    private static final int COEFFICIENT = 1 << 6;
    private static final int END = 1 << 13;

    private final Huffman table;
    private final boolean isOfRuns;

    /** Steps by the next bits. */
    private final char[] several = new char[1 << LOOKED_UP];

    /** What is done at once where single steps are these. */
    private interface AtOnce {
        int step(char[] single, int next);
    }

    private ScanSteps(Huffman table, boolean isOfRuns, AtOnce atOnce) {
        this.table = table;
        this.isOfRuns = isOfRuns;
        char[] single = single();
        for (int next = 0; next < single.length; next++) {
            several[next] = (char) atOnce.step(single, next);
        }
    }

    /** Of a block's first coefficient (F.2.2.1). */
    static ScanSteps ofDifferences(Huffman table) {
        return new ScanSteps(table, false, (single, next) -> single[next]);
    }

    /** Of a block's other coefficients (F.2.2.2). */
    static ScanSteps ofRuns(Huffman table) {
        return new ScanSteps(table, true, ScanSteps::joined);
    }

    /** The one step that the next bits hold whole. */
    private char[] single() {
        char[] single = new char[1 << LOOKED_UP];
        table.codes((symbol, code, length) -> {
            int step = step(length, symbol);
            int open = LOOKED_UP - length;
            for (int i = 0; bits(step) <= LOOKED_UP && i < 1 << open && (code << open) + i < single.length; i++) {
                single[(code << open) + i] = (char) step;
            }
        });
        return single;
    }

    /** All that the next bits hold whole, up to a block's end. */
    private static int joined(char[] single, int next) {
        int all = NONE;
        int step = single[next];
        while (step != NONE && bits(all) + bits(step) <= LOOKED_UP && coefficients(all) < MOST_COEFFICIENTS) {
            all += step;
            if (ends(step)) {
                break;
            }
            step = single[next << bits(all) & single.length - 1];
        }
        return all;
    }

    /** A code and its value; none if it is no code of its kind. */
    private int step(int length, int symbol) {
        int value = symbol & 0xF;
        if (!isOfRuns) {
            return length + (symbol & 0x1F);
        }
        if (symbol == 0) {
            return length | END;
        }
        return value == 0 && symbol != SIXTEEN_ZEROS ? NONE : length + value + ((symbol >> 4) + 1) * COEFFICIENT;
    }

    /**
     * As many codes as are looked up at once.
     *
     * @param window the next bits, the first of them highest
     */
    int several(long window) {
        return several[(int) (window >>> Long.SIZE - LOOKED_UP)];
    }

    /**
     * One code and its value.
     *
     * @throws IOException if the next bits are no code
     */
    int next(long window) throws IOException {
        int found = table.find((int) (window >>> Long.SIZE - LONGEST_CODE));
        int step = step(found >> 8, found & 0xFF);
        if (step == NONE) {
            throw new ToldException("told.blocks.data-damaged");
        }
        return step;
    }

    static int bits(int step) {
        return step & COEFFICIENT - 1;
    }

    static int coefficients(int step) {
        return step >> 6 & 0x7F;
    }

    static boolean ends(int step) {
        return (step & END) != 0;
    }
}
