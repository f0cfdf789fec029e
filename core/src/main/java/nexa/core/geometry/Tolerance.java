package nexa.core.geometry;

/** How much of a difference is rounding of doubles and no more. All comparisons of places and shapes use these. */
public final class Tolerance {
    private Tolerance() {}

    /**
     * Of places and lengths in level space, in long edges, and of shares of a frame's side: a hundred-thousandth of a
     * pixel in a photo of 100 megapixels, and far above what doubles near 1 lose in a few hundred steps.
     */
    public static final double LENGTH = 1e-9;

    /** Of ratios of one number to another: shapes and factors. */
    public static final double RATIO = 1e-12;

    /** How far a polygon may stray from the curve that it stands for, in pixels of the photo. */
    public static final double FLATNESS = 1.0 / 20;

    public static boolean sameLength(double one, double other) {
        return Math.abs(one - other) <= LENGTH;
    }

    /** Of frames' shapes after drags and fits, which lose more than one operation does. */
    public static boolean sameShape(double aspect, double other) {
        return Math.abs(aspect - other) <= LENGTH * Math.abs(other);
    }

    public static boolean sameRatio(double one, double other) {
        return Math.abs(one - other) <= RATIO * Math.abs(other);
    }
}
