package nexa.imaging.colour;

import nexa.core.neutral.Receptors;

/**
 * Chromatic adaptation: what becomes of colours when another light is taken for neutral, by scaling what receptors answer;
 * between the whites of profiles those of the eye (ICC.1:2022, annex E). Colours and lights are X, Y, Z.
 */
final class Adaptation {
    static final double[] D65 = xyz(0.3127, 0.3290);

    /** The profile connection space's white (ICC.1:2022, 7.2.16). */
    static final double[] D50 = {0.9642, 1.0, 0.8249};

    private Adaptation() {}

    /** Of a chromaticity, with Y = 1. */
    static double[] xyz(double x, double y) {
        return new double[] {x / y, 1, (1 - x - y) / y};
    }

    /** A matrix that brings one light to the other for the eye, rows first. */
    static double[][] matrix(double[] from, double[] to) {
        return matrix(from, to, Receptors.EYE);
    }

    /** A matrix that brings one light to the other, rows first. */
    static double[][] matrix(double[] from, double[] to, Receptors receptors) {
        double[][] answers = receptors.matrix();
        double[] before = Matrix3.product(answers, from);
        double[] after = Matrix3.product(answers, to);
        double[] scale = new double[3];
        for (int i = 0; i < 3; i++) {
            scale[i] = after[i] / before[i];
        }
        return Matrix3.product(Matrix3.inverse(answers), Matrix3.product(Matrix3.diagonal(scale), answers));
    }
}
