package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_RECT;
import static org.bytedeco.opencv.global.opencv_imgproc.dilate;
import static org.bytedeco.opencv.global.opencv_imgproc.getStructuringElement;
import static org.bytedeco.opencv.global.opencv_imgproc.medianBlur;

import java.util.Arrays;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Small things that turn up in a fill and are not of what is around them, as ends of posts in a wall: far from the middle of
 * their neighbourhood, where the rest of the fill is not. In texture everything is, and nothing strays.
 */
final class Strays {
    /** The neighbourhood, in pixels of a picture of {@link Filler#LOOKED_AT}: larger than what strays, smaller than shades. */
    private static final int AROUND = 31;

    /** Values of 255: less nobody notices. */
    private static final double LEAST = 16;

    /** Of what is usual in the fill. */
    private static final double USUAL = 7;

    /** Room around a stray, so that it counts as what the eye is caught by. */
    private static final int CAUGHT = 9;

    private Strays() {}

    /**
     * A new mask: white where something strays.
     *
     * @param grey of 8 bits
     * @param mask white where the photo is
     */
    static Mat of(Mat grey, Mat mask) {
        Mat strays = new Mat(grey.rows(), grey.cols(), CV_8UC1, Scalar.all(0));
        try (Mat middle = new Mat();
                Size caught = new Size(CAUGHT, CAUGHT);
                Mat element = getStructuringElement(MORPH_RECT, caught)) {
            medianBlur(grey, middle, AROUND);
            mark(grey, middle, mask, strays);
            dilate(strays, strays, element);
        }
        return strays;
    }

    private static void mark(Mat grey, Mat middle, Mat mask, Mat strays) {
        try (UByteIndexer values = grey.createIndexer();
                UByteIndexer around = middle.createIndexer();
                UByteIndexer photo = mask.createIndexer();
                UByteIndexer to = strays.createIndexer()) {
            int[] off = new int[grey.rows() * grey.cols()];
            int count = 0;
            for (int y = 0; y < grey.rows(); y++) {
                for (int x = 0; x < grey.cols(); x++) {
                    if (photo.get(y, x) == 0) {
                        off[count++] = Math.abs(values.get(y, x) - around.get(y, x));
                    }
                }
            }
            int[] sorted = Arrays.copyOf(off, count);
            Arrays.sort(sorted);
            double most = Math.max(LEAST, count == 0 ? 0 : USUAL * (1 + sorted[(int) (0.8 * (count - 1))]));
            int at = 0;
            for (int y = 0; y < grey.rows(); y++) {
                for (int x = 0; x < grey.cols(); x++) {
                    if (photo.get(y, x) == 0 && off[at++] > most) {
                        to.put(y, x, 255);
                    }
                }
            }
        }
    }
}
