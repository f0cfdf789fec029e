package nexa.core.outline;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;

/**
 * The outline of a photo that something bends: a closed polygon in level space whose sides do not cross each other,
 * flattened from the curve to {@link Tolerance#FLATNESS}. It may bend inwards.
 */
public final class Region implements Outline {
    /** Shorter sides, in long edges, are pieces of a curve and nothing that a frame should be drawn to. */
    private static final double WHOLE_SIDE = 0.1;

    private final Sides sides;
    private final List<Point> hull;
    private final Sides hullSides;
    private final Frame bounds;
    private final Point middle;

    /** About the photo's centre. */
    public Region(List<Point> corners) {
        this(corners, Point.ORIGIN);
    }

    /**
     * @param middle what frames are centred on that nobody placed
     * @throws IllegalArgumentException if there are fewer than three corners or one is not finite
     */
    public Region(List<Point> corners, Point middle) {
        if (corners.size() < 3 || corners.stream().anyMatch(p -> !Double.isFinite(p.x() + p.y()))) {
            throw new IllegalArgumentException("Not an outline: " + corners);
        }
        sides = new Sides(corners);
        hull = ConvexHull.of(corners);
        hullSides = new Sides(hull);
        DoubleSummaryStatistics across = corners.stream().mapToDouble(Point::x).summaryStatistics();
        DoubleSummaryStatistics down = corners.stream().mapToDouble(Point::y).summaryStatistics();
        bounds = Frame.between(new Point(across.getMin(), down.getMin()), new Point(across.getMax(), down.getMax()));
        this.middle = middle;
    }

    @Override
    public Point middle() {
        return middle;
    }

    /** Its sides; each goes from the corner of its number to the next. */
    public Sides sides() {
        return sides;
    }

    /** The sides of its hull, with normals that point inwards. */
    public Sides hullSides() {
        return hullSides;
    }

    /** How many corners, and so how many sides. */
    public int size() {
        return sides.count();
    }

    /** @param corner 0 to one less than {@link #size}; the size itself is the first corner again */
    public double x(int corner) {
        return sides.x(corner);
    }

    public double y(int corner) {
        return sides.y(corner);
    }

    @Override
    public List<Point> hull() {
        return hull;
    }

    @Override
    public List<Point> corners() {
        return IntStream.range(0, size()).mapToObj(i -> new Point(x(i), y(i))).toList();
    }

    /** The smallest frame that contains the region. */
    public Frame bounds() {
        return bounds;
    }

    @Override
    public boolean contains(Point level, double slack) {
        return covers(level) || slack >= 0 && distance(level) <= slack;
    }

    /** Even-odd rule: a ray from the point to the right crosses the outline an odd number of times. */
    private boolean covers(Point p) {
        boolean inside = false;
        for (int i = 0; i < size(); i++) {
            double ya = y(i);
            double yb = y(i + 1);
            if (ya > p.y() != yb > p.y() && p.x() < x(i) + (p.y() - ya) / (yb - ya) * (x(i + 1) - x(i))) {
                inside = !inside;
            }
        }
        return inside;
    }

