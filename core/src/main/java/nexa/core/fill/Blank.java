package nexa.core.fill;

import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.HalfPlaneCut;
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
        seen = HalfPlaneCut.inside(seen, p -> p.x() - frame.left());
        seen = HalfPlaneCut.inside(seen, p -> frame.right() - p.x());
        seen = HalfPlaneCut.inside(seen, p -> p.y() - frame.top());
        seen = HalfPlaneCut.inside(seen, p -> frame.bottom() - p.y());
        return Math.clamp(1 - Math.abs(area(seen)) / (frame.width() * frame.height()), 0, 1);
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
