package nexa.imaging.face;

import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;

/**
 * A face, in the picture's continuous pixels.
 *
 * @param confidence of the network, 0 to 1
 * @param left of its box, from the brows to the chin and from cheek to cheek
 * @param top of its box
 * @param eyes the one at the left of an upright face first
 * @param nose its tip
 */
public record Face(
        double confidence, double left, double top, double width, double height, List<Point> eyes, Point nose) {
    public Face {
        eyes = List.copyOf(eyes);
    }

    public Point middle() {
        return new Point(left + width / 2, top + height / 2);
    }

    /** Half way between the eyes. */
    public Point betweenBrows() {
        return eyes.get(0).plus(eyes.get(1)).times(0.5);
    }

    /** Where it looks: −1 = left, 0 = at us, 1 = right; the nose leaves the middle by half the eyes' distance then. */
    public double gaze() {
        return Math.clamp(2 * (nose.x() - betweenBrows().x()) / Math.max(betweenEyes(), 1e-9), -1, 1);
    }

    public Frame box() {
        return Frame.around(middle(), width, height);
    }

    /** Between the eyes' centres. */
    public double betweenEyes() {
        return eyes.get(0).distance(eyes.get(1));
    }

    public Face times(double scale) {
        return new Face(
                confidence,
                left * scale,
                top * scale,
                width * scale,
                height * scale,
                eyes.stream().map(eye -> eye.times(scale)).toList(),
                nose.times(scale));
    }
}
