package nexa.core.files;

/**
 * How colours become those of another profile.
 *
 * @param keepsBlack whether the darkest of one becomes the darkest of the other (ISO 18619, black-point compensation);
 *     of no account for {@link Intent#ABSOLUTE}
 */
public record Conversion(Intent intent, boolean keepsBlack) {
    /** What a profile's maker thought best for photos. */
    public static final Conversion DEFAULT = new Conversion(Intent.PERCEPTUAL, false);

    /** The four rendering intents (ICC.1:2022, 6.2), in the order of their numbers in a profile. */
    public enum Intent {
        /** All colours are moved so that differences between them stay. */
        PERCEPTUAL,
        /** Colours stay, beside the other white; those that can't be reached become the nearest. */
        RELATIVE,
        /** Strong colours stay strong. */
        SATURATION,
        /** Colours stay as they are measured, white too: paper is imitated. */
        ABSOLUTE
    }

    public Conversion {
        keepsBlack = keepsBlack && intent != Intent.ABSOLUTE;
    }
}
