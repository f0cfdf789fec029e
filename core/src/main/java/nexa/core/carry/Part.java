package nexa.core.carry;

/** What of a crop can be carried by itself. */
public enum Part {
    /** The frame's shape, its size, and whether it may leave the photo. */
    SHAPE,
    /** Where the frame's centre lies in the photo. */
    PLACE,
    TILT,
    /** Quarter turns and mirror. */
    TURN
}
