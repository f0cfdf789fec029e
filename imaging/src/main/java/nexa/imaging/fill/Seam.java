package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.CV_32S;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.bitwise_not;
import static org.bytedeco.opencv.global.opencv_core.bitwise_or;
import static org.bytedeco.opencv.global.opencv_core.countNonZero;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_RECT;
import static org.bytedeco.opencv.global.opencv_imgproc.Sobel;
import static org.bytedeco.opencv.global.opencv_imgproc.boxFilter;
import static org.bytedeco.opencv.global.opencv_imgproc.connectedComponentsWithStats;
import static org.bytedeco.opencv.global.opencv_imgproc.dilate;
import static org.bytedeco.opencv.global.opencv_imgproc.erode;
import static org.bytedeco.opencv.global.opencv_imgproc.getStructuringElement;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.IntIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Where a fill shows. Even things and texture go on unseen; things with an edge of their own, such as branches, buildings and
 * people, are cut at the photo's edge or turn up in the fill, and that shows. They are told by the structure tensor (W. Förstner
 * and E. Gülch, 1987): strong change in one direction only. So do small
 * things that stray into an even fill ({@link Strays}).
 *
 * @param share of the fill, and of the photo next to it, where it will show, 0 to 1
 * @param places where that is, the largest first, as parts of the picture from 0 to 1
 */
public record Seam(double share, List<Frame> places) {
    /** Nothing to see. */
    public static final Seam NONE = new Seam(0, List.of());

    /** With less it passes. */
    private static final double SHOWS = 0.015;

    /** Pixels of the photo next to the fill that are looked at, in a picture of {@link Filler#LOOKED_AT}. */
    private static final int DEPTH = 12;

    private static final int WINDOW = 9;

    /** Of the change from pixel to pixel, in steps of 255. */
    private static final double STRONG = 11;

    /** Of the change across a thing's edge to that along it; noise and texture change all ways. */
    private static final double ONE_WAY = 0.55;

    private static final int MOST_PLACES = 8;

    public Seam {
        places = List.copyOf(places);
    }

    /** Whether somebody should look. */
    public boolean shows() {
        return share >= SHOWS;
    }

    static Seam of(Picture small, Mat mask) {
        try (Mat strip = strip(mask);
                Mat cut = cut(small, strip, mask)) {
            double length = count(strip);
            return length == 0 ? NONE : new Seam(count(cut) / length, places(cut, small.size()));
        }
    }

    /** The fill, and the photo next to it. */
    private static Mat strip(Mat mask) {
        Mat strip = new Mat();
        try (Mat far = eroded(mask, 1 + 2 * DEPTH)) {
            bitwise_not(far, strip);
        }
        return strip;
    }

    /** The picture's own sides are no seam. */
    private static Mat eroded(Mat mask, int side) {
        Mat eroded = new Mat();
        try (Size size = new Size(side, side);
                Mat element = getStructuringElement(MORPH_RECT, size)) {
            erode(mask, eroded, element);
        }
        return eroded;
    }

    private static double count(Mat mask) {
        return countNonZero(mask);
    }

    private static Mat cut(Picture small, Mat strip, Mat mask) {
        Mat cut = new Mat(strip.rows(), strip.cols(), CV_8UC1, Scalar.all(0));
        try (Picture eight = small.to8Bits();
                Picture grey = eight.grey();
                Mat dx = new Mat();
                Mat dy = new Mat();
                Mat xx = new Mat();
                Mat yy = new Mat();
                Mat xy = new Mat();
                Size window = new Size(WINDOW, WINDOW)) {
            Sobel(grey.mat(), dx, CV_32F, 1, 0, 3, 0.125, 0, BORDER_REPLICATE);
            Sobel(grey.mat(), dy, CV_32F, 0, 1, 3, 0.125, 0, BORDER_REPLICATE);
            boxFilter(dx.mul(dx).asMat(), xx, CV_32F, window);
            boxFilter(dy.mul(dy).asMat(), yy, CV_32F, window);
            boxFilter(dx.mul(dy).asMat(), xy, CV_32F, window);
            mark(cut, strip, xx, yy, xy);
            try (Mat strays = Strays.of(grey.mat(), mask)) {
                bitwise_or(cut, strays, cut);
            }
        }
        return cut;
    }

    private static void mark(Mat cut, Mat strip, Mat xx, Mat yy, Mat xy) {
        try (UByteIndexer to = cut.createIndexer();
                UByteIndexer seen = strip.createIndexer();
                FloatIndexer a = xx.createIndexer();
                FloatIndexer b = yy.createIndexer();
                FloatIndexer c = xy.createIndexer()) {
            for (int y = 0; y < cut.rows(); y++) {
                for (int x = 0; x < cut.cols(); x++) {
                    if (seen.get(y, x) != 0 && isEdge(a.get(y, x), b.get(y, x), c.get(y, x))) {
                        to.put(y, x, 255);
                    }
                }
            }
        }
    }

    /** By the eigenvalues of the tensor. */
    private static boolean isEdge(double xx, double yy, double xy) {
        double mean = (xx + yy) / 2;
        double apart = Math.hypot((xx - yy) / 2, xy);
        return Math.sqrt(mean + apart) > STRONG && apart > ONE_WAY * mean;
    }

    /** Joined where they lie close together. */
    private static List<Frame> places(Mat cut, PixelSize size) {
        List<Frame> places = new ArrayList<>();
        try (Mat joined = new Mat();
                Size reach = new Size(WINDOW, WINDOW);
                Mat element = getStructuringElement(MORPH_RECT, reach);
                Mat labels = new Mat();
                Mat stats = new Mat();
                Mat middles = new Mat()) {
            dilate(cut, joined, element);
            int count = connectedComponentsWithStats(joined, labels, stats, middles, 8, CV_32S);
            try (IntIndexer box = stats.createIndexer()) {
                for (int i = 1; i < count; i++) {
                    Point from =
                            new Point((double) box.get(i, 0) / size.width(), (double) box.get(i, 1) / size.height());
                    Point to = from.plus(
                            new Point((double) box.get(i, 2) / size.width(), (double) box.get(i, 3) / size.height()));
                    places.add(Frame.between(from, to));
                }
            }
        }
        return places.stream()
                .sorted(Comparator.comparingDouble(place -> -place.width() * place.height()))
                .limit(MOST_PLACES)
                .toList();
    }
}
