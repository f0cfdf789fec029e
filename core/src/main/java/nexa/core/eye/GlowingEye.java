package nexa.core.eye;

import nexa.core.geometry.Point;

/**
 * A generous circle around a pupil that glows; outside it no pixel changes.
 *
 * @param centre in the isotropic unit of the photo as shot
 * @param radius in the same unit
 * @param strength how much of the glow goes, 0 to 1
 * @throws IllegalArgumentException if the circle has no size or is larger than an eye can be, or the strength is none
 */
public record GlowingEye(Point centre, double radius, Glow glow, double strength) {
    /** Radii, in long edges. */
    public static final double SMALLEST = 0.001;

    public static final double LARGEST = 0.2;

    /** What glows. */
    public enum Glow {
        /** A person's: red to orange. */
        RED,
        /** An animal's: yellow, green, blue or white. */
        BRIGHT
    }

    public GlowingEye {
        if (!(radius >= SMALLEST && radius <= LARGEST) || !(strength >= 0 && strength <= 1)) {
            throw new IllegalArgumentException("No glowing eye: radius " + radius + ", strength " + strength);
        }
    }

    public GlowingEye(Point centre, double radius, Glow glow) {
        this(centre, radius, glow, 1);
    }

    public GlowingEye withStrength(double other) {
        return new GlowingEye(centre, radius, glow, Math.clamp(other, 0, 1));
    }

    public GlowingEye withGlow(Glow other) {
        return new GlowingEye(centre, radius, other, strength);
    }

    public boolean holds(Point asShot) {
        return centre.distance(asShot) <= radius;
    }
}
