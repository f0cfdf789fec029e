package nexa.shoot.lens;

/** What a file does not say of how the photo was taken, so that something is taken for it. */
public enum Assumed {
    /** Taken as far away. */
    NO_DISTANCE,
    /** So corner light is not corrected. */
    NO_APERTURE,
    /** Taken as the lens's only one. */
    NO_FOCAL,
    /** Taken as large as the one the lens was measured on. */
    NO_SENSOR
}
