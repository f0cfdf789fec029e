package nexa.core.geometry;

/**
 * Fine rotation of a photo's content in degrees, positive = clockwise, from -45 to 45. Larger rotations are a
 * quarter turn and a tilt.
 *
 * @throws IllegalArgumentException if the angle is not a number from -45 to 45
 */
public record Tilt(double degrees) {
    public static final double LIMIT = 45;
    public static final Tilt NONE = new Tilt(0);

    public Tilt {
        if (!(Math.abs(degrees) <= LIMIT)) {
            throw new IllegalArgumentException("Tilt is from -45° to 45°, not " + degrees);
        }
        degrees = degrees + 0.0; // -0.0 becomes 0.0, so that equal tilts are equal
    }

    /** The tilt nearest to the angle. */
    public static Tilt clamped(double degrees) {
        return new Tilt(Math.clamp(degrees, -LIMIT, LIMIT));
    }

    public boolean isNone() {
        return degrees == 0;
    }

    public Tilt negated() {
        return new Tilt(-degrees);
    }

    public double cos() {
        return Math.cos(Math.toRadians(degrees));
    }

    public double sin() {
        return Math.sin(Math.toRadians(degrees));
    }

    /** The point turned by this tilt about the origin. */
    public Point rotate(Point p) {
        return new Point(p.x() * cos() - p.y() * sin(), p.x() * sin() + p.y() * cos());
    }
}
