package nexa.imaging.eye;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;

import java.util.stream.IntStream;
import nexa.core.eye.GlowingEye.Glow;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * How much each pixel of a circle's box glows, 0 to 1.
 *
 * @param circle in the box's pixels
 * @param colours blue, green, red of pixel after pixel, row by row, 0 to 1
 */
record GlowPixels(PixelCircle circle, int width, int height, float[] colours, Glow glow) {
    /** Darker red than this is a brown iris, a lash or a shadow more often than a glow: it counts in proportion. */
    private static final double DARK = 0.45;

    /** The largest value of a kind of pixels. */
    static double unit(Mat mat) {
        return mat.elemSize1() == 2 ? 65535 : 255;
    }

    /** @param box pixels of three or four channels */
    static GlowPixels of(Mat box, PixelCircle circle, Glow glow) {
        int channels = box.channels();
        float[] values = new float[box.rows() * box.cols() * channels];
        try (Mat floats = new Mat()) {
            box.convertTo(floats, CV_32F, 1 / unit(box), 0);
            try (FloatPointer all = new FloatPointer(floats.data())) {
                all.get(values);
            }
        }
        float[] colours = new float[box.rows() * box.cols() * 3];
        for (int i = 0; i < colours.length; i++) {
            colours[i] = values[i / 3 * channels + i % 3];
        }
        return new GlowPixels(circle, box.cols(), box.rows(), colours, glow);
    }

    double away(int column, int row) {
        return circle.away(column, row);
    }

    double radius() {
        return circle.radius();
    }

    float blue(int column, int row) {
        return colours[3 * (row * width + column)];
    }

    float green(int column, int row) {
        return colours[3 * (row * width + column) + 1];
    }

    float red(int column, int row) {
        return colours[3 * (row * width + column) + 2];
    }

    double brightest(int column, int row) {
        return Math.max(red(column, row), Math.max(green(column, row), blue(column, row)));
    }

    /** 0 = grey. */
    double saturation(int column, int row) {
        double most = brightest(column, row);
        double least = Math.min(red(column, row), Math.min(green(column, row), blue(column, row)));
        return most <= 0 ? 0 : (most - least) / most;
    }

    double at(int column, int row) {
        return switch (glow) {
            case RED -> redness(red(column, row), green(column, row), blue(column, row));
            case BRIGHT -> brightest(column, row);
        };
    }

    /** How much of the red has no green and blue beside it. */
    private static double redness(double red, double green, double blue) {
        double other = Math.max(0.6 * green + 0.4 * blue, Math.max(green, blue) * 0.9);
        return red <= other ? 0 : (red - other) / red * Math.min(1, red / DARK);
    }

    /** Glow between two distances from the centre, in radii. */
    double[] sorted(double from, double to) {
        return IntStream.range(0, width * height)
                .filter(i -> away(i % width, i / width) >= from && away(i % width, i / width) <= to)
                .mapToDouble(i -> at(i % width, i / width))
                .sorted()
                .toArray();
    }
}
