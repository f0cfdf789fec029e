package nexa.imaging.colour;

/**
 * Up to four channels of 16 bits packed in a number, the first in the lowest bits, and sums of such numbers: every second
 * channel by itself, so that there is room beside it.
 */
final class Lanes {
    /** Of what weights add up to. */
    static final int WEIGHT_BITS = 16;

    static final int WHOLE = 1 << WEIGHT_BITS;

    /** What a sum begins with, to be rounded. */
    static final long HALF = (WHOLE / 2L << 32) + WHOLE / 2L;

    private static final long EVERY_SECOND = 0x0000_FFFF_0000_FFFFL;

    private Lanes() {}

    /** Packs pixels, each into one number. */
    static long[] packed(short[] colours, int channels) {
        long[] packed = new long[colours.length / channels];
        for (int i = 0; i < colours.length; i++) {
            packed[i / channels] |= (colours[i] & 0xFFFFL) << 16 * (i % channels);
        }
        return packed;
    }

    /**
     * Takes packed channels apart.
     *
     * @param to where the first of them goes
     * @param channels 3 or 4
     */
    static void unpack(long packed, short[] colours, int to, int channels) {
        colours[to] = (short) packed;
        colours[to + 1] = (short) (packed >>> 16);
        colours[to + 2] = (short) (packed >>> 32);
        if (channels == 4) {
            colours[to + 3] = (short) (packed >>> 48);
        }
    }

    /** The first and the third channel, with room beside them. */
    static long even(long packed) {
        return packed & EVERY_SECOND;
    }

    /** The second and the fourth. */
    static long odd(long packed) {
        return packed >>> 16 & EVERY_SECOND;
    }

    /** Packs sums whose weights add up to {@link #WHOLE}, of even and of odd channels. */
    static long joined(long even, long odd) {
        return even >>> WEIGHT_BITS & EVERY_SECOND | odd & ~EVERY_SECOND;
    }
}
