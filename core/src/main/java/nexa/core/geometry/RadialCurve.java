package nexa.core.geometry;

/**
 * How far from a centre something comes that was r away: r · (c0 + c1·r + c2·r² + c3·r³ + c4·r⁴), as lens distortion is
 * written down. A polynomial turns back somewhere, and no picture does: from {@code straightFrom} on the curve goes on
 * as a straight line, so that it always grows.
 *
 * @param straightFrom the radius where the line begins; infinite if the polynomial grows for ever
 */
record RadialCurve(double c0, double c1, double c2, double c3, double c4, double straightFrom) {
    /** The line rises by this; where the polynomial rises less, the line takes over. */
    private static final double LEAST_SLOPE = 0.2;

    /** Nobody looks farther out than this many units. */
    private static final double FARTHEST = 64;

    private static final double STEP = 1.0 / 64;

    /** @throws IllegalArgumentException if the curve does not grow at the centre, or a number is not finite */
    static RadialCurve of(double c0, double c1, double c2, double c3, double c4) {
        if (!Double.isFinite(c0 + c1 + c2 + c3 + c4) || c0 <= LEAST_SLOPE) {
            throw new IllegalArgumentException("No distortion: " + c0 + ", " + c1 + ", " + c2 + ", " + c3 + ", " + c4);
        }
        RadialCurve endless = new RadialCurve(c0, c1, c2, c3, c4, Double.POSITIVE_INFINITY);
        double from = Double.POSITIVE_INFINITY;
        for (double r = STEP; r < FARTHEST && from == Double.POSITIVE_INFINITY; r += STEP) {
            if (endless.slope(r) < LEAST_SLOPE) {
                from = endless.turning(r - STEP, r);
            }
        }
        return new RadialCurve(c0, c1, c2, c3, c4, from);
    }

    /** Where between two radii the slope falls to the least. */
    private double turning(double steep, double flat) {
        double low = steep;
        double high = flat;
        for (int halving = 0; halving < 50; halving++) {
            double middle = (low + high) / 2;
            if (slope(middle) < LEAST_SLOPE) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return low;
    }

    double at(double r) {
        return r <= straightFrom
                ? r * (c0 + r * (c1 + r * (c2 + r * (c3 + r * c4))))
                : at(straightFrom) + LEAST_SLOPE * (r - straightFrom);
    }

    double slope(double r) {
        return r <= straightFrom ? c0 + r * (2 * c1 + r * (3 * c2 + r * (4 * c3 + r * 5 * c4))) : LEAST_SLOPE;
    }

    /** The radius that comes to lie at the given one: Newton's steps, kept between radii known to be too small and too large. */
    double inverse(double reached) {
        double low = 0;
        double high = Math.max(1, reached / c0);
        while (at(high) < reached) {
            low = high;
            high *= 2;
        }
        double r = Math.clamp(reached / c0, low, high);
        for (int step = 0; step < 100; step++) {
            double off = at(r) - reached;
            if (off > 0) {
                high = r;
            } else {
                low = r;
            }
            double next = r - off / slope(r);
            if (next < low || next > high) {
                next = (low + high) / 2;
            }
            if (Math.abs(next - r) <= Math.ulp(r)) {
                return next;
            }
            r = next;
        }
        return r;
    }
}
