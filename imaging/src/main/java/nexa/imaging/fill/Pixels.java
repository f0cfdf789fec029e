package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.nio.ByteBuffer;
import java.nio.FloatBuffer;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * A small picture in plain arrays.
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

    /** Half as large: each pixel the mean of what is known of four. */
    Pixels halved() {
        int w = Math.max(1, width / 2);
        int h = Math.max(1, height / 2);
        float[] half = new float[w * h * 3];
        boolean[] seen = new boolean[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int count = 0;
                for (int i = 0; i < 4; i++) {
                    int from = Math.min(height - 1, 2 * y + i / 2) * width + Math.min(width - 1, 2 * x + i % 2);
                    if (known[from]) {
                        count++;
                        for (int c = 0; c < 3; c++) {
                            half[(y * w + x) * 3 + c] += values[from * 3 + c];
                        }
                    }
                }
                for (int c = 0; c < 3; c++) {
                    half[(y * w + x) * 3 + c] /= Math.max(1, count);
                }
                seen[y * w + x] = count >= 3;
            }
        }
        return new Pixels(w, h, half, seen);
    }
}
