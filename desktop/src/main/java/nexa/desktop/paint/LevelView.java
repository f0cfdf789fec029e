package nexa.desktop.paint;

import nexa.core.geometry.Affine;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;

/**
 * How level space lies on a canvas.
 *
 * @param originX where the photo's centre is, in canvas units
 * @param scale canvas units per long edge
 */
public record LevelView(double originX, double originY, double scale) {

    /** Centred in a box, the whole upright photo visible when it is not tilted. */
    public static LevelView fitting(double aspect, double x, double y, double width, double height) {
        double photoWidth = Math.min(1, aspect);
        double photoHeight = Math.min(1, 1 / aspect);
        double scale = Math.min(width / photoWidth, height / photoHeight);
        return new LevelView(x + width / 2, y + height / 2, scale);
    }

    /** Centred in a box, all of an extent of level space visible. */
    public static LevelView fitting(Frame extent, double x, double y, double width, double height) {
        double scale = Math.min(width / extent.width(), height / extent.height());
        return new LevelView(0, 0, scale).showing(extent.centre(), x + width / 2, y + height / 2);
    }

    /** A frame, and nothing but it, fills the box. */
    public static LevelView filling(Frame frame, double width, double height) {
        double scale = Math.min(width / frame.width(), height / frame.height());
        return new LevelView(width / 2 - frame.centreX() * scale, height / 2 - frame.centreY() * scale, scale);
    }

    /** A frame fills the box but for a margin on all sides. */
    public static LevelView around(Frame frame, double width, double height, double margin) {
        double scale =
                Math.max(1, Math.min((width - 2 * margin) / frame.width(), (height - 2 * margin) / frame.height()));
        return new LevelView(width / 2, height / 2, scale).showing(frame.centre(), width / 2, height / 2);
    }

    /** At the same scale, with a point of level space at a place of the canvas. */
    public LevelView showing(Point level, double screenX, double screenY) {
        return new LevelView(screenX - level.x() * scale, screenY - level.y() * scale, scale);
    }

    /** From canvas units to level space. */
    public Affine canvasToLevel() {
        return Affine.translation(-originX, -originY).then(Affine.scale(1 / scale, 1 / scale));
    }

    public Point toScreen(Point level) {
        return new Point(originX + level.x() * scale, originY + level.y() * scale);
    }

    public Point toLevel(double screenX, double screenY) {
        return new Point((screenX - originX) / scale, (screenY - originY) / scale);
    }

    /** The frame on the canvas, its sides on whole canvas units so that lines are crisp. */
    public ScreenBox toScreen(Frame frame) {
        Point topLeft = toScreen(frame.at(0, 0));
        Point bottomRight = toScreen(frame.at(1, 1));
        double left = Math.round(topLeft.x());
        double top = Math.round(topLeft.y());
        return new ScreenBox(left, top, Math.round(bottomRight.x()) - left, Math.round(bottomRight.y()) - top);
    }

    /** A box in canvas units. */
    public record ScreenBox(double x, double y, double width, double height) {}
}
