package nexa.core.neutral;

/**
 * A light's chromaticity (CIE 1931 x and y). It is also spoken of as a correlated colour temperature in kelvin and a tint:
 * how far it lies from the black body's curve in CIE 1960 u, v, in thousandths, counted from where daylight of D65 lies;
 * positive = greener.
 *
 * @throws IllegalArgumentException if no light has it
 */
public record White(double x, double y) {
    /** What a file's neutral is (IEC 61966-2-1). */
    public static final White D65 = new White(0.3127, 0.3290);

    /** Lowest and highest temperature that is spoken of, in kelvin: where the curve's approximation holds. */
    public static final double COLDEST = 1800;

    public static final double HOTTEST = 15000;

    /** Most tint that is spoken of, either way. */
    public static final double MOST_TINT = 40;

    private static final double UNIT = 1000;
    private static final double DAYLIGHT = signedDistance(uv(D65), nearest(uv(D65)));

    public White {
        if (!isPossible(x, y)) {
            throw new IllegalArgumentException("No light: " + x + ", " + y);
        }
    }

    private static boolean isPossible(double x, double y) {
        return x > 0.01 && y > 0.01 && x + y < 0.99;
    }

    /**
     * @param kelvin is held to what is spoken of
     * @param tint the same; less if no light of that temperature has it
     */
    public static White of(double kelvin, double tint) {
        double temperature = Math.clamp(kelvin, COLDEST, HOTTEST);
        double[] on = locus(temperature);
        double[] normal = normal(temperature);
        double away = Math.clamp(tint, -MOST_TINT, MOST_TINT) / UNIT + DAYLIGHT;
        double[] xy = xy(on[0] + away * normal[0], on[1] + away * normal[1]);
        return isPossible(xy[0], xy[1]) ? new White(xy[0], xy[1]) : of(temperature, 0.9 * tint);
    }

    /** Correlated, in kelvin; the hottest there is for what is bluer still. */
    public double kelvin() {
        return nearest(uv(this));
    }

    public double tint() {
        double[] own = uv(this);
        return (signedDistance(own, nearest(own)) - DAYLIGHT) * UNIT;
    }

    /** How far from another in CIE 1960 u, v. */
    public double distance(White other) {
        double[] own = uv(this);
        double[] its = uv(other);
        return Math.hypot(own[0] - its[0], own[1] - its[1]);
    }

    private static double[] uv(White white) {
        double w = -2 * white.x + 12 * white.y + 3;
        return new double[] {4 * white.x / w, 6 * white.y / w};
    }

    private static double[] xy(double u, double v) {
        double w = 2 * u - 8 * v + 4;
        return new double[] {3 * u / w, 2 * v / w};
    }

    /** The black body's u and v by Krystek, "An algorithm to calculate correlated colour temperature", 1985. */
    private static double[] locus(double t) {
        double u = (0.860117757 + 1.54118254e-4 * t + 1.28641212e-7 * t * t)
                / (1 + 8.42420235e-4 * t + 7.08145163e-7 * t * t);
        double v = (0.317398726 + 4.22806245e-5 * t + 4.20481691e-8 * t * t)
                / (1 - 2.89741816e-5 * t + 1.61456053e-7 * t * t);
        return new double[] {u, v};
    }

    /** Of length 1, across the curve towards green. */
    private static double[] normal(double t) {
        double[] before = locus(t * 0.999);
        double[] after = locus(t * 1.001);
        double du = after[0] - before[0];
        double dv = after[1] - before[1];
        double length = Math.hypot(du, dv);
        return new double[] {dv / length, -du / length};
    }

    private static double signedDistance(double[] uv, double t) {
        double[] on = locus(t);
        double[] normal = normal(t);
        return (uv[0] - on[0]) * normal[0] + (uv[1] - on[1]) * normal[1];
    }

    /** The temperature whose place on the curve is nearest, by thirds in reciprocal kelvin, where the curve runs evenly. */
    private static double nearest(double[] uv) {
        double low = 1 / HOTTEST;
        double high = 1 / COLDEST;
        for (int i = 0; i < 80; i++) {
            double one = low + (high - low) / 3;
            double other = high - (high - low) / 3;
            if (away(uv, 1 / one) < away(uv, 1 / other)) {
                high = other;
            } else {
                low = one;
            }
        }
        return 2 / (low + high);
    }

    private static double away(double[] uv, double t) {
        double[] on = locus(t);
        return Math.hypot(uv[0] - on[0], uv[1] - on[1]);
    }
}
