package nexa.imaging.eye;

import nexa.core.eye.GlowingEye;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Point;
import org.bytedeco.opencv.opencv_core.Rect;

/** A circle in a picture's continuous pixels. */
record PixelCircle(double x, double y, double radius) {
    /** @param toPicture from the isotropic unit of the photo as shot; it keeps shapes */
    static PixelCircle of(GlowingEye eye, Affine toPicture) {
        Point centre = toPicture.apply(eye.centre());
        Point rim = toPicture.apply(eye.centre().plus(new Point(eye.radius(), 0)));
        return new PixelCircle(centre.x(), centre.y(), centre.distance(rim));
    }

    /** The same circle in the pixels of a part. */
    PixelCircle in(Rect part) {
        return new PixelCircle(x - part.x(), y - part.y(), radius);
    }

    /** Distance of a whole pixel's middle from the centre, in radii. */
    double away(int column, int row) {
        return Math.hypot(column + 0.5 - x, row + 0.5 - y) / radius;
    }

    /** The whole pixels that it touches, cut to a picture; may be empty. */
    Rect box(int width, int height) {
        int left = (int) Math.clamp(Math.floor(x - radius), 0, width);
        int top = (int) Math.clamp(Math.floor(y - radius), 0, height);
        int right = (int) Math.clamp(Math.ceil(x + radius), left, width);
        int bottom = (int) Math.clamp(Math.ceil(y + radius), top, height);
        return new Rect(left, top, right - left, bottom - top);
    }
}
