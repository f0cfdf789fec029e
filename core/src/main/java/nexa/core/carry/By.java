package nexa.core.carry;

/** How a place is understood. */
public enum By {
    /** The same place in the photo. */
    PLACE,
    /** The same composition: each photo's own marks lie in the frame as the exemplar's do. */
    MARKS
}
