package nexa.imaging.pixels;

import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Pixels that take the place of a picture's own.
 *
 * @param area of the picture
 * @param pixels of the picture's own kind
 */
public record Patch(Rect area, Mat pixels) implements AutoCloseable {
    /** Whether some of it lies in a part of the picture. */
    public boolean meets(Rect part) {
        try (Rect common = common(part)) {
            return !common.empty();
        }
    }

    /** Writes what of it lies in a part of the picture into that part's pixels. */
    public void paste(Rect part, Mat copy) {
        try (Rect common = common(part);
                Rect from = new Rect(common.x() - area.x(), common.y() - area.y(), common.width(), common.height());
                Rect to = new Rect(common.x() - part.x(), common.y() - part.y(), common.width(), common.height());
                Mat own = new Mat(pixels, from);
                Mat there = new Mat(copy, to)) {
            own.copyTo(there);
        }
    }

    /** Writes it into its picture. */
    public void paste(Picture picture) {
        try (Mat there = new Mat(picture.mat(), area)) {
            pixels.copyTo(there);
        }
    }

    private Rect common(Rect part) {
        int left = Math.max(part.x(), area.x());
        int top = Math.max(part.y(), area.y());
        int right = Math.min(part.x() + part.width(), area.x() + area.width());
        int bottom = Math.min(part.y() + part.height(), area.y() + area.height());
        return new Rect(left, top, Math.max(0, right - left), Math.max(0, bottom - top));
    }

    @Override
    public void close() {
        area.close();
        pixels.close();
    }
}
