package nexa.imaging.neutral;

import java.util.Arrays;
import java.util.Optional;
import nexa.core.lineup.ResultLight;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.Receptors;
import nexa.core.neutral.White;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneTable;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.Indexer;

/** Measures a picture's light, and what neutral brings it to another. */
public final class LightMeter {
    /** Part of the pixels that are taken for nearly grey: those with the least colour that are neither black nor white. */
    private static final double GREY_PART = 0.3;

    private static final double DARKEST = 0.02;
    private static final double LIGHTEST = 0.9;

    private LightMeter() {}

    /**
     * Of a picture of few pixels, which is not changed.
     *
     * @param profile of its pixels; empty if they are taken for sRGB
     */
    public static ResultLight of(Picture picture, Optional<Profile> profile) {
        int count = picture.size().width() * picture.size().height();
        double[][] xyz = xyz(picture, profile, count);
        double luminance =
                Arrays.stream(xyz).mapToDouble(each -> each[1]).average().orElse(0);
        double[][] grey = Arrays.stream(xyz)
                .filter(each -> each[1] > DARKEST && each[1] < LIGHTEST)
                .sorted((a, b) -> Double.compare(colour(a), colour(b)))
                .limit((long) Math.ceil(GREY_PART * count))
                .toArray(double[][]::new);
        return new ResultLight(luminance, grey.length == 0 ? White.D65 : mean(grey));
    }

    private static double[][] xyz(Picture picture, Optional<Profile> profile, int count) {
        ToneTable tones = new ToneTable(picture.bits(), profile);
        LinearRgb colours = LinearRgb.of(profile);
        double[][] xyz = new double[count][];
        int width = picture.size().width();
        try (Indexer values = picture.mat().createIndexer()) {
            for (int i = 0; i < count; i++) {
                double[] light = new double[3];
                for (int c = 0; c < 3; c++) {
                    int channel = picture.channels() == 1 ? 0 : c;
                    light[c] = tones.toLight((int) values.getDouble(i / width, i % width, channel));
                }
                xyz[i] = colours.toXyz(light[2], light[1], light[0]);
            }
        }
        return xyz;
    }

    /** How far a colour is from what the file calls neutral. */
    private static double colour(double[] xyz) {
        double sum = xyz[0] + xyz[1] + xyz[2];
        return Math.hypot(xyz[0] / sum - White.D65.x(), xyz[1] / sum - White.D65.y());
    }

    private static White mean(double[][] xyz) {
        double x = 0;
        double y = 0;
        for (double[] each : xyz) {
            double sum = each[0] + each[1] + each[2];
            x += each[0] / sum;
            y += each[1] / sum;
        }
        return new White(x / xyz.length, y / xyz.length);
    }

    /**
     * The neutral that gives a result another light than it has with the one it has.
     *
     * @param now what the result's light is now
     * @param receptors of the photo
     */
    public static Neutral pulled(Neutral before, ResultLight now, ResultLight wanted, Receptors receptors) {
        double stops = before.stops()
                + Math.log(Math.max(1e-6, wanted.luminance()) / Math.max(1e-6, now.luminance())) / Math.log(2);
        White white = LinearRgb.shifted(before.white(), now.neutral(), wanted.neutral(), receptors);
        return new Neutral(white, Math.clamp(stops, -Neutral.MOST_STOPS, Neutral.MOST_STOPS), before.at());
    }
}
