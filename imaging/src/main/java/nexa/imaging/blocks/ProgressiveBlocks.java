package nexa.imaging.blocks;

import java.io.IOException;
import nexa.imaging.blocks.ScanHeader.Part;
import nexa.imaging.file.ToldException;

/** What one of a progressive picture's scans says of a component's blocks (G.1.2). */
final class ProgressiveBlocks {
    private ProgressiveBlocks() {}

    /** The first bits of first coefficients (G.1.2.1). */
    static BlockWalk differences(ScanBits bits, Huffman table) {
        CodeLookup codes = new CodeLookup(table);
        return () -> {
            int code = codes.code(bits.window());
            bits.skip((code >> 8) + (code & 0x1F));
        };
    }

    /** One more bit of each first coefficient. */
    static BlockWalk oneBit(ScanBits bits) {
        return () -> {
            bits.window();
            bits.skip(1);
        };
    }

    /**
     * The other coefficients.
     *
     * @param part which of them, and whether they were there before
     * @param known of each block a bit for each coefficient that is not zero; what the scan adds is noted in it
     */
    static BlockWalk coefficients(ScanBits bits, Huffman table, Part part, long[] known) {
        return part.refines()
                ? new Refined(bits, new CodeLookup(table), part, known)
                : new First(bits, new CodeLookup(table), part, known);
    }

    private static ToldException damaged() {
        return new ToldException("told.blocks.data-damaged");
    }

    /** What both kinds have: codes, and runs of blocks of which nothing more is said. */
    private abstract static class Coefficients implements BlockWalk {
        private static final int SIXTEEN_ZEROS = 15;

        final ScanBits bits;
        private final CodeLookup codes;
        final Part part;
        final long[] known;
        private int block;
        private int ended;

        Coefficients(ScanBits bits, CodeLookup codes, Part part, long[] known) {
            this.bits = bits;
            this.codes = codes;
            this.part = part;
            this.known = known;
        }

        @Override
        public void restart() {
            ended = 0;
        }

        @Override
        public void next() throws IOException {
            int open = ended > 0 ? part.from() : said(block);
            if (ended > 0) {
                untold(block, open);
                ended--;
            }
            block++;
        }

        /** Goes through a block's codes; the coefficient at which they end, or where a run of ended blocks begins. */
        private int said(int block) throws IOException {
            int at = part.from();
            while (at <= part.to()) {
                int code = codes.code(bits.window());
                int run = code >> 4 & 0xF;
                int size = code & 0xF;
                if (size == 0 && run < SIXTEEN_ZEROS) {
                    end(code >> 8, run);
                    return at;
                }
                bits.skip((code >> 8) + size);
                int reached = reached(block, at, run, size);
                if (size > 0) {
                    add(block, reached);
                }
                at = reached + 1;
            }
            return at;
        }

        /**
         * The coefficient that a code is about.
         *
         * @param at the next one of which nothing was said
         * @param run zeros before it
         * @param size bits of its value; 0 if it is zero too
         */
        abstract int reached(int block, int at, int run, int size) throws IOException;

        /** Of the rest of a block from a coefficient on nothing new is said. */
        void untold(int block, int from) throws IOException {}

        /** A coefficient is no longer zero. */
        private void add(int block, int coefficient) throws IOException {
            if (coefficient > part.to()) {
                throw damaged();
            }
            known[block] |= 1L << coefficient;
        }

        /** A run of ended blocks begins with this one: passes over its code and length. */
        private void end(int length, int run) throws IOException {
            long behind = bits.window() << length;
            ended = (1 << run) + (int) (behind >>> 1 >>> Long.SIZE - 1 - run);
            bits.skip(length + run);
        }
    }

    private static final class First extends Coefficients {
        First(ScanBits bits, CodeLookup codes, Part part, long[] known) {
            super(bits, codes, part, known);
        }

        @Override
        int reached(int block, int at, int run, int size) {
            return at + run;
        }
    }

    /** One more bit of each that is not zero, and those that are no longer zero (G.1.2.3). */
    private static final class Refined extends Coefficients {
        Refined(ScanBits bits, CodeLookup codes, Part part, long[] known) {
            super(bits, codes, part, known);
        }

        @Override
        int reached(int block, int at, int run, int size) throws IOException {
            if (size > 1) {
                throw damaged();
            }
            long before = known[block];
            int next = zero(before, at, run);
            oneMore(next <= part.to() ? next - at - run : notZero(before, at));
            return next;
        }

        /** The coefficient that was zero, behind so many others that were. */
        private int zero(long before, int from, int others) {
            int at = from;
            int left = others;
            while (at <= part.to() && ((before >>> at & 1) != 0 || left-- > 0)) {
                at++;
            }
            return at;
        }

        @Override
        void untold(int block, int from) throws IOException {
            oneMore(notZero(known[block], from));
        }

        /** How many are not zero from one on. */
        private int notZero(long before, int from) {
            long theirs = before & -1L >>> Long.SIZE - 1 - part.to();
            return from > part.to() ? 0 : Long.bitCount(theirs >>> from);
        }

        /** A bit for each of so many. */
        private void oneMore(int count) throws IOException {
            int left = count;
            while (left > 0) {
                int seen = Math.min(left, ScanBits.SEEN);
                bits.window();
                bits.skip(seen);
                left -= seen;
            }
        }
    }
}
