package nexa.imaging.render;

import java.nio.IntBuffer;

/**
 * A colour laid over a picture; where there is no picture there is none of it. Two of a pixel's channels are mixed in one
 * multiplication, rows at a time, which takes a quarter of the time of a colour matrix.
 */
public final class Veil {
    private static final int RED_BLUE = 0x00FF00FF;
    private static final int HALF_EACH = 0x00800080;

    private final int left;
    private final int redBlue;
    private final int green;

    /** @param argb 0xAARRGGBB, the colours not times the opacity */
    public Veil(int argb) {
        int opacity = argb >>> 24;
        this.left = 255 - opacity;
        this.redBlue = part(argb >> 16, opacity) << 16 | part(argb, opacity);
        this.green = part(argb >> 8, opacity);
    }

    private static int part(int channel, int opacity) {
        return (int) Math.round((channel & 0xFF) * opacity / 255.0);
    }

    /**
     * Puts the veiled picture of another one into a buffer, within one of 255.
     *
     * @param from width × height pixels, 0xAARRGGBB, the colours times the opacity
     * @param to as many; may be the same
     */
    public void over(IntBuffer from, IntBuffer to, int width, int height) {
        int[] row = new int[width];
        for (int y = 0; y < height; y++) {
            from.get(y * width, row);
            over(row, width);
            to.put(y * width, row);
        }
    }

    /** One pixel under the veil. */
    int over(int pixel) {
        int opacity = pixel >>> 24;
        int outer = over255((pixel & RED_BLUE) * left + opacity * redBlue);
        int middle = over255((pixel >>> 8 & 0xFF) * left + opacity * green);
        return pixel & 0xFF000000 | outer | middle << 8;
    }

    private void over(int[] row, int count) {
        for (int x = 0; x < count; x++) {
            row[x] = over(row[x]);
        }
    }

    /** Two numbers of 16 bits beside each other, each divided by 255 and rounded; neither is larger than 255². */
    private static int over255(int pair) {
        int more = pair + HALF_EACH;
        return more + (more >>> 8 & RED_BLUE) >>> 8 & RED_BLUE;
    }
}
