package nexa.desktop.view;

/** What the next drag on the Bench does. */
public enum BenchMode {
    /** By place: frame, its sides and corners, or the photo's tilt. */
    FRAMING,
    /** Draws a new frame. */
    DRAWING,
    /** Draws a level line. */
    LEVELLING
}
