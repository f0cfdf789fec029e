package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.nio.ByteBuffer;
import java.nio.FloatBuffer;
import java.util.Arrays;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * A small picture in plain arrays. What is not known is an estimate.
 *
 * @param values blue, green, red of each pixel, row by row, 0 to 255
 * @param known whether a pixel shows photo
 */
record Pixels(int width, int height, float[] values, boolean[] known) {

    static Pixels of(Picture picture, Mat mask) {
        float[] values = new float[picture.mat().rows() * picture.mat().cols() * 3];
        boolean[] known = new boolean[values.length / 3];
        try (Mat colours = new Mat();
                Mat floats = new Mat()) {
            switch (picture.channels()) {
                case 1 -> cvtColor(picture.mat(), colours, COLOR_GRAY2BGR);
                case 4 -> cvtColor(picture.mat(), colours, COLOR_BGRA2BGR);
                default -> picture.mat().copyTo(colours);
            }
            colours.convertTo(floats, CV_32F, picture.bits() == 16 ? 255.0 / 65535 : 1, 0);
            FloatBuffer buffer = floats.createBuffer();
            buffer.get(values);
            ByteBuffer bytes = mask.createBuffer();
            for (int i = 0; i < known.length; i++) {
                known[i] = bytes.get(i) != 0;
            }
        }
        return new Pixels(picture.mat().cols(), picture.mat().rows(), values, known);
    }

    boolean has(int x, int y) {
        return x >= 0 && y >= 0 && x < width && y < height;
    }

    /** Half as large: each pixel the mean of four, or of those that are known if most are. */
    Pixels halved() {
        int w = Math.max(1, width / 2);
        int h = Math.max(1, height / 2);
        float[] half = new float[w * h * 3];
        boolean[] seen = new boolean[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int to = y * w + x;
                int[] four = four(x, y);
                long count = Arrays.stream(four).filter(from -> known[from]).count();
                seen[to] = count >= 3;
                for (int from : four) {
                    for (int c = 0; c < 3 && (known[from] || !seen[to]); c++) {
                        half[to * 3 + c] += values[from * 3 + c] / (seen[to] ? count : 4);
                    }
                }
            }
        }
        return new Pixels(w, h, half, seen);
    }

    private int[] four(int halfX, int halfY) {
        int left = Math.min(width - 1, 2 * halfX);
        int right = Math.min(width - 1, 2 * halfX + 1);
        int top = Math.min(height - 1, 2 * halfY) * width;
        int bottom = Math.min(height - 1, 2 * halfY + 1) * width;
        return new int[] {top + left, top + right, bottom + left, bottom + right};
    }
}
