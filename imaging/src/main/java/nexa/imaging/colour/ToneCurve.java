package nexa.imaging.colour;

import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * From stored values to light, both 0 to 1: the tone curve that a profile gives its channels (ICC.1:2022, 10.6 and 10.18),
 * of colour the green one's; where there is none, sRGB's (IEC 61966-2-1).
 */
public final class ToneCurve {
    public static final ToneCurve SRGB =
            new ToneCurve(value -> value <= 0.04045 ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4));

    private static final int GREEN = ICC_Profile.icSigGreenTRCTag;
    private static final int GREY = ICC_Profile.icSigGrayTRCTag;
    private static final double FIXED = 65536;

    /** Values of a parametric curve, by its type. */
    private static final int[] PARAMETERS = {1, 3, 4, 5, 7};

    private final DoubleUnaryOperator curve;

    private ToneCurve(DoubleUnaryOperator curve) {
        this.curve = curve;
    }

    /** @param profile of the pixels; empty if they are taken for sRGB */
    public static ToneCurve of(Optional<Profile> profile) {
        return profile.flatMap(ToneCurve::read).orElse(SRGB);
    }

    private static Optional<ToneCurve> read(Profile profile) {
        byte[] tag = profile.engine().getData(profile.space() == Profile.Space.GREY ? GREY : GREEN);
        if (tag == null || tag.length < 12) {
            return Optional.empty();
        }
        ByteBuffer data = ByteBuffer.wrap(tag);
        return switch (new String(tag, 0, 4, StandardCharsets.US_ASCII)) {
            case "curv" -> sampled(data);
            case "para" -> parametric(data);
            default -> Optional.empty();
        };
    }

    private static Optional<ToneCurve> sampled(ByteBuffer data) {
        int count = data.getInt(8);
        if (count < 0 || 12 + 2L * count > data.limit()) {
            return Optional.empty();
        }
        if (count == 0) {
            return Optional.of(new ToneCurve(value -> value));
        }
        if (count == 1) {
            double gamma = (data.getShort(12) & 0xFFFF) / 256.0;
            return Optional.of(new ToneCurve(value -> Math.pow(value, gamma)));
        }
        double[] samples = new double[count];
        for (int i = 0; i < count; i++) {
            samples[i] = (data.getShort(12 + 2 * i) & 0xFFFF) / 65535.0;
        }
        return Optional.of(new ToneCurve(value -> between(samples, value)));
    }

    private static double between(double[] samples, double value) {
        double place = value * (samples.length - 1);
        int below = Math.min((int) place, samples.length - 2);
        return samples[below] + (place - below) * (samples[below + 1] - samples[below]);
    }

    private static Optional<ToneCurve> parametric(ByteBuffer data) {
        int type = data.getShort(8);
        if (type < 0 || type >= PARAMETERS.length || 12 + 4 * PARAMETERS[type] > data.limit()) {
            return Optional.empty();
        }
        double[] said = new double[7];
        for (int i = 0; i < PARAMETERS[type]; i++) {
            said[i] = data.getInt(12 + 4 * i) / FIXED;
        }
        double g = said[0];
        double a = type == 0 ? 1 : said[1];
        double b = said[2];
        // types 1 and 2 bend where the power begins; 3 and 4 say where
        double bend = type == 0 ? 0 : type < 3 ? -b / a : said[4];
        double slope = type < 3 ? 0 : said[3];
        double above = type == 2 ? said[3] : type == 4 ? said[5] : 0;
        double below = type == 2 ? said[3] : type == 4 ? said[6] : 0;
        return Optional.of(new ToneCurve(
                value -> value >= bend ? Math.pow(Math.max(0, a * value + b), g) + above : slope * value + below));
    }

    /** From light to values on sRGB's curve, both 0 to 1: the way back of {@link #SRGB}. */
    public static double srgb(double light) {
        return light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    }

    public double toLight(double value) {
        return Math.clamp(curve.applyAsDouble(value), 0, 1);
    }
}
