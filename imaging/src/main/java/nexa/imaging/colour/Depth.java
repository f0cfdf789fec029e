package nexa.imaging.colour;

/** Between samples of 8 and of 16 bits: all values are used in either, 255 is 65535. */
final class Depth {
    private static final int STRETCH = 257;

    private Depth() {}

    /** @param eight 0 to 255 */
    static short deep(int eight) {
        return (short) (eight * STRETCH);
    }

    /**
     * The nearest, 0 to 255.
     *
     * @param deep taken without sign
     */
    static int eight(short deep) {
        return ((deep & 0xFFFF) + STRETCH / 2) / STRETCH;
    }
}
