package nexa.imaging.neutral;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.geometry.Point;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.Receptors;
import nexa.core.neutral.White;
import nexa.imaging.Cielab;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneTable;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/**
 * A chart of 24 patches, the last row grey, photographed under eight lights and made neutral by its middle grey. How it looks
 * under a light is worked out by another adaptation than Nexa's: CAT16 (C. Li and others, "Comprehensive color solutions:
 * CAM16, CAT16, and CAM16-UCS", 2017).
 */
class NeutralChartTest {
    private static final double[][] CAT16 = {
        {0.401288, 0.650173, -0.051461}, {-0.250268, 1.204414, 0.045854}, {-0.002079, 0.048952, 0.953127}
    };
    private static final double[][] CAT16_INVERSE = {
        {1.86206786, -1.01125463, 0.14918677},
        {0.38752654, 0.62144744, -0.00897398},
        {-0.01584150, -0.03412294, 1.04996444}
    };
    private static final Optional<Profile> PROFILE = Optional.of(Profile.WIDE);
    private static final LinearRgb RGB = LinearRgb.of(PROFILE);
    private static final int GREY = 21;

    private static List<White> lights() {
        return List.of(
                new White(0.44757, 0.40745), // CIE A
                new White(0.34567, 0.35850), // D50
                new White(0.33242, 0.34743), // D55
                new White(0.29902, 0.31485), // D75
                new White(0.37208, 0.37529), // F2
                new White(0.31292, 0.32933), // F7
                new White(0.38052, 0.37713), // F11
                White.of(3400, -3));
    }

    /** Linear red, green, blue of 18 colours of all hues and 6 greys, none so light that a light clips it. */
    private static List<double[]> patches() {
        List<double[]> patches = new ArrayList<>();
        for (int i = 0; i < 18; i++) {
            double hue = 2 * Math.PI * i / 18;
            double light = 0.08 + 0.05 * (i % 5);
            double colour = 0.25 + 0.12 * (i % 3);
            double[] rgb = new double[3];
            for (int c = 0; c < 3; c++) {
                rgb[c] = light * (1 + colour * Math.cos(hue - 2 * Math.PI * c / 3));
            }
            patches.add(rgb);
        }
        for (double grey : new double[] {0.4, 0.3, 0.22, 0.15, 0.08, 0.035}) {
            patches.add(new double[] {grey, grey, grey});
        }
        return patches;
    }

    private static double[] times(double[][] m, double[] v) {
        double[] product = new double[3];
        for (int row = 0; row < 3; row++) {
            product[row] = m[row][0] * v[0] + m[row][1] * v[1] + m[row][2] * v[2];
        }
        return product;
    }

    private static double[] xyz(White white) {
        return new double[] {white.x() / white.y(), 1, (1 - white.x() - white.y()) / white.y()};
    }

    private static double[] under(White light, double[] xyz) {
        double[] cones = times(CAT16, xyz);
        double[] from = times(CAT16, xyz(White.D65));
        double[] to = times(CAT16, xyz(light));
        for (int i = 0; i < 3; i++) {
            cones[i] *= to[i] / from[i];
        }
        return times(CAT16_INVERSE, cones);
    }

    /** What Nexa's adaptation would come to with endless precision. */
    private static double[] theory(White light, double[] xyz) {
        double[] rgb = new double[3];
        double[][] matrix = RGB.neutralizing(light, Receptors.EYE);
        double[] linear = linear(xyz);
        for (int row = 0; row < 3; row++) {
            rgb[row] = matrix[row][0] * linear[0] + matrix[row][1] * linear[1] + matrix[row][2] * linear[2];
        }
        return RGB.toXyz(rgb[0], rgb[1], rgb[2]);
    }

