package nexa.core.lens;

/**
 * The settings that a photo was taken with.
 *
 * @param focal the lens's own, in mm
 * @param aperture f-number
 * @param distance to what is sharp, in metres
 */
public record Taken(double focal, double aperture, double distance) {
    /** What counts as far where nothing is known of the distance, in metres. */
    public static final double FAR = 1000;

    /** @throws IllegalArgumentException if one is not positive or not finite */
    public Taken {
        if (!(focal > 0) || !(aperture > 0) || !(distance > 0) || !Double.isFinite(focal + aperture + distance)) {
            throw new IllegalArgumentException(
                    "Nothing is taken at " + focal + " mm, f/" + aperture + ", " + distance + " m");
        }
    }
}
