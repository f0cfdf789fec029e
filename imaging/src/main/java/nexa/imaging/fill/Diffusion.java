package nexa.imaging.fill;

/** Values that spread into where there are none, and are evened out among themselves. */
final class Diffusion {
    private Diffusion() {}

    /** Unknown pixels become the mean of what is around them, ring by ring from the edge of the photo. */
    static void into(Pixels pixels) {
        boolean[] filled = pixels.known().clone();
        int width = pixels.width();
        for (boolean changed = true; changed; ) {
            boolean[] before = filled.clone();
            changed = false;
            for (int i = 0; i < filled.length; i++) {
                changed |= !before[i] && mean(pixels, before, filled, i % width, i / width);
            }
        }
    }

    private static boolean mean(Pixels pixels, boolean[] before, boolean[] filled, int x, int y) {
        int to = y * pixels.width() + x;
        int count = 0;
        float[] sum = new float[3];
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                int at = (y + dy) * pixels.width() + x + dx;
                if (pixels.has(x + dx, y + dy) && before[at]) {
                    count++;
                    for (int c = 0; c < 3; c++) {
                        sum[c] += pixels.values()[3 * at + c];
                    }
                }
            }
        }
        for (int c = 0; c < 3 && count > 0; c++) {
            pixels.values()[3 * to + c] = sum[c] / count;
        }
        filled[to] = count > 0;
        return count > 0;
    }

    /**
     * The mean over a square of those that count, twice, which is nearly a bell.
     *
     * @param values three for each pixel
     * @param counts which of them count; the others stay
     */
    static void blur(float[] values, boolean[] counts, int width, int height, int radius) {
        for (int pass = 0; pass < 2; pass++) {
            mean(values, counts, width, height, radius, 1);
            mean(values, counts, height, width, radius, width);
        }
    }

    /** Along lines; along columns if the step is the width. */
    private static void mean(float[] values, boolean[] counts, int length, int lines, int radius, int step) {
        int across = step == 1 ? length : 1;
        float[] line = new float[3 * length];
        for (int l = 0; l < lines; l++) {
            int first = l * across;
            float[] sum = new float[3];
            int count = 0;
            for (int i = -radius; i < length; i++) {
                int entering = first + (i + radius) * step;
                if (i + radius < length && counts[entering]) {
                    count++;
                    add(sum, values, entering, 1);
                }
                int leaving = first + (i - radius - 1) * step;
                if (i - radius - 1 >= 0 && counts[leaving]) {
                    count--;
                    add(sum, values, leaving, -1);
                }
                for (int c = 0; c < 3 && i >= 0; c++) {
                    line[3 * i + c] = count > 0 ? sum[c] / count : 0;
                }
            }
            for (int i = 0; i < length; i++) {
                int at = first + i * step;
                for (int c = 0; c < 3 && counts[at]; c++) {
                    values[3 * at + c] = line[3 * i + c];
                }
            }
        }
    }

    private static void add(float[] sum, float[] values, int pixel, int sign) {
        for (int c = 0; c < 3; c++) {
            sum[c] += sign * values[3 * pixel + c];
        }
    }
}
