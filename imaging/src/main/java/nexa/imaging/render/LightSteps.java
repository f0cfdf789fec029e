package nexa.imaging.render;

import java.util.List;
import java.util.Optional;
import nexa.core.pixel.CornerLight;
import nexa.core.pixel.LightStep;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneCurve;
import nexa.imaging.pixels.Picture;
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

    private LightSteps(ToneCurve curve, int most) {
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
        LightSteps doing = new LightSteps(ToneCurve.of(profile), photo.bits() == 16 ? 0xFFFF : 0xFF);
        Mat lit = photo.mat().clone();
        try (Indexer values = lit.createIndexer()) {
            for (int y = 0; y < lit.rows(); y++) {
                doing.row(values, lit, y, steps);
            }
        }
        return new Picture(lit);
    }

    private void row(Indexer values, Mat picture, int y, List<LightStep> steps) {
        int channels = picture.channels();
        int colours = channels == 4 ? 3 : channels;
        int[] row = new int[picture.cols() * channels];
        read(values, y, row);
        for (int x = 0; x < picture.cols(); x++) {
            double gain = gain(picture, x, y, steps);
            for (int c = x * channels; c < x * channels + colours; c++) {
                double light = Math.min(1, toLight[row[c]] * gain);
                row[c] = toValue[(int) Math.round(Math.sqrt(light) * BACK)];
            }
        }
        write(values, y, row);
    }

    private static double gain(Mat picture, int x, int y, List<LightStep> steps) {
        double right = x + 0.5 - picture.cols() / 2.0;
        double down = y + 0.5 - picture.rows() / 2.0;
        double corner = (double) picture.cols() * picture.cols() + (double) picture.rows() * picture.rows();
        double squared = 4 * (right * right + down * down) / corner;
        double gain = 1;
        for (LightStep step : steps) {
            gain *= switch (step) {
                case CornerLight light -> light.gain(squared);
            };
        }
        return gain;
    }

    private static void read(Indexer values, int y, int[] row) {
        switch (values) {
            case UByteIndexer bytes -> bytes.get(y, 0, row);
            case UShortIndexer shorts -> shorts.get(y, 0, row);
            default -> throw new IllegalArgumentException("pictures have 8 or 16 bits");
        }
    }

    private static void write(Indexer values, int y, int[] row) {
        switch (values) {
            case UByteIndexer bytes -> bytes.put(y, 0, row);
            case UShortIndexer shorts -> shorts.put(y, 0, row);
            default -> throw new IllegalArgumentException("pictures have 8 or 16 bits");
        }
    }
}
