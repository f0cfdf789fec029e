package nexa.imaging.neutral;

import java.util.Optional;
import nexa.core.neutral.White;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneTable;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.Indexer;

/**
 * What a few pixels say of the light that fell on them, if they were grey.
 *
 * @param white their chromaticity; D65 if nothing can be told
 * @param light their mean, 0 to 1
 * @param doubt why they may be a bad choice
 */
public record GreySpot(White white, double light, Doubt doubt) {
    /** What speaks against a place. */
    public enum Doubt {
        NONE,
        /** So bright that a colour is cut off: nothing can be told. */
        CLIPPED,
        /** So dark that there is mostly noise: nothing can be told. */
        DARK,
        /** The picture has no colours. */
        GREY_PICTURE,
        /** Farther from neutral than light usually is: this may be a coloured thing. */
        COLOURED,
        /** Pixels differ much: this may be an edge or a pattern. */
        UNEVEN;

        /** Whether nothing can be told at all. */
        public boolean refuses() {
            return this == CLIPPED || this == DARK || this == GREY_PICTURE;
        }
    }

    /** Of the largest value. */
    private static final double BRIGHTEST = 0.985;

    private static final double DARKEST = 0.004;

    /** In kelvin: candles are redder, and deep shade is hardly bluer than the hottest that is spoken of. */
    private static final double REDDEST = 2200;

    /** Of tint, either way: few lamps are greener or pinker. */
    private static final double MOST_TINT = 18;

    /** Standard deviation of light, of its mean. */
    private static final double MOST_UNEVEN = 0.35;

    /**
     * The pixels of a square about a place.
     *
     * @param x of the place, in the picture's whole pixels; held to the picture
     * @param y the same
     * @param around pixels to each side of it
     */
    public static GreySpot at(Picture picture, Optional<Profile> profile, int x, int y, int around) {
        if (picture.channels() == 1) {
            return told(Doubt.GREY_PICTURE);
        }
        ToneTable tones = new ToneTable(picture.bits(), profile);
        double[] mean = new double[3];
        double squares = 0;
        int count = 0;
        boolean clipped = false;
        try (Indexer values = picture.mat().createIndexer()) {
            for (int row = Math.max(0, y - around);
                    row <= Math.min(picture.mat().rows() - 1, y + around);
                    row++) {
                for (int column = Math.max(0, x - around);
                        column <= Math.min(picture.mat().cols() - 1, x + around);
                        column++) {
                    double sum = 0;
                    for (int c = 0; c < 3; c++) {
                        double value = values.getDouble(row, column, c);
                        clipped |= value > BRIGHTEST * tones.most();
                        double light = tones.toLight((int) value);
                        mean[c] += light;
                        sum += light / 3;
                    }
                    squares += sum * sum;
                    count++;
                }
            }
        }
        return count == 0 || clipped ? told(Doubt.CLIPPED) : of(mean, squares, count, profile);
    }

    private static GreySpot of(double[] sums, double squares, int count, Optional<Profile> profile) {
        double blue = sums[0] / count;
        double green = sums[1] / count;
        double red = sums[2] / count;
        double light = (blue + green + red) / 3;
        if (light < DARKEST || Math.min(blue, Math.min(green, red)) <= 0) {
            return told(Doubt.DARK);
        }
        double[] xyz = LinearRgb.of(profile).toXyz(red, green, blue);
        double sum = xyz[0] + xyz[1] + xyz[2];
        White white = new White(xyz[0] / sum, xyz[1] / sum);
        double spread = Math.sqrt(Math.max(0, squares / count - light * light)) / light;
        Doubt doubt = isColoured(white) ? Doubt.COLOURED : spread > MOST_UNEVEN ? Doubt.UNEVEN : Doubt.NONE;
        return new GreySpot(white, light, doubt);
    }

    private static boolean isColoured(White white) {
        double kelvin = white.kelvin();
        return kelvin < REDDEST || kelvin > 0.99 * White.HOTTEST || Math.abs(white.tint()) > MOST_TINT;
    }

    private static GreySpot told(Doubt doubt) {
        return new GreySpot(White.D65, 0, doubt);
    }
}
