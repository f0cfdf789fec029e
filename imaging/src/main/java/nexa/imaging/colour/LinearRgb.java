package nexa.imaging.colour;

import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.util.Optional;
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

    /** The red, green and blue of a light of the given chromaticity (x, y) with Y = 1; they may leave 0 to 1. */
    public double[] ofWhite(double x, double y) {
        return Matrix3.product(fromXyz, Adaptation.xyz(x, y));
    }

    /** A matrix of red, green and blue that makes a light of the given chromaticity neutral, rows first. */
    public double[][] neutralizing(double x, double y) {
        double[][] adapted = Adaptation.matrix(Adaptation.xyz(x, y), Adaptation.D65);
        return Matrix3.product(fromXyz, Matrix3.product(adapted, toXyz));
    }

    /**
     * The light to be taken for neutral in place of another, so that what comes out in one colour then comes out in another.
     *
     * @return the first light where no such light is possible
     */
    public static White shifted(White neutral, White now, White wanted) {
        double[] own = Adaptation.cones(Adaptation.xyz(neutral.x(), neutral.y()));
        double[] from = Adaptation.cones(Adaptation.xyz(now.x(), now.y()));
        double[] to = Adaptation.cones(Adaptation.xyz(wanted.x(), wanted.y()));
        for (int i = 0; i < 3; i++) {
            own[i] *= from[i] / to[i];
        }
        double[] xyz = Adaptation.ofCones(own);
        double sum = xyz[0] + xyz[1] + xyz[2];
        try {
            return new White(xyz[0] / sum, xyz[1] / sum);
        } catch (IllegalArgumentException noLight) { // farther than any light is
            return neutral;
        }
    }
}
