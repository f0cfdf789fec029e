package nexa.core.geometry;

/** How a rectangle lies. */
public enum Orientation {
    HORIZONTAL,
    VERTICAL,
    SQUARE;

    public static Orientation of(double width, double height) {
        int order = Double.compare(width, height);
        return order > 0 ? HORIZONTAL : order < 0 ? VERTICAL : SQUARE;
    }
}
