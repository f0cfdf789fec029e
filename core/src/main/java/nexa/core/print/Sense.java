package nexa.core.print;

import nexa.core.geometry.PixelSize;
import nexa.core.print.SizeTarget.Print;
import nexa.core.told.InvalidException;

/**
 * What a number of pixels makes on paper. An eye tells things apart that are one minute of arc from each other
 * (Snellen's normal acuity, 20/20), so pixels melt together from where one covers that angle:
 * {@code ppi = 1 / tan(1/60°) / inches = 3438 / inches}.
 */
public final class Sense {
    /** A print looked at closely. */
    public static final double FINE_PPI = 300;

    /** A print in the hand, at arm's length. */
    public static final double GOOD_PPI = 240;

    private static final double PER_INCH = 1 / Math.tan(Math.toRadians(1.0 / 60));

    /** From where a print looks sharp. */
    public enum Reach {
        /** From 30 cm on: held in the hand. */
        HAND(300),
        /** From 60 cm on: at arm's length, as a framed print or a page on a desk. */
        ARM(600),
        /** From 2 m on: on a wall. */
        WALL(2000),
        /** Only from farther away, as a poster across a street. */
        FAR(Double.POSITIVE_INFINITY);

        private final double millimetres;

        Reach(double millimetres) {
            this.millimetres = millimetres;
        }
    }

    private Sense() {}

    /** From how far away a print looks sharp, in millimetres. */
    public static double sharpFrom(double ppi) {
        return PER_INCH / ppi * SizeTarget.MILLIMETRES_PER_INCH;
    }

    /** The nearest of the usual distances from which a print looks sharp. */
    public static Reach reach(double ppi) {
        double from = sharpFrom(ppi);
        for (Reach reach : Reach.values()) {
            // to the millimetre, so that 291 ppi are enough for 30 cm
            if (Math.floor(from) <= reach.millimetres) {
                return reach;
            }
        }
        throw new InvalidException("told.print.print-more-than-ppi-not", ppi);
    }

    /** A side of the largest print, in millimetres. */
    public static double millimetres(int pixels, double ppi) {
        return pixels / ppi * SizeTarget.MILLIMETRES_PER_INCH;
    }

    /** The pixels an inch that a frame of a size has on a print, which lies as the frame lies. */
    public static double ppi(PixelSize pixels, Print print) {
        double longSide = Math.max(print.width(), print.height());
        double shortSide = Math.min(print.width(), print.height());
        // a frame of another shape leaves part of the paper white
        double inches = Math.min(longSide, shortSide * pixels.longEdge() / Math.min(pixels.width(), pixels.height()))
                / SizeTarget.MILLIMETRES_PER_INCH;
        return pixels.longEdge() / inches;
    }
}
