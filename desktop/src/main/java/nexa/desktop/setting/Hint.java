package nexa.desktop.setting;

/** The first steps through a shoot that are pointed out until somebody took them, in this order. */
public enum Hint {
    /** Choose the shapes that the client wants. */
    SHAPES,
    /** Look at a photo on the Bench. */
    LOOK,
    /** Carry a frame to other photos. */
    CARRY,
    /** Hand files over. */
    HANDOVER
}
