package nexa.desktop.camera;

import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;

/** How close the Bench looks at the photo. It stays when one goes to the next photo. */
public sealed interface BenchZoom {
    /** Screen pixels per photo pixel beyond which one only sees squares. */
    double MOST = 16;

    /** By which a scale may differ from another one after it was multiplied and divided. */
    double ROUNDING = 1e-9;

    /** The whole photo. */
    record Fit() implements BenchZoom {}

    /** The frame as large as it goes. */
    record ToFrame() implements BenchZoom {}

    /**
     * So many screen pixels per photo pixel.
     *
     * @param centre what is in the middle, in level space
     */
    record At(double factor, Point centre) implements BenchZoom {}

    BenchZoom FIT = new Fit();

    /**
     * How level space lies on the Bench.
     *
     * @param frame of the current photo, for looking at it alone
     * @param pixelScale screen pixels per canvas unit
     */
    static LevelView view(BenchZoom zoom, BenchLane lane, PhotoSpace photo, Frame frame, double pixelScale) {
        return switch (zoom) {
            case Fit() -> lane.current(photo);
            case ToFrame() -> LevelView.around(frame, lane.width(), lane.height(), 34);
            case At(double factor, Point centre) ->
                new LevelView(0, 0, factor * photo.upright().longEdge() / pixelScale)
                        .showing(centre, lane.width() / 2, lane.height() / 2);
        };
    }

    /** The zoom that shows a photo as a view does. */
    static At of(LevelView view, BenchLane lane, PhotoSpace photo, double pixelScale) {
        return new At(
                view.scale() * pixelScale / photo.upright().longEdge(),
                view.toLevel(lane.width() / 2, lane.height() / 2));
    }

    /**
     * Closer or farther by a factor with the point under the pointer staying there; the whole photo again when it gets
     * no larger than that.
     */
    static BenchZoom by(double factor, LevelView now, Point at, BenchLane lane, PhotoSpace photo, double pixelScale) {
        double most = MOST * photo.upright().longEdge() / pixelScale;
        double scale = Math.min(now.scale() * factor, most);
        if (scale <= lane.current(photo).scale() * (1 + ROUNDING)) {
            return FIT;
        }
        LevelView closer = new LevelView(0, 0, scale).showing(now.toLevel(at.x(), at.y()), at.x(), at.y());
        return of(closer, lane, photo, pixelScale);
    }
}
