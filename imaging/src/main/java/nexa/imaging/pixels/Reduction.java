package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_IGNORE_ORIENTATION;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_REDUCED_COLOR_2;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_REDUCED_COLOR_4;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_REDUCED_COLOR_8;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_UNCHANGED;

/** Decoding at a fraction of the size, which JPEG does while decoding. */
public enum Reduction {
    NONE(1, IMREAD_UNCHANGED),
    HALF(2, IMREAD_REDUCED_COLOR_2 | IMREAD_IGNORE_ORIENTATION),
    QUARTER(4, IMREAD_REDUCED_COLOR_4 | IMREAD_IGNORE_ORIENTATION),
    EIGHTH(8, IMREAD_REDUCED_COLOR_8 | IMREAD_IGNORE_ORIENTATION);

    private final int factor;
    private final int flags;

    Reduction(int factor, int flags) {
        this.factor = factor;
        this.flags = flags;
    }

    public int factor() {
        return factor;
    }

    /** For OpenCV's decoders. */
    public int flags() {
        return flags;
    }

    /** The strongest reduction that still leaves at least the asked long edge. */
    public static Reduction leaving(int longEdge, int ofLongEdge) {
        Reduction best = NONE;
        for (Reduction candidate : values()) {
            if (ofLongEdge / candidate.factor >= longEdge) {
                best = candidate;
            }
        }
        return best;
    }
}
