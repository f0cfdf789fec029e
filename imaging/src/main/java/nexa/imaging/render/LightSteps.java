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
        return apply(photo, profile, steps, Part.ALL);
    }

    /**
     * What is looked at of a photo, in its pixels; the far edges are outside.
     *
     * @param right and more is meant up to the photo's own edge; so for all sides
     */
    record Part(int left, int top, int right, int bottom) {
        static final Part ALL = new Part(0, 0, Integer.MAX_VALUE, Integer.MAX_VALUE);

        Part of(Mat photo) {
            return new Part(
                    Math.clamp(left, 0, photo.cols()),
                    Math.clamp(top, 0, photo.rows()),
                    Math.clamp(right, 0, photo.cols()),
                    Math.clamp(bottom, 0, photo.rows()));
        }
    }

    /**
     * The same, but elsewhere than in a part the pixels are left as they are.
     *
     * @param looked where the picture will be looked at
     */
    static Picture apply(Picture photo, Optional<Profile> profile, List<LightStep> steps, Part looked) {
        if (steps.isEmpty()) {
            return photo.shared();
        }
        boolean deep = photo.bits() == 16;
        Part part = looked.of(photo.mat());
        LightSteps doing = new LightSteps(ToneCurve.of(profile), deep ? 0xFFFF : 0xFF, steps);
        Mat lit = photo.mat().clone();
        try (Indexer values = lit.createIndexer()) {
            switch (values) {
                case UByteIndexer unused -> doing.bytes(lit, part);
                case UShortIndexer shorts -> doing.shorts(shorts, lit, part);
                default -> throw new IllegalArgumentException("pictures have 8 or 16 bits");
            }
        }
        return new Picture(lit);
    }

    private double gain(double squared) {
        return LightStep.gain(steps, squared);
    }

    private int lit(int value, double gain) {
        double light = Math.min(1, toLight[value] * gain);
        return toValue[(int) Math.round(Math.sqrt(light) * BACK)];
    }

    private void shorts(UShortIndexer values, Mat picture, Part part) {
        Places places = new Places(picture);
        int[] row = new int[picture.cols() * places.channels];
        for (int y = part.top; y < part.bottom; y++) {
            values.get(y, 0, row);
            for (int x = part.left; x < part.right; x++) {
                double gain = gain(places.squared(x, y));
                int from = x * places.channels;
                for (int i = from; i < from + places.colours; i++) {
                    row[i] = lit(row[i], gain);
                }
            }
            values.put(y, 0, row);
        }
    }

    private void bytes(Mat picture, Part part) {
        Places places = new Places(picture);
        GainTable table = new GainTable(this);
        int width = picture.cols();
        long step = picture.step();
        byte[] row = new byte[width * places.channels];
        try (BytePointer pixels = picture.data()) {
            for (int y = part.top; y < part.bottom; y++) {
                pixels.position(y * step).get(row);
                table.lighten(row, places, y, part);
                pixels.position(y * step).put(row);
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

        /** Pixels that share a gain: in so few it changes by less than a tenth of a value. */
        private static final int TOGETHER = 4;

        void lighten(byte[] row, Places places, int y, Part part) {
            double down = places.down[y] + 0.5 / PLACES;
            int channels = places.channels;
            for (int x = part.left; x < part.right; x += TOGETHER) {
                int end = Math.min(part.right, x + TOGETHER);
                int gain = gains[(int) ((places.across[(x + end - 1) / 2] + down) * PLACES)] * VALUES;
                if (channels == places.colours) {
                    lighten(row, x * channels, end * channels, gain);
                } else {
                    for (int pixel = x; pixel < end; pixel++) {
                        lighten(row, pixel * channels, pixel * channels + places.colours, gain);
                    }
                }
            }
        }

        private void lighten(byte[] row, int from, int to, int gain) {
            for (int i = from; i < to; i++) {
                row[i] = lit[gain + (row[i] & 0xFF)];
            }
        }
    }
}
