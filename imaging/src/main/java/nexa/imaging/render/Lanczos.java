package nexa.imaging.render;

/**
 * Lanczos' kernel of four lobes, as wide as a reduction asks (K. Turkowski, "Filters for Common Resampling Tasks", Graphics
 * Gems, 1990).
 */
final class Lanczos {
    private static final int LOBES = 4;

    private Lanczos() {}

    /**
     * Of an odd number, the same to both sides; their sum is 1.
     *
     * @param reduction source pixels to an output pixel, more than 1
     */
    static float[] weights(double reduction) {
        int reach = (int) Math.ceil(LOBES * reduction) - 1;
        float[] weights = new float[2 * reach + 1];
        for (int i = 0; i < weights.length; i++) {
            double x = (i - reach) / reduction;
            weights[i] = (float) (sinc(x) * sinc(x / LOBES));
        }
        return summingToOne(weights);
    }

    /** sin(πx) / πx. */
    static double sinc(double x) {
        return x == 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    }

    static float[] summingToOne(float[] weights) {
        double sum = 0;
        for (float weight : weights) {
            sum += weight;
        }
        float[] scaled = new float[weights.length];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = (float) (weights[i] / sum);
        }
        return scaled;
    }
}
