package nexa.core.pixel;

/**
 * What a lens took away towards the corners, given back: gain = 1 / (1 + k1 R² + k2 R⁴ + k3 R⁶), R = distance from the
 * photo's centre, 1 at its corners (the model "pa" of the open lens calibration format).
 *
 * @param amount how much of the gain is given: 0 = none, 1 = all
 */
public record CornerLight(double k1, double k2, double k3, double amount) implements LightStep {
    /** A lens that takes all light away has no inverse. */
    private static final double LEAST = 0.05;

    public CornerLight(double k1, double k2, double k3) {
        this(k1, k2, k3, 1);
    }

    public CornerLight times(double more) {
        return new CornerLight(k1, k2, k3, more);
    }

    @Override
    public double gain(double squared) {
        double whole = 1 / Math.max(LEAST, 1 + squared * (k1 + squared * (k2 + squared * k3)));
        return amount == 1 ? whole : 1 + amount * (whole - 1);
    }
}
