package nexa.imaging.lens;

import static org.bytedeco.opencv.global.opencv_calib3d.CALIB_CB_ADAPTIVE_THRESH;
import static org.bytedeco.opencv.global.opencv_calib3d.CALIB_CB_NORMALIZE_IMAGE;
import static org.bytedeco.opencv.global.opencv_calib3d.CALIB_FIX_ASPECT_RATIO;
import static org.bytedeco.opencv.global.opencv_calib3d.CALIB_FIX_K3;
import static org.bytedeco.opencv.global.opencv_calib3d.CALIB_FIX_PRINCIPAL_POINT;
import static org.bytedeco.opencv.global.opencv_calib3d.CALIB_USE_INTRINSIC_GUESS;
import static org.bytedeco.opencv.global.opencv_calib3d.CALIB_ZERO_TANGENT_DIST;
import static org.bytedeco.opencv.global.opencv_calib3d.calibrateCamera;
import static org.bytedeco.opencv.global.opencv_calib3d.findChessboardCorners;
import static org.bytedeco.opencv.global.opencv_core.CV_64F;
import static org.bytedeco.opencv.global.opencv_core.extractChannel;
import static org.bytedeco.opencv.global.opencv_imgproc.cornerSubPix;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.lens.measure.ChartFit;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Point2fVector;
import org.bytedeco.opencv.opencv_core.Point2fVectorVector;
import org.bytedeco.opencv.opencv_core.Point3f;
import org.bytedeco.opencv.opencv_core.Point3fVector;
import org.bytedeco.opencv.opencv_core.Point3fVectorVector;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_core.TermCriteria;

/**
 * Measures a lens by photos of the chart: a chessboard of {@value #ACROSS} × {@value #DOWN} inner corners (Z. Zhang, A flexible new
 * technique for camera calibration, 2000, as OpenCV has it). Few photos do not tell where the lens's axis is; it is then taken
 * to go through the picture's middle.
 */
public final class ChartMeasure {
    public static final int ACROSS = 9;
    public static final int DOWN = 6;

    /** How far around a corner its edges are followed: less than half a square, so that no other corner is among them. */
    private static final double OF_A_SQUARE = 0.3;

    /** From so many photos on the axis is looked for. */
    private static final int MANY = 6;

    private static final int LEAST_NEAR = 3;
    private static final int MOST_NEAR = 24;
    private static final TermCriteria FINE = new TermCriteria(TermCriteria.COUNT + TermCriteria.EPS, 60, 1e-4);

    /**
     * The chart's inner corners as one photo shows them, from pixel centres.
     *
     * @param grey row by row
     * @param red where the same corners are in red alone; empty if the photo has no colours
     * @param blue the same in blue
     */
    public record Corners(PixelSize photo, List<Point> grey, List<Point> red, List<Point> blue) {
        public Corners {
            grey = List.copyOf(grey);
            red = List.copyOf(red);
            blue = List.copyOf(blue);
        }
    }

    private ChartMeasure() {}

    /** The chart's corners in a photo; empty if it is not to be seen whole. */
    public static Optional<Corners> corners(Picture photo) {
        try (Picture grey = photo.grey();
                Size board = new Size(ACROSS, DOWN);
                Mat found = new Mat()) {
            if (!findChessboardCorners(grey.mat(), board, found, CALIB_CB_ADAPTIVE_THRESH | CALIB_CB_NORMALIZE_IMAGE)) {
                return Optional.empty();
            }
            List<Point> corners = refined(grey.mat(), found);
            boolean coloured = photo.channels() >= 3;
            return Optional.of(new Corners(
                    photo.size(),
                    corners,
                    coloured ? inChannel(photo, 2, found) : List.of(),
                    coloured ? inChannel(photo, 0, found) : List.of()));
        }
    }

    private static List<Point> inChannel(Picture photo, int channel, Mat found) {
        try (Mat one = new Mat()) {
            extractChannel(photo.mat(), one, channel);
            return refined(one, found);
        }
    }

