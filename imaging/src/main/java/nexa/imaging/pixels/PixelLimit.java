package nexa.imaging.pixels;

import nexa.core.geometry.PixelSize;

/** More pixels than this are refused before any is decoded. */
public final class PixelLimit {
    public static final long MOST = 400_000_000;

    private PixelLimit() {}

    public static boolean isExceeded(PixelSize size) {
        return size.area() > MOST;
    }

    /** Whether the ffmpeg libraries refuse so large a picture that is coded in one piece (their av_image_check_size2). */
    public static boolean isExceededInOnePiece(PixelSize coded) {
        return (8L * coded.width() + 1024) * (coded.height() + 128L) >= Integer.MAX_VALUE;
    }
}
