package nexa.imaging.pixels;

/**
 * Opaque pixels for a screen, row by row from the top, each 0xFFRRGGBB.
 *
 * @param argb width × height values; not copied, not to be changed
 */
public record Raster(int width, int height, int[] argb) {
    public Raster {
        if (argb.length != width * height) {
            throw new IllegalArgumentException(argb.length + " pixels are not " + width + " × " + height);
        }
    }

    /** Bytes held. */
    public long weight() {
        return 4L * argb.length;
    }
}