    /** The shortest way from one corner to the next. */
    private static double narrowest(Mat found) {
        List<Point> corners = points(found);
        double narrowest = Double.MAX_VALUE;
        for (int i = 0; i < corners.size(); i++) {
            if (i % ACROSS > 0) {
                narrowest = Math.min(narrowest, corners.get(i).distance(corners.get(i - 1)));
            }
            if (i >= ACROSS) {
                narrowest = Math.min(narrowest, corners.get(i).distance(corners.get(i - ACROSS)));
            }
        }
        return narrowest;
    }

    private static List<Point> points(Mat corners) {
        List<Point> points = new ArrayList<>();
        try (FloatIndexer cells = corners.createIndexer()) {
            for (long i = 0; i < ACROSS * DOWN; i++) {
                points.add(new Point(cells.get(i, 0, 0), cells.get(i, 0, 1)));
            }
        }
        return points;
    }

    private static List<Point> refined(Mat grey, Mat found) {
        int near = Math.clamp((long) (OF_A_SQUARE * narrowest(found)), LEAST_NEAR, MOST_NEAR);
        try (Mat corners = found.clone();
                Size around = new Size(near, near);
                Size none = new Size(-1, -1)) {
            cornerSubPix(grey, corners, around, none, FINE);
            return points(corners);
        }
    }

    /**
     * The lens's distortion: how far from the middle things come to lie.
     *
     * @param photos of the same size, at least three
     */
    public static ChartFit.Radial fit(List<Corners> photos) {
        PixelSize size = photos.getFirst().photo();
        try (Point3fVectorVector board = new Point3fVectorVector();
                Point2fVectorVector seen = new Point2fVectorVector();
                Size pixels = new Size(size.width(), size.height());
                Mat camera = camera(size);
                Mat terms = Mat.zeros(5, 1, CV_64F).asMat();
                MatVector turns = new MatVector();
                MatVector places = new MatVector()) {
            for (Corners photo : photos) {
                board.push_back(board());
                seen.push_back(seen(photo.grey()));
            }
            int flags = CALIB_USE_INTRINSIC_GUESS
                    | CALIB_FIX_ASPECT_RATIO
                    | (photos.size() < MANY ? CALIB_FIX_PRINCIPAL_POINT : 0)
                    | CALIB_ZERO_TANGENT_DIST
                    | CALIB_FIX_K3; // where no corner lies it would swing far out
            double error = calibrateCamera(board, seen, pixels, camera, terms, turns, places, flags, FINE);
            try (DoubleIndexer matrix = camera.createIndexer();
                    DoubleIndexer k = terms.createIndexer()) {
                Point centre = new Point(
                        matrix.get(0, 2) - (size.width() - 1) / 2.0, matrix.get(1, 2) - (size.height() - 1) / 2.0);
                return new ChartFit.Radial(matrix.get(0, 0), centre, k.get(0), k.get(1), k.get(4), error);
            }
        }
    }

    private static Mat camera(PixelSize size) {
        Mat camera = Mat.eye(3, 3, CV_64F).asMat();
        try (DoubleIndexer cells = camera.createIndexer()) {
            cells.put(0, 0, size.longEdge());
            cells.put(1, 1, size.longEdge());
            cells.put(0, 2, (size.width() - 1) / 2.0);
            cells.put(1, 2, (size.height() - 1) / 2.0);
        }
        return camera;
    }

    private static Point3fVector board() {
        Point3fVector board = new Point3fVector();
        for (int i = 0; i < ACROSS * DOWN; i++) {
            board.push_back(new Point3f(i % ACROSS, i / ACROSS, 0));
        }
        return board;
    }

    private static Point2fVector seen(List<Point> corners) {
        Point2fVector seen = new Point2fVector();
        corners.forEach(corner -> seen.push_back(new Point2f((float) corner.x(), (float) corner.y())));
        return seen;
    }
}
