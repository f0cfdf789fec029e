package nexa.core.fit;

import nexa.core.geometry.Frame;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;

/** Fits frames into a photo's outline; exact up to rounding of doubles. */
public final class Fit {
    private Fit() {}

    /** The largest frame of the shape, centred on the photo. Any larger one of this shape leaves the photo. */
    public static Frame largest(Outline outline, double aspect) {
        double scale = largestScale(outline, aspect, 1);
        return new Frame(0, 0, aspect * scale, scale);
    }

    /**
     * The largest frame of the wish's shape, at most as large as the wish, that lies inside the photo; of those, the
     * one nearest to the wished centre. A wish that lies inside comes back unchanged.
     */
    public static Frame within(Outline outline, Frame wish) {
        double scale = Math.min(1, largestScale(outline, wish.width(), wish.height()));
        return nearest(outline, scale < 1 ? wish.scaled(scale) : wish);
    }

    /** The factor by which a frame of the given size becomes the largest of its shape. */
    public static double largestScale(Outline outline, double width, double height) {
        return Math.min(
                outline.halfWidth() / outline.reachX(width, height),
                outline.halfHeight() / outline.reachY(width, height));
    }

    /** The frame moved by the least distance that brings it inside; its size must fit. */
    private static Frame nearest(Outline outline, Frame frame) {
        double roomX = Math.max(0, outline.halfWidth() - outline.reachX(frame.width(), frame.height()));
        double roomY = Math.max(0, outline.halfHeight() - outline.reachY(frame.width(), frame.height()));
        Point centre = outline.toPhoto(frame.centre());
        if (Math.abs(centre.x()) <= roomX && Math.abs(centre.y()) <= roomY) {
            return frame;
        }
        Point moved = new Point(Math.clamp(centre.x(), -roomX, roomX), Math.clamp(centre.y(), -roomY, roomY));
        return Frame.around(outline.toLevel(moved), frame.width(), frame.height());
    }
}
