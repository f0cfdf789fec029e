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

    /** With the long edge at most the given pixels; never larger than {@link #natural}. */
    public static PixelSize atMost(Frame frame, PixelSize photo, int longEdge) {
        PixelSize natural = natural(frame, photo);
        return natural.longEdge() <= longEdge ? natural : ofLongEdge(longEdge, frame.aspect());
    }

    private static PixelSize ofLongEdge(int longEdge, double aspect) {
        int shortEdge = (int) Math.max(1, Math.round(longEdge * Math.min(aspect, 1 / aspect)));
        return aspect >= 1 ? new PixelSize(longEdge, shortEdge) : new PixelSize(shortEdge, longEdge);
    }
}
