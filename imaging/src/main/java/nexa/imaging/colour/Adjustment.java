package nexa.imaging.colour;

import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.util.Arrays;
import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;

/**
 * What is done to X, Y and Z, relative to the white of the medium, between two profiles.
 *
 * @param scale for each of X, Y, Z
 * @param offset added after that, 1 = the Y of white
 */
record Adjustment(double[] scale, double[] offset) {
    /** Of {@link Profile#XYZ}. */
    static final double ONE = 32_768;

    private static final Adjustment NONE = new Adjustment(new double[] {1, 1, 1}, new double[3]);
    private static final double SEEN = 1e-4;
    private static final int VERSION_AT = 8;
    private static final int CLASS_AT = 12;
    private static final int DISPLAY = 0x6D6E7472; // mntr
    private static final int TAG_HEADER = 8;
    private static final double FIXED_ONE = 65_536;

    static Adjustment between(Profile from, Profile to, Conversion how) {
        if (how.intent() == Intent.ABSOLUTE) {
            return whites(white(from), white(to));
        }
        return how.keepsBlack() ? blacks(black(from, how.intent()), black(to, how.intent())) : NONE;
    }

    private static Adjustment whites(double[] from, double[] to) {
        double[] scale = new double[3];
        Arrays.setAll(scale, i -> from[i] / to[i]);
        return new Adjustment(scale, new double[3]);
    }

    /** White stays. Blacks are taken as neutral. */
    private static Adjustment blacks(double from, double to) {
        double scale = (1 - to) / (1 - from);
        double[] offset = new double[3];
        Arrays.setAll(offset, i -> Adaptation.D50[i] * (1 - scale));
        return new Adjustment(new double[] {scale, scale, scale}, offset);
    }

    boolean isNone() {
        for (int i = 0; i < 3; i++) {
            if (Math.abs(scale[i] - 1) > SEEN || Math.abs(offset[i]) > SEEN) {
                return false;
            }
        }
        return true;
    }

    /** In place. */
    void apply(short[] xyz, boolean zFirst) {
        for (int i = 0; i < xyz.length; i++) {
            int of = zFirst ? 2 - i % 3 : i % 3;
            double adjusted = (xyz[i] & 0xFFFF) * scale[of] + offset[of] * ONE;
            xyz[i] = (short) Math.clamp(Math.round(adjusted), 0, 65_535);
        }
    }

    /** Y of the darkest that is reached: of inks, what they make of black. */
    private static double black(Profile profile, Intent intent) {
        int channels = profile.space().channels();
        short[] darkest = new short[channels];
        if (profile.space() == Profile.Space.INK) {
            darkest = new DirectEngine(Profile.XYZ.engine(intent), profile.engine(intent)).convert(new short[3], 3);
        }
        short[] xyz = new DirectEngine(profile.engine(intent), Profile.XYZ.engine()).convert(darkest, channels);
        return (xyz[1] & 0xFFFF) / ONE;
    }

    /** Of the medium as it is measured. Screens are looked at alone: eyes take theirs for white. */
    private static double[] white(Profile profile) {
        ByteBuffer header = ByteBuffer.wrap(profile.bytes());
        byte[] tag = profile.engine().getData(ICC_Profile.icSigMediaWhitePointTag);
        boolean isOldDisplay = header.get(VERSION_AT) < 4 && header.getInt(CLASS_AT) == DISPLAY;
        if (isOldDisplay || tag == null || tag.length < TAG_HEADER + 3 * Integer.BYTES) {
            return Adaptation.D50;
        }
        ByteBuffer values = ByteBuffer.wrap(tag, TAG_HEADER, 3 * Integer.BYTES);
        double[] white = new double[3];
        Arrays.setAll(white, i -> values.getInt() / FIXED_ONE);
        return Arrays.stream(white).allMatch(value -> value > 0) ? white : Adaptation.D50;
    }
}
