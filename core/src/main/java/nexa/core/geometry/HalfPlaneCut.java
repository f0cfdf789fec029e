package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** Cuts polygons along straight lines (I. Sutherland and G. Hodgman, "Reentrant Polygon Clipping", 1974). */
public final class HalfPlaneCut {
    private HalfPlaneCut() {}

    /**
     * What of a polygon lies on one side of a line; pieces of one that bends inwards stay joined along the line.
     *
     * @param polygon its corners in order
     * @param depth how far inside a place is, in whatever unit; it changes evenly from place to place
     */
    public static List<Point> inside(List<Point> polygon, ToDoubleFunction<Point> depth) {
        List<Point> kept = new ArrayList<>();
        for (int i = 0; i < polygon.size(); i++) {
            Point p = polygon.get(i);
            Point next = polygon.get((i + 1) % polygon.size());
            double here = depth.applyAsDouble(p);
            double there = depth.applyAsDouble(next);
            if (here >= 0) {
                kept.add(p);
            }
            if (here > 0 && there < 0 || here < 0 && there > 0) {
                kept.add(p.plus(next.minus(p).times(here / (here - there))));
            }
        }
        return kept;
    }
}
