package nexa.core.brief;

/** Why a frame that nobody placed lies where it does. */
public sealed interface Why {
    /** Somebody placed it. */
    record Placed() implements Why {}

    /** Nothing is known of the photo: the largest, in the middle. */
    record Centred() implements Why {}

    /** About the frame that is placed in another format. */
    record AsPlacedElsewhere() implements Why {}

    /** The photo's marks lie as a rule, or the frame placed in another format, has them; or in the middle. */
    record ByMarks() implements Why {}

    /**
     * What is seen in the photo is kept.
     *
     * @param faces that are in the frame whole
     * @param subject whether the subject is in it whole
     * @param headRoom air above the highest head, as a share of the frame's height; 0 without faces
     */
    record Kept(int faces, boolean subject, double headRoom) implements Why {}
}
