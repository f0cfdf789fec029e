package nexa.imaging.blocks;

import java.io.IOException;
import nexa.imaging.blocks.BlockJpeg.Component;
import nexa.imaging.file.ToldException;

/** Goes through a scan's codes without decoding what they say (ITU T.81, F.2.2). */
final class ScanWalk {
    private static final int COEFFICIENTS = 64;
    private static final int SIXTEEN_ZEROS = 0xF0;

    private final BlockJpeg jpeg;
    private final ScanBits bits;

    ScanWalk(BlockJpeg jpeg) {
        this.jpeg = jpeg;
        this.bits = new ScanBits(jpeg.bytes(), jpeg.scan());
    }

    /** @throws IOException if a code is none of its table, or the last does not end where the picture ends */
    void toTheEnd() throws IOException {
        int count = jpeg.components().size();
        CodeTable[] dc = new CodeTable[count];
        RunTable[] ac = new RunTable[count];
        int[] blocks = new int[count];
        for (int i = 0; i < count; i++) {
            Component component = jpeg.components().get(i);
            dc[i] = new CodeTable(jpeg.dcTable(component));
            ac[i] = new RunTable(new CodeTable(jpeg.acTable(component)));
            blocks[i] = component.across() * component.down();
        }
        int units = Math.ceilDiv(jpeg.size().width(), jpeg.unitWidth())
                * Math.ceilDiv(jpeg.size().height(), jpeg.unitHeight());
        for (int unit = 0; unit < units; unit++) {
            if (jpeg.restart() > 0 && unit > 0 && unit % jpeg.restart() == 0) {
                bits.restart();
            }
            for (int i = 0; i < count; i++) {
                for (int block = 0; block < blocks[i]; block++) {
                    block(dc[i], ac[i]);
                }
            }
        }
        bits.end();
    }

    private void block(CodeTable dc, RunTable ac) throws IOException {
        bits.skip(dc.read(bits) & 0x1F);
        int coefficient = 1;
        while (coefficient < COEFFICIENTS) {
            int run = ac.next(bits);
            if (run != RunTable.NONE && coefficient + RunTable.coefficients(run) < COEFFICIENTS) {
                bits.skip(RunTable.bits(run));
                coefficient += RunTable.coefficients(run);
                if (RunTable.ends(run)) {
                    return;
                }
                continue;
            }
            int symbol = ac.codes().read(bits);
            if (symbol == 0) {
                return;
            }
            bits.skip(valueBits(symbol));
            coefficient += coefficients(symbol);
        }
        if (coefficient > COEFFICIENTS) {
            throw new ToldException("told.blocks.data-damaged");
        }
    }

    /** How many bits follow the code of an AC symbol, which is not the end of a block. */
    private static int valueBits(int symbol) throws IOException {
        int size = symbol & 0xF;
        if (size == 0 && symbol != SIXTEEN_ZEROS) {
            throw new ToldException("told.blocks.data-damaged");
        }
        return size;
    }

    /** How many coefficients an AC symbol and its value stand for. */
    private static int coefficients(int symbol) {
        return (symbol >> 4) + 1;
    }

    /** A Huffman table by the next bits: what most codes need is looked up at once. */
    private static final class CodeTable {
        private static final int LOOKED_UP = 10;
        private static final int LONGEST = 16;

        /** Length in the upper, symbol in the lower byte; 0 = a longer code. */
        private final short[] byBits = new short[1 << LOOKED_UP];

        private final Huffman table;

        CodeTable(Huffman table) {
            this.table = table;
            table.codes((symbol, code, length) -> {
                if (length <= LOOKED_UP) {
                    int first = code << LOOKED_UP - length;
                    for (int i = 0; i < 1 << LOOKED_UP - length && first + i < byBits.length; i++) {
                        byBits[first + i] = (short) (length << 8 | symbol);
                    }
                }
            });
        }

        int read(ScanBits bits) throws IOException {
            int entry = byBits[bits.peek(LOOKED_UP)];
            if (entry == 0) {
                entry = table.find(bits.peek(LONGEST));
            }
            bits.skip(entry >> 8);
            return entry & 0xFF;
        }
    }

    /** All symbols and values that the next bits hold whole, up to a block's end, as one step. */
    private static final class RunTable {
        /** The next bits do not hold one symbol and its value, or hold what is none. */
        static final int NONE = 0;

        private static final int LOOKED_UP = 13;
        private static final int END = 1 << 16;

        /** Bits in the lowest byte, coefficients in the next, and whether the block ends. */
        private final int[] byBits = new int[1 << LOOKED_UP];

        private final CodeTable codes;

        RunTable(CodeTable codes) {
            this.codes = codes;
            for (int i = 0; i < byBits.length; i++) {
                byBits[i] = run(i);
            }
        }

        private int run(int next) {
            int run = NONE;
            int used = 0;
            while (true) {
                int left = next << used & byBits.length - 1;
                int entry = codes.byBits[left >> LOOKED_UP - CodeTable.LOOKED_UP];
                int symbol = entry & 0xFF;
                int size = symbol & 0xF;
                used += (entry >> 8) + size;
                if (entry == 0 || used > LOOKED_UP || size == 0 && symbol != 0 && symbol != SIXTEEN_ZEROS) {
                    return run;
                }
                if (symbol == 0) {
                    return run & ~0xFF | used | END;
                }
                run = (run & ~0xFF) + (ScanWalk.coefficients(symbol) << 8) | used;
            }
        }

        CodeTable codes() {
            return codes;
        }

        int next(ScanBits bits) {
            return byBits[bits.peek(LOOKED_UP)];
        }

        static int bits(int run) {
            return run & 0xFF;
        }

        static int coefficients(int run) {
            return run >> 8 & 0xFF;
        }

        static boolean ends(int run) {
            return (run & END) != 0;
        }
    }
}
