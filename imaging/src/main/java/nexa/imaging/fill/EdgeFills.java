package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32FC1;
import static org.bytedeco.opencv.global.opencv_core.bitwise_not;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.remap;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.ByteBuffer;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/** Fills that go on from the photo's edge: mirrored, stretched, blurred. */
final class EdgeFills {
    /** Of the blurred surroundings, as shares of the long side. */
    private static final double BLUR = 0.03;

    /** Blurred at so many pixels: more would look the same. */
    private static final int BLURRED_AT = 400;

    private EdgeFills() {}

    /** Each pixel beyond the photo shows what is as far inside, straight across its edge. */
    static void mirror(Picture picture, Mat mask) {
        mirror(picture, mask, Double.POSITIVE_INFINITY);
    }

    /**
     * The same, and back again: farther out only what is near the edge is shown, over and over.
     *
     * @param depth that is shown, in pixels from the edge
     */
    static void mirror(Picture picture, Mat mask, double depth) {
        int width = mask.cols();
        int height = mask.rows();
        int[] nearest = NearestEdge.of(mask);
        Samples samples = Samples.of(picture);
        ByteBuffer seen = mask.createBuffer();
        int channels = picture.channels();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                if (seen.get(at) == 0 && nearest[at] >= 0) {
                    int mirrored = mirrored(x, y, nearest[at], mask, depth);
                    long from = (seen.get(mirrored) == 0 ? nearest[at] : mirrored) * (long) channels;
                    for (int c = 0; c < channels; c++) {
                        samples.put((long) at * channels + c, samples.get(from + c));
                    }
                }
            }
        }
    }

    private static int mirrored(int x, int y, int edge, Mat mask, double depth) {
        int width = mask.cols();
        double right = edge % width - x;
        double down = edge / width - y;
        double out = Math.hypot(right, down);
        double folded = out <= depth ? out : out % (2 * depth);
        double part = (folded <= depth ? folded : 2 * depth - folded) / out;
        int mx = (int) Math.clamp(Math.round(edge % width + part * right), 0, width - 1);
        int my = (int) Math.clamp(Math.round(edge / width + part * down), 0, mask.rows() - 1);
        return my * width + mx;
    }

    /** A strip at each side is pulled out to the picture's own side, first across, then up and down. */
    static void stretch(Picture picture, Mat mask, double reach) {
        int strip = (int) Math.max(2, reach * Math.max(mask.cols(), mask.rows()));
        ByteBuffer seen = mask.createBuffer();
        int width = mask.cols();
        int height = mask.rows();
        int first = height;
        int last = -1;
        try (Mat xs = new Mat(height, width, CV_32FC1);
                Mat ys = new Mat(height, width, CV_32FC1);
                FloatIndexer toX = xs.createIndexer();
                FloatIndexer toY = ys.createIndexer();
                Mat across = new Mat()) {
            for (int y = 0; y < height; y++) {
                int[] ends = ends(seen, y, width);
                if (ends[0] < ends[1]) {
                    first = Math.min(first, y);
                    last = y;
                }
                for (int x = 0; x < width; x++) {
                    toX.put(y, x, (float) pulled(x, ends[0], ends[1], width, strip));
                    toY.put(y, x, y);
                }
            }
            sample(picture.mat(), across, xs, ys);
            for (int y = 0; y < height; y++) {
                float from = (float) pulled(y, first, last + 1, height, strip);
                for (int x = 0; x < width; x++) {
                    toX.put(y, x, x);
                    toY.put(y, x, from);
                }
            }
            sample(across, picture.mat(), xs, ys);
        }
    }

    private static void sample(Mat from, Mat to, Mat xs, Mat ys) {
        try (Mat sampled = new Mat()) {
            remap(from, sampled, xs, ys, INTER_CUBIC, BORDER_REPLICATE, Scalar.all(0));
            sampled.copyTo(to);
        }
    }

    /** The first photo pixel of a row, and the one after its last. */
    private static int[] ends(ByteBuffer seen, int row, int width) {
        int from = 0;
        int to = width;
        while (from < width && seen.get(row * width + from) == 0) {
            from++;
        }
        while (to > from && seen.get(row * width + to - 1) == 0) {
            to--;
        }
        return new int[] {from, to};
    }

    /** Where a pixel comes from when strips at both ends of what shows photo are pulled out to the ends of a line. */
    private static double pulled(int at, int from, int to, int length, int strip) {
        int most = Math.min(strip, Math.max(1, (to - from) / 2));
        if (from >= to) {
            return at;
        }
        if (from > 0 && at < from + most) {
            return from + at * (double) most / (from + most);
        }
        int rest = length - 1 - at;
        int gap = length - to;
        return gap > 0 && rest < gap + most ? to - 1 - rest * (double) most / (gap + most) : at;
    }

    /** The mirrored photo, blurred. */
    static void blur(Picture picture, Mat mask) {
        mirror(picture, mask);
        double scale = Math.min(1, (double) BLURRED_AT / Math.max(mask.cols(), mask.rows()));
        try (Mat small = new Mat();
                Mat blurred = new Mat();
                Mat outside = new Mat();
                Size less = new Size(Math.max(1, (int) Math.round(mask.cols() * scale)), Math.max(1, (int)
                        Math.round(mask.rows() * scale)));
                Size whole = new Size(mask.cols(), mask.rows());
                Size any = new Size(0, 0)) {
            resize(picture.mat(), small, less, 0, 0, INTER_AREA);
            GaussianBlur(small, small, any, BLUR * Math.max(less.width(), less.height()));
            resize(small, blurred, whole, 0, 0, INTER_LINEAR);
            bitwise_not(mask, outside);
            blurred.copyTo(picture.mat(), outside);
        }
    }
}
