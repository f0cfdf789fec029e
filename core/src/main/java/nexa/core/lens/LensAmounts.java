package nexa.core.lens;

/** How much of each of a lens's faults is taken back: 0 = none, 1 = as it was measured, up to {@value #MOST}. */
public record LensAmounts(double distortion, double fringes, double corners) {
    public static final double MOST = 2;
    public static final LensAmounts MEASURED = new LensAmounts(1, 1, 1);

    /** @throws IllegalArgumentException if one is not between 0 and {@value #MOST} */
    public LensAmounts {
        if (!allowed(distortion) || !allowed(fringes) || !allowed(corners)) {
            throw new IllegalArgumentException("No amounts: " + distortion + ", " + fringes + ", " + corners);
        }
    }

    private static boolean allowed(double amount) {
        return amount >= 0 && amount <= MOST;
    }
}
