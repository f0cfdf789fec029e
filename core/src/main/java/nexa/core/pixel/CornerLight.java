package nexa.core.pixel;

/**
 * What a lens took away towards the corners, given back: gain = 1 / (1 + k1 R² + k2 R⁴ + k3 R⁶), R = distance from the
 * photo's centre, 1 at its corners (the model "pa" of the open lens calibration format).
 */
public record CornerLight(double k1, double k2, double k3) implements LightStep {
    /** A lens that takes all light away has no inverse. */
    private static final double LEAST = 0.05;

    /** @param squared R² */
    public double gain(double squared) {
        return 1 / Math.max(LEAST, 1 + squared * (k1 + squared * (k2 + squared * k3)));
    }
}
