package nexa.core.overlay;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Stroke.Arc;

/**
 * The golden spiral as it is drawn by hand: a golden rectangle less a square is a smaller golden rectangle, and each
 * square holds a quarter circle (Huntley, The Divine Proportion, 1970, ch. 8). True circles, whatever the frame.
 */
final class Spiral {
    static final double GOLDEN = (1 + Math.sqrt(5)) / 2;

    /** After ten quarters the radius is below a hundredth of the rectangle's height. */
    private static final int QUARTERS = 10;

    private Spiral() {}

    /** In the largest golden rectangle that fits the frame, centred, lying as the frame lies. */
    static List<Stroke> inLargestGoldenRectangle(double aspect) {
        if (aspect < 1) {
            Turn transpose = new Turn(1, true);
            return inLargestGoldenRectangle(1 / aspect).stream()
                    .map(stroke -> stroke.turned(transpose))
                    .toList();
        }
        double height = Math.min(1, aspect / GOLDEN); // of the rectangle, in frame heights
        return quarters(height, (aspect - height * GOLDEN) / 2, (1 - height) / 2, aspect);
    }

    /** Stretched so that its golden rectangle fills the frame; its quarters are ellipses unless the frame is golden. */
    static List<Stroke> stretched(double aspect) {
        return inLargestGoldenRectangle(
                aspect < 1 ? 1 / GOLDEN : GOLDEN); // fractions of one are fractions of the other
    }

    /** Quarter circles from the bottom left corner inwards; lengths in frame heights, results in the unit square. */
    private static List<Stroke> quarters(double height, double left, double top, double aspect) {
        List<Stroke> arcs = new ArrayList<>();
        double radius = height;
        double x = left + radius;
        double y = top + radius;
        for (int quarter = 0; quarter < QUARTERS; quarter++) {
            double start = 180 + 90 * quarter;
            arcs.add(new Arc(new Point(x / aspect, y), radius / aspect, radius, start, 90));
            double next = radius / GOLDEN;
            double end = Math.toRadians(start + 90);
            x += (radius - next) * Math.cos(end);
            y += (radius - next) * Math.sin(end);
            radius = next;
        }
        return arcs;
    }
}
