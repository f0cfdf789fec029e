package nexa.core.carry;

/** What of a carried crop could not be kept on a photo. */
public enum Loss {
    /** The frame is smaller than carried: the photo has no room for more. */
    SMALLER,
    /** The frame's centre is elsewhere: at the carried place it would leave the photo. */
    MOVED,
    /** The photo lies the other way and was left alone. */
    LEFT_ALONE,
    /** The photo has fewer marks than the composition needs and was left alone. */
    NO_MARK
}
