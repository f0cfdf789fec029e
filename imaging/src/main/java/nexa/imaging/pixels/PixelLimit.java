package nexa.imaging.pixels;

import nexa.core.geometry.PixelSize;

/** More pixels than this are refused before any is decoded. */
public final class PixelLimit {
    public static final long MOST = 400_000_000;

    private PixelLimit() {}

    public static boolean isExceeded(PixelSize size) {
        return size.area() > MOST;
    }
}
