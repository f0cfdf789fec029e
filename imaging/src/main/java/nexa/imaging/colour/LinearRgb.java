package nexa.imaging.colour;

import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Optional;
import nexa.core.neutral.Receptors;
import nexa.core.neutral.White;

/**
 * The light that a profile's red, green and blue stand for: X, Y, Z relative to D65, as a standard screen has them. What a
 * profile without primaries means (one made of tables) is taken for sRGB's. Immutable.
 */
public final class LinearRgb {
    private static final int[] PRIMARIES = {
        ICC_Profile.icSigRedMatrixColumnTag, ICC_Profile.icSigGreenMatrixColumnTag, ICC_Profile.icSigBlueMatrixColumnTag
    };
    private static final int VALUES_AT = 8;
    private static final double FIXED = 65536;

    private final double[][] toXyz;
    private final double[][] fromXyz;

    private LinearRgb(double[][] colorants) {
        toXyz = Matrix3.product(Adaptation.matrix(Adaptation.D50, Adaptation.D65), colorants);
        fromXyz = Matrix3.inverse(toXyz);
    }

    /** @param profile of the pixels; empty if they are taken for sRGB */
    public static LinearRgb of(Optional<Profile> profile) {
        return new LinearRgb(profile.flatMap(LinearRgb::colorants)
                .orElseGet(() -> colorants(Profile.SRGB).orElseThrow()));
    }

    /** X, Y, Z relative to D50 of a profile's red, green and blue, as columns; empty if it has none. */
    static Optional<double[][]> colorants(Profile profile) {
        double[][] columns = new double[3][3];
        for (int c = 0; c < 3; c++) {
            byte[] tag = profile.engine().getData(PRIMARIES[c]);
            if (tag == null || tag.length < VALUES_AT + 12) {
                return Optional.empty();
            }
            for (int i = 0; i < 3; i++) {
                columns[i][c] = ByteBuffer.wrap(tag).getInt(VALUES_AT + 4 * i) / FIXED;
            }
        }
        return Optional.of(columns);
    }

    /** Of light 0 to 1 in red, green and blue. */
    public double[] toXyz(double red, double green, double blue) {
        return Matrix3.product(toXyz, new double[] {red, green, blue});
    }

    /**
     * A sensor's.
     *
     * @param toRgb from the sensor's answers, balanced for the light it was in, to these red, green and blue, rows first
     * @return the eye's where nothing can be told from it
     */
    public Receptors receptors(double[][] toRgb) {
        double[][] ofXyz = Matrix3.product(Matrix3.inverse(toRgb), fromXyz);
        try {
            return new Receptors(
                    Arrays.stream(ofXyz).flatMapToDouble(Arrays::stream).boxed().toList());
        } catch (IllegalArgumentException singular) { // a sensor that tells no colours apart
            return Receptors.EYE;
        }
    }

    /** The red, green and blue of a light; they may leave 0 to 1. */
    public double[] ofXyz(double[] xyz) {
        return Matrix3.product(fromXyz, xyz);
    }

    /** The red, green and blue of a light of the given chromaticity (x, y) with Y = 1; they may leave 0 to 1. */
    public double[] ofWhite(double x, double y) {
        return ofXyz(Adaptation.xyz(x, y));
    }

    /** A matrix of red, green and blue that makes a light neutral, rows first. */
    public double[][] neutralizing(White light, Receptors receptors) {
        double[][] adapted = Adaptation.matrix(Adaptation.xyz(light.x(), light.y()), Adaptation.D65, receptors);
        return Matrix3.product(fromXyz, Matrix3.product(adapted, toXyz));
    }

    /** By how much each answer to a light is scaled so that it becomes neutral; green's is 1. */
    public static double[] multipliers(White light, Receptors receptors) {
        double[] before = Matrix3.product(receptors.matrix(), Adaptation.xyz(light.x(), light.y()));
        double[] after = Matrix3.product(receptors.matrix(), Adaptation.D65);
        double green = after[1] / before[1];
        return new double[] {after[0] / before[0] / green, 1, after[2] / before[2] / green};
    }

    /**
     * The light to be taken for neutral in place of another, so that what comes out in one colour then comes out in another.
     *
     * @return the first light where no such light is possible
     */
    public static White shifted(White neutral, White now, White wanted, Receptors receptors) {
        double[][] shift =
                Adaptation.matrix(Adaptation.xyz(wanted.x(), wanted.y()), Adaptation.xyz(now.x(), now.y()), receptors);
        double[] xyz = Matrix3.product(shift, Adaptation.xyz(neutral.x(), neutral.y()));
        double sum = xyz[0] + xyz[1] + xyz[2];
        try {
            return new White(xyz[0] / sum, xyz[1] / sum);
        } catch (IllegalArgumentException noLight) { // farther than any light is
            return neutral;
        }
    }
}