    /** To the nearest side. */
    private double distance(Point p) {
        double nearest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < size(); i++) {
            Point from = new Point(x(i), y(i));
            Point along = new Point(x(i + 1) - from.x(), y(i + 1) - from.y());
            Point to = p.minus(from);
            double square = along.x() * along.x() + along.y() * along.y();
            double part = square == 0 ? 0 : Math.clamp((to.x() * along.x() + to.y() * along.y()) / square, 0, 1);
            nearest = Math.min(nearest, to.distance(along.times(part)));
        }
        return nearest;
    }

    @Override
    public boolean contains(Frame frame, double slack) {
        if (!contains(frame.centre(), slack)) {
            return false;
        }
        double halfWidth = Math.max(0, frame.width() / 2 - slack);
        double halfHeight = Math.max(0, frame.height() / 2 - slack);
        for (int i = 0; i < size(); i++) {
            if (crosses(i, frame.centreX(), frame.centreY(), halfWidth, halfHeight)) {
                return false;
            }
        }
        return true;
    }

    /**
     * Whether a side has a point in the interior of a rectangle: two convex sets are apart exactly if they are along one
     * of their normals (C. Ericson, Real-Time Collision Detection, 2005, section 5.2.1).
     */
    private boolean crosses(int side, double centreX, double centreY, double halfWidth, double halfHeight) {
        double ax = x(side) - centreX;
        double ay = y(side) - centreY;
        double bx = x(side + 1) - centreX;
        double by = y(side + 1) - centreY;
        if (Math.max(ax, bx) <= -halfWidth
                || Math.min(ax, bx) >= halfWidth
                || Math.max(ay, by) <= -halfHeight
                || Math.min(ay, by) >= halfHeight) {
            return false;
        }
        double normalX = by - ay;
        double normalY = ax - bx;
        double reach = Math.abs(normalX) * halfWidth + Math.abs(normalY) * halfHeight;
        return Math.abs(normalX * ax + normalY * ay) < reach || normalX == 0 && normalY == 0;
    }

    @Override
    public double growth(Frame frame, Point anchor) {
        GrowingFrame growing = new GrowingFrame(frame, anchor);
        double least = growing.meetsCorners(sides);
        for (int i = 0; i < size(); i++) {
            least = growing.meets(x(i), y(i), x(i + 1), y(i + 1), least);
        }
        return least;
    }

    @Override
    public double reach(Point oneEnd, Point otherEnd, Point step) {
        boolean across = step.x() != 0;
        double length = across ? step.x() : step.y();
        if (length == 0) {
            return Double.POSITIVE_INFINITY;
        }
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < size(); i++) {
            double ahead = across
                    ? ahead(x(i), y(i), x(i + 1), y(i + 1), oneEnd.x(), oneEnd.y(), otherEnd.y(), length)
                    : ahead(y(i), x(i), y(i + 1), x(i + 1), oneEnd.y(), oneEnd.x(), otherEnd.x(), length);
            least = Math.min(least, ahead);
        }
        return least / Math.abs(length);
    }

    /**
     * How far ahead of a frame's side a piece a–b of the outline lies: infinite if it is beside or behind. Coordinates
     * are along the step and across it.
     */
    private static double ahead(
            double aAlong,
            double aAcross,
            double bAlong,
            double bAcross,
            double place,
            double oneEnd,
            double otherEnd,
            double step) {
        double low = Math.min(oneEnd, otherEnd) + Tolerance.LENGTH;
        double high = Math.max(oneEnd, otherEnd) - Tolerance.LENGTH;
        if (Math.max(aAcross, bAcross) < low || Math.min(aAcross, bAcross) > high) {
            return Double.POSITIVE_INFINITY;
        }
        double slope = aAcross == bAcross ? 0 : (bAlong - aAlong) / (bAcross - aAcross);
        double a = (aAlong + slope * (Math.clamp(aAcross, low, high) - aAcross) - place) * Math.signum(step);
        double b = (bAlong + slope * (Math.clamp(bAcross, low, high) - bAcross) - place) * Math.signum(step);
        return Math.max(a, b) < -Tolerance.LENGTH || Math.min(a, b) < -Tolerance.LENGTH
                ? Double.POSITIVE_INFINITY
                : Math.max(0, Math.min(a, b));
    }

    @Override
    public Region grownBy(double distance) {
        double outwards = signedArea() > 0 ? distance : -distance;
        return new Region(
                IntStream.range(0, size()).mapToObj(i -> pushed(i, outwards)).toList(), middle);
    }

    /** Positive if the corners go clockwise as seen. */
    private double signedArea() {
        double sum = 0;
        for (int i = 0; i < size(); i++) {
            sum += x(i) * y(i + 1) - x(i + 1) * y(i);
        }
        return sum / 2;
    }

    /** A corner between its two sides moved to their left by a distance. */
    private Point pushed(int corner, double distance) {
        Point there = new Point(x(corner), y(corner));
        int before = (corner + size() - 1) % size();
        Point one = leftOf(before);
        Point other = leftOf(corner);
        double spread = Math.max(0.1, 1 + one.x() * other.x() + one.y() * other.y());
        return there.plus(one.plus(other).times(distance / spread));
    }

    /** The unit normal to the left of a side as seen along it; nought if the side has no length. */
    private Point leftOf(int side) {
        Point along = new Point(x(side + 1) - x(side), y(side + 1) - y(side));
        double length = along.length();
        return length == 0 ? Point.ORIGIN : new Point(along.y() / length, -along.x() / length);
    }

    @Override
    public List<Double> levelSides() {
        return sides(Point::y, Point::x);
    }

    @Override
    public List<Double> uprightSides() {
        return sides(Point::x, Point::y);
    }

    private List<Double> sides(ToDoubleFunction<Point> place, ToDoubleFunction<Point> along) {
        List<Point> corners = corners();
        List<Double> places = new ArrayList<>();
        for (int i = 0; i < size(); i++) {
            Point from = corners.get(i);
            Point to = corners.get((i + 1) % size());
            double length = Math.abs(along.applyAsDouble(to) - along.applyAsDouble(from));
            if (length >= WHOLE_SIDE && Tolerance.sameLength(place.applyAsDouble(from), place.applyAsDouble(to))) {
                places.add(place.applyAsDouble(from));
            }
        }
        return places;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Region region && sides.equals(region.sides) && middle.equals(region.middle);
    }

    @Override
    public int hashCode() {
        return sides.hashCode();
    }

    @Override
    public String toString() {
        return "Region of " + size() + " corners in " + bounds();
    }
}
