package nexa.imaging.fill;

/** Values that are evened out among themselves. */
final class Evened {
    private Evened() {}

    /**
     * The mean over a square of those that count, twice, which is nearly a bell.
     *
     * @param values three for each pixel
     * @param counts which of them count; the others stay
     */
    static void out(float[] values, boolean[] counts, int width, int height, int radius) {
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
