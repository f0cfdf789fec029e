package nexa.desktop.bench;

/** What the next drag on the Bench does. */
public enum BenchMode {
    /** By place: frame, its sides and corners, or the photo's tilt. */
    FRAMING,
    /** Draws a new frame. */
    DRAWING,
    /** Draws a level line. */
    LEVELLING,
    /** Sets subject marks; stays while one goes on to other photos. */
    MARKING
}
