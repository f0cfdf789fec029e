package nexa.core.paper;

/** A rectangle on a page in millimetres; origin at the page's top left corner, y down. */
public record Box(double left, double top, double width, double height) {
    public double right() {
        return left + width;
    }

    public double bottom() {
        return top + height;
    }

    /** Wider by so much on each side; narrower if it is negative. */
    public Box grown(double by) {
        return new Box(left - by, top - by, width + 2 * by, height + 2 * by);
    }

    /** The largest of a shape inside, in the middle. @param aspect width over height */
    public Box fitting(double aspect) {
        double wide = Math.min(width, height * aspect);
        double high = wide / aspect;
        return new Box(left + (width - wide) / 2, top + (height - high) / 2, wide, high);
    }

    /** Whether they share more than an edge. */
    public boolean overlaps(Box other) {
        return left < other.right() && other.left < right() && top < other.bottom() && other.top < bottom();
    }
}
