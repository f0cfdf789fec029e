package nexa.desktop.bench;

/** What the next drag on the Bench does. */
public enum BenchMode {
    /** By place: frame, its sides and corners, or the photo's tilt. */
    FRAMING,
    /** Draws a new frame. */
    DRAWING,
    /** Draws a level line. */
    LEVELLING,
    /** Draws lines along what is upright or level; stays until one is done with it or goes on. */
    PLUMB,
    /** Draws along something straight that the lens bends. */
    STRAIGHTENING,
    /** Drags the sides of what counts as photo; stays until one is done with it or goes on. */
    TRIM,
    /** Sets subject marks; stays while one goes on to other photos. */
    MARKING;

    /** Whether more than one drag is meant. */
    boolean stays() {
        return this == MARKING || this == PLUMB || this == TRIM;
    }
}