    /** By what one of each gives, as the map is linear. */
    private static double[] linear(double[] xyz) {
        double[][] m = {RGB.toXyz(1, 0, 0), RGB.toXyz(0, 1, 0), RGB.toXyz(0, 0, 1)};
        double d = det(m[0], m[1], m[2]);
        return new double[] {det(xyz, m[1], m[2]) / d, det(m[0], xyz, m[2]) / d, det(m[0], m[1], xyz) / d};
    }

    private static double det(double[] a, double[] b, double[] c) {
        return a[0] * (b[1] * c[2] - b[2] * c[1])
                - b[0] * (a[1] * c[2] - a[2] * c[1])
                + c[0] * (a[1] * b[2] - a[2] * b[1]);
    }

    /** Patches of 10 × 10 pixels in a row, with as little noise as a camera's 8 bits ever have: half a value. */
    private static Picture chart(White light) {
        ToneTable tones = new ToneTable(16, PROFILE);
        Random random = new Random(5);
        Mat mat = new Mat(10, 240, CV_8UC3, Scalar.all(0));
        try (UByteIndexer at = mat.createIndexer()) {
            for (int x = 0; x < 240; x++) {
                double[] patch = patches().get(x / 10);
                double[] rgb = linear(under(light, RGB.toXyz(patch[0], patch[1], patch[2])));
                for (int y = 0; y < 10; y++) {
                    for (int c = 0; c < 3; c++) {
                        double value = tones.toValue(rgb[2 - c]) / 257.0 + random.nextGaussian() * 0.5;
                        at.put(y, x, c, (int) Math.clamp(Math.round(value), 0, 255));
                    }
                }
            }
        }
        return new Picture(mat);
    }

    /** The mean of a patch's light. */
    private static double[] shown(Picture chart, int patch) {
        ToneTable tones = new ToneTable(8, PROFILE);
        double[] light = new double[3];
        try (UByteIndexer at = chart.mat().createIndexer()) {
            for (int i = 0; i < 100; i++) {
                for (int c = 0; c < 3; c++) {
                    light[c] += tones.toLight(at.get(i / 10, patch * 10 + i % 10, 2 - c)) / 100;
                }
            }
        }
        return RGB.toXyz(light[0], light[1], light[2]);
    }

    @Test
    void greys_comeOutGrey_andColoursAsWellAsTheAdaptationCan() {
        for (White light : lights()) {
            try (Picture chart = chart(light)) {
                GreySpot spot = GreySpot.at(chart, PROFILE, GREY * 10 + 5, 5, 4);
                new Neutralizer(Neutral.AS_FILED.picked(spot.white(), Point.ORIGIN), PictureLight.of(PROFILE))
                        .apply(chart);
                double measured = 0;
                double theory = 0;
                for (int i = 0; i < 24; i++) {
                    double[] patch = patches().get(i);
                    double[] truth = RGB.toXyz(patch[0], patch[1], patch[2]);
                    double[] lab = Cielab.of(shown(chart, i));
                    measured += Cielab.difference(Cielab.of(truth), lab) / 24;
                    theory += Cielab.difference(Cielab.of(truth), Cielab.of(theory(light, under(light, truth)))) / 24;
                    if (i >= 18) {
                        assertTrue(Math.hypot(lab[1], lab[2]) < 1.5, light + ", grey " + i);
                    }
                }
                assertTrue(measured <= theory + 0.5, light + ": " + measured + " against " + theory);
            }
        }
    }

    /** Pairs 1, 7 and 17 of the formula's published test data. */
    @Test
    void differences_areThoseOfTheStandard() {
        assertEquals(2.0425, difference(50, 2.6772, -79.7751, 50, 0, -82.7485), 1e-4);
        assertEquals(2.3669, difference(50, 0, 0, 50, -1, 2), 1e-4);
        assertEquals(27.1492, difference(50, 2.5, 0, 73, 25, -18), 1e-3);
    }

    private static double difference(double l1, double a1, double b1, double l2, double a2, double b2) {
        return Cielab.difference(new double[] {l1, a1, b1}, new double[] {l2, a2, b2});
    }
}
