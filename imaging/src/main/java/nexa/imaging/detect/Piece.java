package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CMP_EQ;
import static org.bytedeco.opencv.global.opencv_core.compare;
import static org.bytedeco.opencv.global.opencv_core.countNonZero;
import static org.bytedeco.opencv.global.opencv_imgproc.CC_STAT_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.CHAIN_APPROX_NONE;
import static org.bytedeco.opencv.global.opencv_imgproc.RETR_EXTERNAL;
import static org.bytedeco.opencv.global.opencv_imgproc.boundingRect;
import static org.bytedeco.opencv.global.opencv_imgproc.connectedComponentsWithStats;
import static org.bytedeco.opencv.global.opencv_imgproc.contourArea;
import static org.bytedeco.opencv.global.opencv_imgproc.convexHull;
import static org.bytedeco.opencv.global.opencv_imgproc.findContours;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.javacpp.indexer.IntIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;

/**
 * One connected piece of a mask.
 *
 * @param top where its upright axis leaves it, in the mask's pixels
 * @param foot the axis' other end
 * @param compactness its area over its convex hull's; 0 for what reaches across nearly all of the photo
 * @param share of the photo's area
 */
record Piece(Point top, Point foot, double compactness, double share) {
    /** A subject covers at least this share of the photo. */
    private static final double SMALLEST = 0.004;

    /** What reaches across more of the photo than this is its background. */
    private static final double ACROSS = 0.85;

    private static final double NEAR_ENDS = 0.15;

    /** Columns a subject's axis moves per row, at most: about 10°. */
    private static final double MOST_LEAN = 0.18;

    /** The piece that is largest and nearest to the middle. */
    static Optional<Piece> best(Mat mask) {
        try (Mat labels = new Mat();
                Mat figures = new Mat();
                Mat centres = new Mat()) {
            int pieces = connectedComponentsWithStats(mask, labels, figures, centres);
            int best = best(mask, pieces, figures, centres);
            if (best == 0) {
                return Optional.empty();
            }
            try (Mat only = new Mat();
                    Mat label = new Mat(1, 1, labels.type(), new Scalar(best))) {
                compare(labels, label, only, CMP_EQ);
                return Optional.of(of(only));
            }
        }
    }

    private static int best(Mat mask, int pieces, Mat figures, Mat centres) {
        int best = 0;
        double bestWeight = SMALLEST * mask.cols() * mask.rows();
        try (IntIndexer areas = figures.createIndexer();
                DoubleIndexer middles = centres.createIndexer()) {
            for (int piece = 1; piece < pieces; piece++) {
                double away = Math.hypot(
                        middles.get(piece, 0) / mask.cols() - 0.5, middles.get(piece, 1) / mask.rows() - 0.5);
                double weight = areas.get(piece, CC_STAT_AREA) * (1 - away);
                if (weight > bestWeight) {
                    best = piece;
                    bestWeight = weight;
                }
            }
        }
        return best;
    }

    private static Piece of(Mat only) {
        List<Point> middles = middles(only);
        double slope = median(slopes(middles));
        double start = median(middles.stream().map(p -> p.x() - slope * p.y()).toList());
        double top = middles.getFirst().y() - 0.5;
        double foot = middles.getLast().y() + 0.5;
        return new Piece(
                new Point(start + slope * top, top),
                new Point(start + slope * foot, foot),
                compactness(only),
                (double) countNonZero(only) / (only.cols() * only.rows()));
    }

    /** Whether the other's ends are where this one's are, within a small part of its length. */
    boolean endsAs(Piece other) {
        double near = NEAR_ENDS * top.distance(foot);
        return top.distance(other.top) <= near && foot.distance(other.foot) <= near;
    }

    private static double compactness(Mat only) {
        try (MatVector contours = new MatVector();
                Mat copy = only.clone();
                Mat hull = new Mat()) {
            findContours(copy, contours, RETR_EXTERNAL, CHAIN_APPROX_NONE);
            try (Mat outline = contours.get(0)) {
                if (reachesAcross(boundingRect(outline), only)) {
                    return 0;
                }
                convexHull(outline, hull);
                return contourArea(outline) / Math.max(1, contourArea(hull));
            }
        }
    }

    private static boolean reachesAcross(Rect box, Mat photo) {
        return box.width() > ACROSS * photo.cols() || box.height() > ACROSS * photo.rows();
    }

    /** The middle column of each row that has any, counted from the outer edge of the first pixel. */
    private static List<Point> middles(Mat only) {
        List<Point> middles = new ArrayList<>();
        int[] columns = new int[only.cols()];
        try (UByteIndexer cells = only.createIndexer()) {
            for (int y = 0; y < only.rows(); y++) {
                int count = 0;
                for (int x = 0; x < only.cols(); x++) {
                    if (cells.get(y, x) != 0) {
                        columns[count++] = x;
                    }
                }
                if (count > 0) {
                    middles.add(new Point(columns[count / 2] + 0.5, y + 0.5));
                }
            }
        }
        return middles;
    }

    /** Theil and Sen: the median slope of pairs is not moved by a handle or a shadow on a minority of the rows. */
    private static List<Double> slopes(List<Point> middles) {
        int apart = Math.max(1, middles.size() / 2);
        List<Double> slopes = new ArrayList<>();
        for (int i = 0; i + apart < middles.size(); i++) {
            Point way = middles.get(i + apart).minus(middles.get(i));
            slopes.add(Math.clamp(way.x() / way.y(), -MOST_LEAN, MOST_LEAN));
        }
        return slopes.isEmpty() ? List.of(0.0) : slopes;
    }

    private static double median(List<Double> values) {
        return values.stream().sorted().toList().get(values.size() / 2);
    }
}
