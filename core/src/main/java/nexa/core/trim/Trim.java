package nexa.core.trim;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.Frame;
import nexa.core.geometry.HalfPlaneCut;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.outline.TurnedRectangle;

/**
 * The part of a photo inside its borders: a rectangle in the isotropic unit of the photo as shot, which may lie crooked
 * and have round corners. Immutable.
 *
 * @param left side's place from the photo's centre, along axes turned by the lean; -1 is beyond any photo, which is not
 *     trimmed there
 * @param top side's place
 * @param right side's place; 1 is beyond any photo
 * @param bottom side's place
 * @param lean how the rectangle lies in the photo as shot, positive = clockwise
 * @param round radius of its corners, in long edges; 0 = square corners
 * @throws IllegalArgumentException if it has no inside
 */
public record Trim(double left, double top, double right, double bottom, Tilt lean, double round) {
    /** The whole photo. */
    public static final Trim NONE = new Trim(-1, -1, 1, 1, Tilt.NONE, 0);

    /** In long edges; less is a slip of the hand. */
    public static final double SMALLEST = 0.02;

    /** Pieces that a round corner is drawn with. */
    private static final int ARC = 6;

    public Trim {
        boolean inPlace = Stream.of(left, top, right, bottom).allMatch(side -> Math.abs(side) <= 1);
        double shorter = Math.min(right - left, bottom - top);
        if (!inPlace || !(shorter >= SMALLEST) || !(round >= 0 && round <= shorter / 2)) {
            throw new IllegalArgumentException(
                    "No trim: " + List.of(left, top, right, bottom) + ", lean " + lean + ", round " + round);
        }
    }

    public boolean isNone() {
        return equals(NONE);
    }

    public double place(Side side) {
        return switch (side) {
            case LEFT -> left;
            case TOP -> top;
            case RIGHT -> right;
            case BOTTOM -> bottom;
        };
    }

    /** With a side elsewhere, no nearer to the opposite one than {@link #SMALLEST}; round corners as round as there is room. */
    public Trim with(Side side, double place) {
        double other = place(side.opposite());
        double clear = side.isFar() ? Math.clamp(place, other + SMALLEST, 1) : Math.clamp(place, -1, other - SMALLEST);
        return of(
                side == Side.LEFT ? clear : left,
                side == Side.TOP ? clear : top,
                side == Side.RIGHT ? clear : right,
                side == Side.BOTTOM ? clear : bottom);
    }

    private Trim of(double newLeft, double newTop, double newRight, double newBottom) {
        double most = Math.min(newRight - newLeft, newBottom - newTop) / 2;
        return new Trim(newLeft, newTop, newRight, newBottom, lean, Math.min(round, most));
    }

    public Trim leaning(Tilt other) {
        return new Trim(left, top, right, bottom, other, round);
    }

    /** The same of a photo that is laid otherwise. */
    public Trim turned(Turn turn) {
        Point one = turn.apply(new Point(left, top));
        Point other = turn.apply(new Point(right, bottom));
        return new Trim(
                Math.min(one.x(), other.x()),
                Math.min(one.y(), other.y()),
                Math.max(one.x(), other.x()),
                Math.max(one.y(), other.y()),
                turn.mirrored() ? lean.negated() : lean,
                round);
    }

    /** A place of the photo as shot on the trim's own axes. */
    public Point onAxes(Point asShot) {
        return lean.negated().rotate(asShot);
    }

    /** The inverse of {@link #onAxes}. */
    public Point offAxes(Point onAxes) {
        return lean.rotate(onAxes);
    }

    /** What it leaves of a photo along its own axes, about the photo's centre: where a side is not trimmed, to the photo's own. */
    public Frame within(PixelSize asShot) {
        double halfWidth = asShot.width() / 2.0 / asShot.longEdge();
        double halfHeight = asShot.height() / 2.0 / asShot.longEdge();
        Point from = new Point(Math.max(left, -halfWidth), Math.max(top, -halfHeight));
        Point to = new Point(
                Math.max(Math.min(right, halfWidth), from.x() + Math.min(SMALLEST, 2 * halfWidth)),
                Math.max(Math.min(bottom, halfHeight), from.y() + Math.min(SMALLEST, 2 * halfHeight)));
        return Frame.between(from, to);
    }

    /** The middle of what it leaves, in the photo as shot. */
    public Point middle(PixelSize asShot) {
        return isNone() ? Point.ORIGIN : offAxes(within(asShot).centre());
    }

    /**
     * The corners of what it leaves of a photo, in order around it, round ones in short pieces; the isotropic unit as shot.
     * Never fewer than three.
     */
    public List<Point> corners(PixelSize asShot) {
        List<Point> photo = TurnedRectangle.of(asShot, Tilt.NONE).corners();
        if (isNone()) {
            return photo;
        }
        List<Point> polygon =
                (round == 0 ? square() : rounded()).stream().map(this::offAxes).toList();
        for (int i = 0; i < 4 && !polygon.isEmpty(); i++) {
            Point from = photo.get(i);
            Point to = photo.get((i + 1) % 4);
            polygon = HalfPlaneCut.inside(polygon, p -> depth(from, to, p));
        }
        return polygon.size() < 3 ? photo : polygon; // a trim that misses the photo leaves all of it
    }

    private List<Point> square() {
        return List.of(new Point(left, top), new Point(right, top), new Point(right, bottom), new Point(left, bottom));
    }

    private List<Point> rounded() {
        List<Point> corners = new ArrayList<>();
        arc(corners, left + round, top + round, 180);
        arc(corners, right - round, top + round, 270);
        arc(corners, right - round, bottom - round, 0);
        arc(corners, left + round, bottom - round, 90);
        return corners;
    }

    private void arc(List<Point> corners, double x, double y, double from) {
        for (int i = 0; i <= ARC; i++) {
            double angle = Math.toRadians(from + 90.0 * i / ARC);
            corners.add(new Point(x + round * Math.cos(angle), y + round * Math.sin(angle)));
        }
    }

    /** How far to the right of a line a place is, y down, in the line's own lengths. */
    private static double depth(Point from, Point to, Point p) {
        Point along = to.minus(from);
        Point out = p.minus(from);
        return along.x() * out.y() - along.y() * out.x();
    }

    /** As {@link #parse} reads it, to the last bit; empty for the whole photo. */
    public String text() {
        return isNone()
                ? ""
                : Stream.of(left, top, right, bottom, lean.degrees(), round)
                        .map(String::valueOf)
                        .collect(Collectors.joining(" "));
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Trim parse(String text) {
        if (text.isBlank()) {
            return NONE;
        }
        List<Double> n =
                Arrays.stream(text.strip().split(" +")).map(Double::valueOf).toList();
        if (n.size() != 6) {
            throw new IllegalArgumentException("No trim: " + text);
        }
        return new Trim(n.get(0), n.get(1), n.get(2), n.get(3), new Tilt(n.get(4)), n.get(5));
    }
}
