package nexa.core.geometry;

/** A place or an offset, x to the right and y down; the space and its unit are stated where it is used. */
public record Point(double x, double y) {
    public static final Point ORIGIN = new Point(0, 0);

    public Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    public Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    public Point times(double factor) {
        return new Point(x * factor, y * factor);
    }

    public double length() {
        return Math.hypot(x, y);
    }

    public double distance(Point other) {
        return minus(other).length();
    }

    /** Direction of this offset in degrees, 0 = right, 90 = down; 0 for the zero offset. */
    public double degrees() {
        return Math.toDegrees(Math.atan2(y, x));
    }
}
