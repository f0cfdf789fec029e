package nexa.core.trim;

/** Why borders that look like some are not trimmed without being asked. */
public enum TrimRefusal {
    /** Nothing even at the edges. */
    NO_BORDER,
    /** Even at one side only, as a sky or a wall is. */
    ONE_SIDE,
    /** What is even at the edges does not end in straight lines, as a backdrop does. */
    NOT_STRAIGHT,
    /** The border's inner edge is lost in the picture at a side. */
    LOST_SIDE,
    /** The sides' borders have unlike colours, as a picture's own edges have. */
    UNLIKE_COLOURS
}
