package nexa.core.outline;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import nexa.core.geometry.Point;

/** The smallest convex polygon around points (A. M. Andrew, "Another Efficient Algorithm for Convex Hulls", 1979). */
final class ConvexHull {
    private static final Comparator<Point> FROM_LEFT =
            (a, b) -> a.x() == b.x() ? Double.compare(a.y(), b.y()) : Double.compare(a.x(), b.x());

    private ConvexHull() {}

    /** Its corners, clockwise as seen with y down; none of them on a line with its neighbours. */
    static List<Point> of(List<Point> points) {
        List<Point> sorted = new ArrayList<>(points);
        sorted.sort(FROM_LEFT);
        List<Point> hull = half(sorted);
        hull.removeLast();
        hull.addAll(half(sorted.reversed()));
        hull.removeLast();
        return List.copyOf(hull);
    }

    private static List<Point> half(List<Point> sorted) {
        List<Point> half = new ArrayList<>();
        for (Point p : sorted) {
            while (half.size() > 1 && !turnsRight(half.get(half.size() - 2), half.getLast(), p)) {
                half.removeLast();
            }
            half.add(p);
        }
        return half;
    }

    private static boolean turnsRight(Point a, Point b, Point c) {
        return (b.x() - a.x()) * (c.y() - b.y()) - (b.y() - a.y()) * (c.x() - b.x()) > 0;
    }
}
