package nexa.core.carry;

/** What becomes of photos that lie the other way than the one carried from. */
public enum Opposite {
    /** The frame is laid the other way as well. */
    TURN,
    /** The frame stays as it lies. */
    KEEP,
    /** Those photos are left alone. */
    SKIP
}
