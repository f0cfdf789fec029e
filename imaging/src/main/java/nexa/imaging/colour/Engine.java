package nexa.imaging.colour;

/**
 * Converts colours exactly: pixels one after the other, the channels of each in the order of its profile, or blue before
 * red.
 */
sealed interface Engine permits DirectEngine, AdjustedEngine {
    byte[] convert(byte[] pixels, int width, int height, boolean blueFirst);

    short[] convert(short[] pixels, int width, int height, boolean blueFirst);

    /** Pixels in no order of a picture's. */
    default short[] convert(short[] pixels, int channels) {
        return convert(pixels, pixels.length / channels, 1, false);
    }
}
