package nexa.core.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.outline.Outline;

/** How much of a frame shows no photo. */
public final class Blank {
    private Blank() {}

    /** As a share of the frame's area, 0 to 1; 0 only where the photo holds all of it. */
    public static double share(Outline photo, Frame frame) {
        if (photo.holds(frame)) {
            return 0;
        }
        return Math.max(Double.MIN_VALUE, beyond(photo, frame));
    }

    private static double beyond(Outline photo, Frame frame) {
        List<Point> seen = photo.corners();
        seen = inside(seen, p -> p.x() - frame.left());
        seen = inside(seen, p -> frame.right() - p.x());
        seen = inside(seen, p -> p.y() - frame.top());
        seen = inside(seen, p -> frame.bottom() - p.y());
        return Math.clamp(1 - Math.abs(area(seen)) / (frame.width() * frame.height()), 0, 1);
    }

    /** What of a polygon lies on one side of a line (I. Sutherland and G. Hodgman, 1974); pieces stay joined along the line. */
    private static List<Point> inside(List<Point> polygon, ToDoubleFunction<Point> depth) {
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

    private static double area(List<Point> polygon) {
        double twice = 0;
        for (int i = 0; i < polygon.size(); i++) {
            Point p = polygon.get(i);
            Point next = polygon.get((i + 1) % polygon.size());
            twice += p.x() * next.y() - next.x() * p.y();
        }
        return twice / 2;
    }
}
