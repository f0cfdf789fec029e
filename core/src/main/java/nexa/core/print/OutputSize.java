package nexa.core.print;

import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;

/** How many pixels a frame is delivered in. */
public final class OutputSize {
    private OutputSize() {}

    /**
     * The frame's own pixels: its long side to the nearest whole pixel, its short side to the nearest that the shape
     * asks for, so that the shape is off by less than half a pixel.
     *
     * @param photo the photo's pixels, upright or as shot
     */
    public static PixelSize natural(Frame frame, PixelSize photo) {
        double longSide = Math.max(frame.width(), frame.height()) * photo.longEdge();
        return ofLongEdge((int) Math.max(1, Math.round(longSide)), frame.aspect());
    }

    /** Enlarged as far as it may be; as it is where it may not. */
    static PixelSize enlarged(PixelSize natural, double aspect, double most) {
        return most <= 1 ? natural : ofLongEdge((int) Math.round(natural.longEdge() * most), aspect);
    }

    /** With the long edge at most the given pixels; never larger than {@link #natural}. */
    public static PixelSize atMost(Frame frame, PixelSize photo, int longEdge) {
        PixelSize natural = natural(frame, photo);
        return natural.longEdge() <= longEdge ? natural : ofLongEdge(longEdge, frame.aspect());
    }

    /** The largest of a shape in a box of two sides, which are laid as the shape lies. */
    static PixelSize inside(int side, int other, double aspect) {
        int longSide = Math.max(side, other);
        int shortSide = Math.min(side, other);
        double boxed = longSide * Math.min(aspect, 1 / aspect);
        // off by less than a pixel is the box's own shape, rounded
        if (Math.abs(boxed - shortSide) < 1) {
            return aspect >= 1 ? new PixelSize(longSide, shortSide) : new PixelSize(shortSide, longSide);
        }
        return boxed < shortSide ? ofLongEdge(longSide, aspect) : ofShortEdge(shortSide, aspect);
    }

    static PixelSize ofShortEdge(int shortEdge, double aspect) {
        int longEdge = (int) Math.max(1, Math.round(shortEdge * Math.max(aspect, 1 / aspect)));
        return aspect >= 1 ? new PixelSize(longEdge, shortEdge) : new PixelSize(shortEdge, longEdge);
    }

    static PixelSize ofLongEdge(int longEdge, double aspect) {
        int shortEdge = (int) Math.max(1, Math.round(longEdge * Math.min(aspect, 1 / aspect)));
        return aspect >= 1 ? new PixelSize(longEdge, shortEdge) : new PixelSize(shortEdge, longEdge);
    }
}
