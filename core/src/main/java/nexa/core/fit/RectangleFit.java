package nexa.core.fit;

import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.outline.TurnedRectangle;

/** The fit in a photo that is only turned: plain intervals along the photo's own axes. */
final class RectangleFit {
    private RectangleFit() {}

    static Frame within(TurnedRectangle photo, Frame wish) {
        double scale = Math.min(1, largestScale(photo, wish.width(), wish.height()));
        return nearest(photo, scale < 1 ? wish.scaled(scale) : wish);
    }

    static double largestScale(TurnedRectangle photo, double width, double height) {
        return Math.min(
                photo.halfWidth() / photo.halfRoomAcross(width, height),
                photo.halfHeight() / photo.halfRoomDown(width, height));
    }

    /** The frame moved by the least distance that brings it inside; its size must fit. */
    private static Frame nearest(TurnedRectangle photo, Frame frame) {
        double roomX = Math.max(0, photo.halfWidth() - photo.halfRoomAcross(frame.width(), frame.height()));
        double roomY = Math.max(0, photo.halfHeight() - photo.halfRoomDown(frame.width(), frame.height()));
        Point centre = photo.toPhoto(frame.centre());
        if (Math.abs(centre.x()) <= roomX && Math.abs(centre.y()) <= roomY) {
            return frame;
        }
        Point moved = new Point(Math.clamp(centre.x(), -roomX, roomX), Math.clamp(centre.y(), -roomY, roomY));
        return Frame.around(photo.toLevel(moved), frame.width(), frame.height());
    }
}
