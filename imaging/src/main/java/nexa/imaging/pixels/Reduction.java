package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_ANYCOLOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_IGNORE_ORIENTATION;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_REDUCED_GRAYSCALE_2;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_REDUCED_GRAYSCALE_4;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_REDUCED_GRAYSCALE_8;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_UNCHANGED;

import nexa.core.geometry.PixelSize;

/** Decoding at a fraction of the size, which JPEG does while decoding. */
public enum Reduction {
    NONE(1, IMREAD_UNCHANGED),
    HALF(2, IMREAD_REDUCED_GRAYSCALE_2 | Flags.AS_STORED),
    QUARTER(4, IMREAD_REDUCED_GRAYSCALE_4 | Flags.AS_STORED),
    EIGHTH(8, IMREAD_REDUCED_GRAYSCALE_8 | Flags.AS_STORED);

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

    /** How large a picture is then: what is left over at its end makes one more pixel. */
    public PixelSize of(PixelSize whole) {
        return new PixelSize(Math.ceilDiv(whole.width(), factor), Math.ceilDiv(whole.height(), factor));
    }

    /** The strongest reduction by no more than a factor. */
    public static Reduction atMost(double factor) {
        Reduction best = NONE;
        for (Reduction candidate : values()) {
            if (candidate.factor <= factor) {
                best = candidate;
            }
        }
        return best;
    }

    /** The strongest reduction that still leaves at least the asked long edge. */
    public static Reduction leaving(int longEdge, int ofLongEdge) {
        return atMost((double) ofLongEdge / longEdge);
    }

    private static final class Flags {
        /** What is grey stays so, and what is coloured too. */
        static final int AS_STORED = IMREAD_ANYCOLOR | IMREAD_IGNORE_ORIENTATION;
    }
}
