package nexa.imaging.render;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import nexa.core.pixel.LightStep;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneTable;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/** Steps before sampling, for one photo: on its own pixels, in linear light. Shared by threads. */
final class LightSteps {
    private final ToneTable tones;
    private final List<LightStep> steps;
    private final Places places;
    private final Optional<GainTable> table;

    /**
     * @param photo the whole photo as it was decoded
     * @param profile of its pixels; empty if they are taken for sRGB
     */
    LightSteps(Picture photo, Optional<Profile> profile, List<LightStep> steps) {
        this.steps = steps;
        tones = new ToneTable(photo.bits(), profile);
        places = new Places(photo.mat());
        table = photo.bits() == 8 ? Optional.of(new GainTable(this)) : Optional.empty();
    }

    /**
     * A new picture, or a second handle on the same pixels if there are no steps. What gets lighter than white is white;
     * transparency stays as it is. Parameters as of the constructor.
     */
    static Picture apply(Picture photo, Optional<Profile> profile, List<LightStep> steps) {
        if (steps.isEmpty()) {
            return photo.shared();
        }
        Mat lit = photo.mat().clone();
        new LightSteps(photo, profile, steps).lighten(lit, 0, 0);
        return new Picture(lit);
    }

    /**
     * @param part of the photo's pixels; it is written
     * @param left where it begins in the photo
     * @param top the same
     */
    void lighten(Mat part, int left, int top) {
        if (table.isPresent()) {
            bytes(table.get(), part, left, top);
        } else {
            try (UShortIndexer values = part.createIndexer()) {
                shorts(values, part, left, top);
            }
        }
    }

    private double gain(double squared) {
        return LightStep.gain(steps, squared);
    }

    private int lit(int value, double gain) {
        return tones.toValue(tones.toLight(value) * gain);
    }

    private void shorts(UShortIndexer values, Mat part, int left, int top) {
        int[] row = new int[part.cols() * places.channels];
        for (int y = 0; y < part.rows(); y++) {
            values.get(y, 0, row);
            for (int x = 0; x < part.cols(); x++) {
                double gain = gain(places.squared(left + x, top + y));
                int from = x * places.channels;
                for (int i = from; i < from + places.colours; i++) {
                    row[i] = lit(row[i], gain);
                }
            }
            values.put(y, 0, row);
        }
    }

    private void bytes(GainTable gains, Mat part, int left, int top) {
        long step = part.step();
        byte[] row = new byte[part.cols() * places.channels];
        try (BytePointer pixels = part.data()) {
            for (int y = 0; y < part.rows(); y++) {
                pixels.position(y * step).get(row);
                gains.lighten(row, places, left, top + y);
                pixels.position(y * step).put(row);
            }
        }
    }

    /** How far pixels are from a picture's middle. */
    private static final class Places {
        /** Bits of a place's number behind the point. */
        private static final int FRACTION = 16;

        private static final int HALF = 1 << (FRACTION - 1);

        private final int channels;
        private final int colours;
        private final double[] across;
        private final double[] down;
        private final int[] numberedAcross;
        private final int[] numberedDown;

        Places(Mat picture) {
            channels = picture.channels();
            colours = channels == 4 ? 3 : channels;
            double corner = Math.hypot(picture.cols(), picture.rows()) / 2;
            across = squares(picture.cols(), corner);
            down = squares(picture.rows(), corner);
            numberedAcross = numbered(across);
            numberedDown = numbered(down);
        }

        private static double[] squares(int pixels, double corner) {
            double[] squares = new double[pixels];
            for (int i = 0; i < pixels; i++) {
                double away = (i + 0.5 - pixels / 2.0) / corner;
                squares[i] = away * away;
            }
            return squares;
        }

        private static int[] numbered(double[] squares) {
            return Arrays.stream(squares)
                    .mapToInt(square -> (int) Math.round(square * (GainTable.PLACES << FRACTION)))
                    .toArray();
        }

        /** R², 1 at the picture's corners. */
        double squared(int x, int y) {
            return across[x] + down[y];
        }

        /** The same as the nearest of a gain table's places. */
        int numbered(int x, int y) {
            return (numberedAcross[x] + numberedDown[y] + HALF) >> FRACTION;
        }
    }

    /**
     * All values of 8 bits under all gains there are, the gains in steps of equal factors: so fine that a value is at most a
     * tenth off before it is rounded.
     */
    private static final class GainTable {
        private static final int GAINS = 1024;
        private static final int PLACES = 4096;
        private static final int VALUES = 256;

        private final short[] gains = new short[PLACES + 1];
        private final byte[][] of = new byte[GAINS][VALUES];

        GainTable(LightSteps steps) {
            double[] known = new double[PLACES + 1];
            for (int i = 0; i <= PLACES; i++) {
                known[i] = Math.log(steps.gain((double) i / PLACES));
            }
            double least = Arrays.stream(known).min().orElseThrow();
            double step = Math.max(1e-9, (Arrays.stream(known).max().orElseThrow() - least) / (GAINS - 1));
            for (int i = 0; i <= PLACES; i++) {
                gains[i] = (short) Math.round((known[i] - least) / step);
            }
            for (int gain = 0; gain < GAINS; gain++) {
                double factor = Math.exp(least + gain * step);
                for (int value = 0; value < VALUES; value++) {
                    of[gain][value] = (byte) steps.lit(value, factor);
                }
            }
        }

        /** Pixels that share a gain: in so few it changes by less than a tenth of a value. */
        private static final int TOGETHER = 4;

        /** The values of so many pixels of three colours: a loop that is as long each time is not a loop when compiled. */
        private static final int VALUES_TOGETHER = 3 * TOGETHER;

        void lighten(byte[] row, Places places, int left, int y) {
            int channels = places.channels;
            int width = row.length / channels;
            int whole = channels == 3 ? width / TOGETHER * TOGETHER : 0;
            for (int x = 0; x < whole; x += TOGETHER) {
                lightenTogether(row, 3 * x, at(places, left + x + TOGETHER / 2, y));
            }
            for (int x = whole; x < width; x++) {
                lighten(row, x * channels, x * channels + places.colours, at(places, left + x, y));
            }
        }

        /** What all values become at a place. */
        private byte[] at(Places places, int x, int y) {
            return of[gains[places.numbered(x, y)]];
        }

        private static void lightenTogether(byte[] row, int from, byte[] lit) {
            for (int i = from; i < from + VALUES_TOGETHER; i++) {
                row[i] = lit[row[i] & 0xFF];
            }
        }

        private static void lighten(byte[] row, int from, int to, byte[] lit) {
            for (int i = from; i < to; i++) {
                row[i] = lit[row[i] & 0xFF];
            }
        }
    }
}
