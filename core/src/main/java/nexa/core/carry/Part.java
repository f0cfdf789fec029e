package nexa.core.carry;

/** What of a crop can be carried by itself. */
public enum Part {
    /** The frame's shape, its size, and whether it may leave the photo and what fills it then. */
    SHAPE,
    /** Where the frame lies. */
    PLACE,
    TILT,
    /** How the lens is corrected; each photo by its own measures. */
    LENS,
    /** How the camera is turned after the fact; each photo with its own focal length. */
    PLUMB,
    /** Which light is neutral, and how much lighter the photo gets; not where a photo has a grey place of its own. */
    NEUTRAL,
    /** Quarter turns. */
    TURN,
    MIRROR,
    /** The overlay that shows on the photo. */
    OVERLAY,
    /** Where marks lie in the frame, for the frames that nobody placed. */
    RULE
}
