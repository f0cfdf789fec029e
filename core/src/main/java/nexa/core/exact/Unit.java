package nexa.core.exact;

/** What numbers are counted in. Pixels are the photo's own; lengths are those of a print at a given ppi. */
public enum Unit {
    PIXEL,
    MILLIMETRE,
    CENTIMETRE,
    INCH,
    /** Of the upright photo's width, or height. */
    PERCENT;

    private static final double MILLIMETRES_PER_INCH = 25.4;

    /**
     * How many pixels one of this unit is.
     *
     * @param ppi pixels per inch of the print
     * @param whole pixels that are 100 %
     */
    public double pixels(double ppi, double whole) {
        return switch (this) {
            case PIXEL -> 1;
            case MILLIMETRE -> ppi / MILLIMETRES_PER_INCH;
            case CENTIMETRE -> 10 * ppi / MILLIMETRES_PER_INCH;
            case INCH -> ppi;
            case PERCENT -> whole / 100;
        };
    }
}
