package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.bitwise_not;
import static org.bytedeco.opencv.global.opencv_core.countNonZero;
import static org.bytedeco.opencv.global.opencv_core.mean;
import static org.bytedeco.opencv.global.opencv_core.meanStdDev;
import static org.bytedeco.opencv.global.opencv_imgproc.CC_STAT_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.CC_STAT_HEIGHT;
import static org.bytedeco.opencv.global.opencv_imgproc.CC_STAT_LEFT;
import static org.bytedeco.opencv.global.opencv_imgproc.CC_STAT_TOP;
import static org.bytedeco.opencv.global.opencv_imgproc.CC_STAT_WIDTH;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_CLOSE;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_ELLIPSE;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_OPEN;
import static org.bytedeco.opencv.global.opencv_imgproc.THRESH_BINARY;
import static org.bytedeco.opencv.global.opencv_imgproc.THRESH_OTSU;
import static org.bytedeco.opencv.global.opencv_imgproc.connectedComponentsWithStats;
import static org.bytedeco.opencv.global.opencv_imgproc.getStructuringElement;
import static org.bytedeco.opencv.global.opencv_imgproc.morphologyEx;
import static org.bytedeco.opencv.global.opencv_imgproc.threshold;

import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.javacpp.indexer.IntIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * What stands out from a backdrop by its colour, whatever it is. Thresholds from the trial of marks.
 *
 * @param box about it, in the picture's continuous pixels
 * @param clearly whether that is enough for a subject; else something else must speak for it too
 */
record StandOut(Frame box, boolean clearly) {
    private static final int LONG_EDGE = 200;

    /** Share of the map's variance that two values, thing and backdrop, explain. */
    private static final double LEAST_APART = 0.78;

    /** Of the map's means over thing and backdrop. */
    private static final double LEAST_CONTRAST = 44;

    /** The same for what something else speaks for. */
    private static final double LEAST_APART_SUPPORTED = 0.64;

    private static final double LEAST_CONTRAST_SUPPORTED = 40;

    /** Of the largest piece: as large ones are of the same subject. */
    private static final double OF_LARGEST = 0.25;

    static Optional<StandOut> find(Picture picture) {
        try (Picture small = picture.reducedTo(LONG_EDGE);
                Picture coloured = small.plain()) {
            if (Math.min(coloured.size().width(), coloured.size().height()) < 16) {
                return Optional.empty();
            }
            double scale = (double) picture.size().longEdge() / coloured.size().longEdge();
            try (Mat map = BarrierMap.of(coloured.mat());
                    Mat mask = new Mat()) {
                threshold(map, mask, 0, 255, THRESH_BINARY | THRESH_OTSU);
                boolean clearly = isApart(map, mask, LEAST_CONTRAST, LEAST_APART);
                return clearly || isApart(map, mask, LEAST_CONTRAST_SUPPORTED, LEAST_APART_SUPPORTED)
                        ? box(mask).map(box -> new StandOut(box.times(scale), clearly))
                        : Optional.empty();
            }
        }
    }

    private static boolean isApart(Mat map, Mat mask, double leastContrast, double leastApart) {
        try (Mat rest = new Mat();
                Mat whole = new Mat();
                Mat spread = new Mat()) {
            bitwise_not(mask, rest);
            double share = (double) countNonZero(mask) / (mask.cols() * mask.rows());
            double contrast = mean(map, mask).get(0) - mean(map, rest).get(0);
            meanStdDev(map, whole, spread);
            try (DoubleIndexer deviation = spread.createIndexer()) {
                double variance = Math.pow(deviation.get(0), 2);
                double between = share * (1 - share) * contrast * contrast;
                return contrast >= leastContrast && between >= leastApart * variance;
            }
        }
    }

    /** About the largest piece and those that come near it; none if that is the picture's edges. */
    private static Optional<Frame> box(Mat mask) {
        morph(mask, MORPH_OPEN, 3);
        morph(mask, MORPH_CLOSE, 7);
        try (Mat labels = new Mat();
                Mat figures = new Mat();
                Mat centres = new Mat()) {
            int pieces = connectedComponentsWithStats(mask, labels, figures, centres);
            try (IntIndexer figure = figures.createIndexer()) {
                int largest = 0;
                for (int piece = 1; piece < pieces; piece++) {
                    largest = Math.max(largest, figure.get(piece, CC_STAT_AREA));
                }
                Frame all = null;
                for (int piece = 1; piece < pieces; piece++) {
                    if (figure.get(piece, CC_STAT_AREA) >= OF_LARGEST * largest) {
                        Frame one = box(figure, piece);
                        all = all == null ? one : all.union(one);
                    }
                }
                return Optional.ofNullable(all).filter(box -> Candidates.sides(box, mask.cols(), mask.rows()) < 3);
            }
        }
    }

    private static Frame box(IntIndexer figure, int piece) {
        Point first = new Point(figure.get(piece, CC_STAT_LEFT), figure.get(piece, CC_STAT_TOP));
        return Frame.between(
                first, first.plus(new Point(figure.get(piece, CC_STAT_WIDTH), figure.get(piece, CC_STAT_HEIGHT))));
    }

    private static void morph(Mat mask, int how, int pixels) {
        try (Size size = new Size(pixels, pixels);
                Mat brush = getStructuringElement(MORPH_ELLIPSE, size)) {
            morphologyEx(mask, mask, how, brush);
        }
    }
}
