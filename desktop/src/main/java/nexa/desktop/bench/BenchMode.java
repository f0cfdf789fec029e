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
    /** Takes a place for grey; stays while one goes on to other photos. */
    NEUTRAL,
    /** Draws circles around eyes that glow; stays while one goes on to other photos. */
    EYES,
    /** Sets subject marks; stays while one goes on to other photos. */
    MARKING;

    /** Whether more than one drag is meant. */
    boolean stays() {
        return goesOn() || this == PLUMB || this == TRIM;
    }

    /** Whether it is meant for the next photo too. */
    boolean goesOn() {
        return this == MARKING || touches();
    }

    /** Whether places of the photo are touched, and its frame is not what is worked at. */
    boolean touches() {
        return this == NEUTRAL || this == EYES;
    }

    /** Whether a drag changes what the frame measures. */
    boolean measures() {
        return this != MARKING && this != TRIM && !touches();
    }
}
