package nexa.core.exact;

/** One of nine points of a frame: it tells where the frame is, and stays put when the frame's size changes. */
public enum Reference {
    TOP_LEFT(0, 0),
    TOP(0.5, 0),
    TOP_RIGHT(1, 0),
    LEFT(0, 0.5),
    CENTRE(0.5, 0.5),
    RIGHT(1, 0.5),
    BOTTOM_LEFT(0, 1),
    BOTTOM(0.5, 1),
    BOTTOM_RIGHT(1, 1);

    /** Fractions of the frame's width and height. */
    final double x;

    final double y;

    Reference(double x, double y) {
        this.x = x;
        this.y = y;
    }
}
