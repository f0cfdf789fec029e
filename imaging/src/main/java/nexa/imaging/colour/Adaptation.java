package nexa.imaging.colour;

/**
 * Chromatic adaptation: what becomes of colours when another light is taken for neutral, by scaling Bradford's cone responses
 * (ICC.1:2022, annex E; Lam 1985). Colours and lights are X, Y, Z.
 */
final class Adaptation {
    static final double[] D65 = xyz(0.3127, 0.3290);

    /** The profile connection space's white (ICC.1:2022, 7.2.16). */
    static final double[] D50 = {0.9642, 1.0, 0.8249};

    private static final double[][] BRADFORD = {
        {0.8951, 0.2664, -0.1614}, {-0.7502, 1.7135, 0.0367}, {0.0389, -0.0685, 1.0296}
    };

    private Adaptation() {}

    /** Of a chromaticity, with Y = 1. */
    static double[] xyz(double x, double y) {
        return new double[] {x / y, 1, (1 - x - y) / y};
    }

    static double[] cones(double[] xyz) {
        return Matrix3.product(BRADFORD, xyz);
    }

    static double[] ofCones(double[] cones) {
        return Matrix3.product(Matrix3.inverse(BRADFORD), cones);
    }

    /** A matrix that brings one light to the other, rows first. */
    static double[][] matrix(double[] from, double[] to) {
        double[] before = cones(from);
        double[] after = cones(to);
        double[] scale = new double[3];
        for (int i = 0; i < 3; i++) {
            scale[i] = after[i] / before[i];
        }
        return Matrix3.product(Matrix3.inverse(BRADFORD), Matrix3.product(Matrix3.diagonal(scale), BRADFORD));
    }
}
