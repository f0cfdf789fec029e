package nexa.core.brief;

/** Where a frame comes from. */
public enum FrameState {
    /** Computed; follows what is known of the photo. */
    DERIVED,
    /** Set by hand, or carried. */
    PLACED,
    /** Looked at and accepted. */
    CHECKED
}
