package nexa.imaging.render;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import nexa.core.pixel.LightStep;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneCurve;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.indexer.Indexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/** Steps before sampling: on a photo's own pixels, in linear light. */
public final class LightSteps {
    /** Entries from light back to values; by its square root, as darkness needs finer steps. */
    private static final int BACK = 1 << 16;

    private final double[] toLight;
    private final int[] toValue = new int[BACK + 1];
    private final List<LightStep> steps;

    private LightSteps(ToneCurve curve, int most, List<LightStep> steps) {
        this.steps = steps;
        toLight = new double[most + 1];
        for (int value = 0; value <= most; value++) {
            toLight[value] = curve.toLight((double) value / most);
        }
        int value = 0;
        for (int i = 0; i <= BACK; i++) {
            double light = (double) i / BACK * i / BACK;
            while (value < most && Math.abs(toLight[value + 1] - light) <= Math.abs(toLight[value] - light)) {
                value++;
            }
            toValue[i] = value;
        }
    }

    /**
     * A new picture, or a second handle on the same pixels if there are no steps. What gets lighter than white is white;
     * transparency stays as it is.
     *
     * @param photo the whole photo as it was decoded
     * @param profile of its pixels; empty if they are taken for sRGB
     */
    public static Picture apply(Picture photo, Optional<Profile> profile, List<LightStep> steps) {
        if (steps.isEmpty()) {
            return photo.shared();
        }
        boolean deep = photo.bits() == 16;
        LightSteps doing = new LightSteps(ToneCurve.of(profile), deep ? 0xFFFF : 0xFF, steps);
        Mat lit = photo.mat().clone();
        try (Indexer values = lit.createIndexer()) {
            switch (values) {
                case UByteIndexer unused -> doing.bytes(lit);
                case UShortIndexer shorts -> doing.shorts(shorts, lit);
                default -> throw new IllegalArgumentException("pictures have 8 or 16 bits");
            }
        }
        return new Picture(lit);
    }

    private double gain(double squared) {
        double gain = 1;
        for (LightStep step : steps) {
            gain *= step.gain(squared);
        }
        return gain;
    }

    private int lit(int value, double gain) {
        double light = Math.min(1, toLight[value] * gain);
        return toValue[(int) Math.round(Math.sqrt(light) * BACK)];
    }

    private void shorts(UShortIndexer values, Mat picture) {
        Places places = new Places(picture);
        int[] row = new int[picture.cols() * places.channels];
        for (int y = 0; y < picture.rows(); y++) {
            values.get(y, 0, row);
            for (int x = 0; x < picture.cols(); x++) {
                double gain = gain(places.squared(x, y));
                int from = x * places.channels;
                for (int i = from; i < from + places.colours; i++) {
                    row[i] = lit(row[i], gain);
                }
            }
            values.put(y, 0, row);
        }
    }

    private void bytes(Mat picture) {
        Places places = new Places(picture);
        GainTable table = new GainTable(this);
        byte[] row = new byte[picture.cols() * places.channels];
        try (BytePointer pixels = picture.data()) {
            for (int y = 0; y < picture.rows(); y++) {
                pixels.position(y * picture.step()).get(row);
                for (int x = 0; x < picture.cols(); x++) {
                    int gain = table.gain(places.squared(x, y));
                    int from = x * places.channels;
                    for (int i = from; i < from + places.colours; i++) {
                        row[i] = table.lit(gain, row[i]);
                    }
                }
                pixels.position(y * picture.step()).put(row);
            }
        }
    }

    /** How far pixels are from a picture's middle. */
    private static final class Places {
        private final int channels;
        private final int colours;
        private final double[] across;
        private final double[] down;

        Places(Mat picture) {
            channels = picture.channels();
            colours = channels == 4 ? 3 : channels;
            double corner = Math.hypot(picture.cols(), picture.rows()) / 2;
            across = squares(picture.cols(), corner);
            down = squares(picture.rows(), corner);
        }

        private static double[] squares(int pixels, double corner) {
            double[] squares = new double[pixels];
            for (int i = 0; i < pixels; i++) {
                double away = (i + 0.5 - pixels / 2.0) / corner;
                squares[i] = away * away;
            }
            return squares;
        }

        /** R², 1 at the picture's corners. */
        double squared(int x, int y) {
            return across[x] + down[y];
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
        private final byte[] lit = new byte[GAINS * VALUES];

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
                    lit[gain * VALUES + value] = (byte) steps.lit(value, factor);
                }
            }
        }

        int gain(double squared) {
            return gains[(int) (squared * PLACES + 0.5)];
        }

        byte lit(int gain, byte value) {
            return lit[gain * VALUES + (value & 0xFF)];
        }
    }
}
