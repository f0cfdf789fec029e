package nexa.imaging.boxes;

import nexa.core.geometry.PixelSize;

/** Whole pixels of a picture: the left and upper ones first, the size counted from there. */
public record PixelRectangle(int x, int y, int width, int height) {
    /** All of a picture. */
    public static PixelRectangle all(PixelSize size) {
        return new PixelRectangle(0, 0, size.width(), size.height());
    }

    public PixelSize size() {
        return new PixelSize(width, height);
    }

    public boolean contains(PixelRectangle other) {
        return other.x >= x
                && other.y >= y
                && other.x + other.width <= x + width
                && other.y + other.height <= y + height;
    }

    boolean isWithin(PixelSize size) {
        return x >= 0
                && y >= 0
                && width > 0
                && height > 0
                && (long) x + width <= size.width()
                && (long) y + height <= size.height();
    }
}
