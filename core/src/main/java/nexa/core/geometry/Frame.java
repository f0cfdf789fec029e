package nexa.core.geometry;

import java.util.List;

/**
 * An axis-aligned crop rectangle in level space: unit = the photo's long edge, origin = the photo's centre, y down.
 * Width over height is the frame's shape whatever the photo's size.
 *
 * @throws IllegalArgumentException if a side is not positive or a value is not finite
 */
public record Frame(double centreX, double centreY, double width, double height) {
    public Frame {
        boolean finite = Double.isFinite(centreX + centreY + width + height);
        if (!finite || width <= 0 || height <= 0) {
            throw new IllegalArgumentException(
                    "Not a frame: centre " + centreX + ", " + centreY + ", size " + width + " × " + height);
        }
        centreX += 0.0; // of the two zeros only one is stored, and a frame read again is the same
        centreY += 0.0;
    }

    public static Frame around(Point centre, double width, double height) {
        return new Frame(centre.x(), centre.y(), width, height);
    }

    /** The frame between two opposite corners, in whichever order. */
    public static Frame between(Point a, Point b) {
        return new Frame((a.x() + b.x()) / 2, (a.y() + b.y()) / 2, Math.abs(b.x() - a.x()), Math.abs(b.y() - a.y()));
    }

    public Point centre() {
        return new Point(centreX, centreY);
    }

    public double aspect() {
        return width / height;
    }

    public double left() {
        return centreX - width / 2;
    }

    public double right() {
        return centreX + width / 2;
    }

    public double top() {
        return centreY - height / 2;
    }

    public double bottom() {
        return centreY + height / 2;
    }

    /** Top left, top right, bottom right, bottom left. */
    public List<Point> corners() {
        return List.of(at(0, 0), at(1, 0), at(1, 1), at(0, 1));
    }

    /** A point given in fractions of the frame, (0, 0) = top left, (1, 1) = bottom right. */
    public Point at(double fractionX, double fractionY) {
        return new Point(centreX + (fractionX - 0.5) * width, centreY + (fractionY - 0.5) * height);
    }

    public boolean contains(Point p) {
        return p.x() >= left() && p.x() <= right() && p.y() >= top() && p.y() <= bottom();
    }

    /** Whether the other lies in this one; their sides may touch. */
    public boolean contains(Frame other) {
        return other.corners().stream().allMatch(this::contains);
    }

    /** What both cover together, and what lies between them. */
    public Frame union(Frame other) {
        return between(
                new Point(Math.min(left(), other.left()), Math.min(top(), other.top())),
                new Point(Math.max(right(), other.right()), Math.max(bottom(), other.bottom())));
    }

    /** What both share, of what they cover together: 0 = nothing, 1 = they are the same. */
    public double overlap(Frame other) {
        double across = Math.min(right(), other.right()) - Math.max(left(), other.left());
        double down = Math.min(bottom(), other.bottom()) - Math.max(top(), other.top());
        double shared = Math.max(0, across) * Math.max(0, down);
        return shared / (width * height + other.width * other.height - shared);
    }

    /** In another unit: centre and sides as many times as far. */
    public Frame times(double factor) {
        return new Frame(centreX * factor, centreY * factor, width * factor, height * factor);
    }

    public Frame movedBy(Point offset) {
        return new Frame(centreX + offset.x(), centreY + offset.y(), width, height);
    }

    public Frame scaled(double factor) {
        return new Frame(centreX, centreY, width * factor, height * factor);
    }

    /** Same centre and area, another shape. */
    public Frame reshaped(double aspect) {
        double area = width * height;
        return new Frame(centreX, centreY, Math.sqrt(area * aspect), Math.sqrt(area / aspect));
    }
}
