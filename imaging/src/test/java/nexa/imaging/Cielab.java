package nexa.imaging;

/** L*, a*, b* of CIE 1976 for D65, and differences between them by CIEDE2000 (ISO/CIE 11664-6). */
public final class Cielab {
    private static final double[] WHITE = {0.3127 / 0.3290, 1, (1 - 0.3127 - 0.3290) / 0.3290};

    private Cielab() {}

    public static double[] of(double[] xyz) {
        double[] f = new double[3];
        for (int i = 0; i < 3; i++) {
            double t = xyz[i] / WHITE[i];
            f[i] = t > 216.0 / 24389 ? Math.cbrt(t) : (24389.0 / 27 * t + 16) / 116;
        }
        return new double[] {116 * f[1] - 16, 500 * (f[0] - f[1]), 200 * (f[1] - f[2])};
    }

    public static double difference(double[] one, double[] other) {
        double meanChroma = (Math.hypot(one[1], one[2]) + Math.hypot(other[1], other[2])) / 2;
        double seventh = Math.pow(meanChroma, 7);
        double stretch = 1.5 - 0.5 * Math.sqrt(seventh / (seventh + Math.pow(25, 7)));
        double a1 = one[1] * stretch;
        double a2 = other[1] * stretch;
        double c1 = Math.hypot(a1, one[2]);
        double c2 = Math.hypot(a2, other[2]);
        double h1 = hue(a1, one[2]);
        double h2 = hue(a2, other[2]);
        double turn = c1 * c2 == 0 ? 0 : wrapped(h2 - h1);
        double chroma = (c1 + c2) / 2;
        double hue = c1 * c2 == 0 ? h1 + h2 : middle(h1, h2);
        double fromMiddle = Math.pow((one[0] + other[0]) / 2 - 50, 2);
        double t = 1 - 0.17 * cos(hue - 30) + 0.24 * cos(2 * hue) + 0.32 * cos(3 * hue + 6) - 0.20 * cos(4 * hue - 63);
        double l = (other[0] - one[0]) / (1 + 0.015 * fromMiddle / Math.sqrt(20 + fromMiddle));
        double c = (c2 - c1) / (1 + 0.045 * chroma);
        double h = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(turn / 2)) / (1 + 0.015 * chroma * t);
        double bend = 30 * Math.exp(-Math.pow((hue - 275) / 25, 2));
        double power = Math.pow(chroma, 7);
        double rotation = -Math.sin(Math.toRadians(2 * bend)) * 2 * Math.sqrt(power / (power + Math.pow(25, 7)));
        return Math.sqrt(l * l + c * c + h * h + rotation * c * h);
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }

    private static double hue(double a, double b) {
        double degrees = Math.toDegrees(Math.atan2(b, a));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double wrapped(double degrees) {
        return degrees > 180 ? degrees - 360 : degrees < -180 ? degrees + 360 : degrees;
    }

    private static double middle(double h1, double h2) {
        double sum = h1 + h2;
        return Math.abs(h1 - h2) <= 180 ? sum / 2 : sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
    }
}
