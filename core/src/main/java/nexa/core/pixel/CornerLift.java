package nexa.core.pixel;

/**
 * Corners made lighter or darker by eye: gain = 2^(stops · R^p), R = distance from the photo's centre, 1 at its corners, p
 * such that half of the stops are reached at the midpoint.
 *
 * @param stops at the corners; negative = darker
 * @param midpoint R, between 0 and 1
 */
public record CornerLift(double stops, double midpoint) implements LightStep {
    @Override
    public double gain(double squared) {
        double power = Math.log(0.5) / Math.log(midpoint);
        return Math.pow(2, stops * Math.pow(squared, power / 2));
    }
}
