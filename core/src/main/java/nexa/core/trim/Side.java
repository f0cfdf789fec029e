package nexa.core.trim;

/** A side of a photo as shot. */
public enum Side {
    LEFT,
    TOP,
    RIGHT,
    BOTTOM;

    /** Whether it goes up and down, so that its place is one across. */
    public boolean isUpright() {
        return this == LEFT || this == RIGHT;
    }

    /** Whether places become larger towards the outside. */
    public boolean isFar() {
        return this == RIGHT || this == BOTTOM;
    }

    public Side opposite() {
        return values()[(ordinal() + 2) % 4];
    }
}
