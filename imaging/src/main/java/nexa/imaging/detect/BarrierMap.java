package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2Lab;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.util.Arrays;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * How far each pixel stands out from the picture's border: on the way from there that has the smallest difference between its
 * lightest and its darkest pixel, this difference, summed over L*, a* and b* (R. Strand and others, "The minimum barrier
 * distance", 2013; in a few sweeps after J. Zhang and others, "Minimum Barrier Salient Object Detection at 80 FPS", 2015).
 */
final class BarrierMap {
    private static final int CHANNELS = 3;
    private static final int SWEEPS = 3;

    /** Light and shade make less of a thing than colour does. */
    private static final float[] WEIGHTS = {0.5f, 1, 1};

    private final int width;
    private final int height;

    private BarrierMap(int width, int height) {
        this.width = width;
        this.height = height;
    }

    /** In 8-bit steps of L*, a* and b* as OpenCV has them, at most 255; a new matrix. @param bgr at least 3 × 3 pixels */
    static Mat of(Mat bgr) {
        BarrierMap map = new BarrierMap(bgr.cols(), bgr.rows());
        byte[] pixels = new byte[bgr.cols() * bgr.rows() * CHANNELS];
        try (Mat lab = new Mat()) {
            cvtColor(bgr, lab, COLOR_BGR2Lab);
            try (BytePointer data = lab.data()) {
                data.get(pixels);
            }
        }
        float[] sum = new float[map.width * map.height];
        for (int channel = 0; channel < CHANNELS; channel++) {
            map.add(pixels, channel, sum);
        }
        return map.rounded(sum);
    }

    private void add(byte[] pixels, int channel, float[] sum) {
        float[] values = new float[sum.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = pixels[i * CHANNELS + channel] & 0xff;
        }
        float[] distances = distances(values);
        for (int i = 0; i < sum.length; i++) {
            sum[i] += WEIGHTS[channel] * distances[i];
        }
    }

    private float[] distances(float[] values) {
        float[] distances = new float[values.length];
        for (int y = 1; y < height - 1; y++) {
            Arrays.fill(distances, y * width + 1, (y + 1) * width - 1, Float.MAX_VALUE);
        }
        float[] highest = values.clone();
        float[] lowest = values.clone();
        for (int sweep = 0; sweep < SWEEPS; sweep++) {
            sweep(values, distances, highest, lowest, sweep % 2 == 0);
        }
        return distances;
    }

    private void sweep(float[] values, float[] distances, float[] highest, float[] lowest, boolean forward) {
        int step = forward ? -1 : 1;
        for (int row = 1; row < height - 1; row++) {
            int y = forward ? row : height - 1 - row;
            for (int column = 1; column < width - 1; column++) {
                int at = y * width + (forward ? column : width - 1 - column);
                reach(values, distances, highest, lowest, at, at + step);
                reach(values, distances, highest, lowest, at, at + step * width);
            }
        }
    }

    private static void reach(float[] values, float[] distances, float[] highest, float[] lowest, int at, int from) {
        float up = Math.max(highest[from], values[at]);
        float down = Math.min(lowest[from], values[at]);
        if (up - down < distances[at]) {
            distances[at] = up - down;
            highest[at] = up;
            lowest[at] = down;
        }
    }

    private Mat rounded(float[] sum) {
        byte[] bytes = new byte[sum.length];
        for (int i = 0; i < sum.length; i++) {
            bytes[i] = (byte) Math.min(255, Math.round(sum[i]));
        }
        Mat map = new Mat(height, width, CV_8UC1);
        try (BytePointer data = map.data()) {
            data.put(bytes);
        }
        return map;
    }
}
