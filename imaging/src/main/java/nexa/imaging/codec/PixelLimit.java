package nexa.imaging.codec;

import nexa.core.geometry.PixelSize;

/** More pixels than this are refused before any is decoded. */
final class PixelLimit {
    static final long MOST = 400_000_000;

    private PixelLimit() {}

    static boolean isExceeded(PixelSize size) {
        return size.area() > MOST;
    }
}
