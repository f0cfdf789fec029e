package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_imgproc.LINE_8;
import static org.bytedeco.opencv.global.opencv_imgproc.fillConvexPoly;
import static org.bytedeco.opencv.global.opencv_imgproc.fillPoly;

import java.util.List;
import nexa.core.geometry.PixelSize;
import org.bytedeco.javacpp.indexer.IntIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Point;
import org.bytedeco.opencv.opencv_core.Scalar;

/** Where a rendered picture shows photo. */
final class PhotoMask {
    /** OpenCV takes corners in fixed point: 8 bits behind the point are 1/256 of a pixel. */
    private static final int FRACTION_BITS = 8;

    private PhotoMask() {}

    /**
     * A byte for each pixel: 255 in the photo, 0 beyond it.
     *
     * @param photo the corners of the photo's outline in the picture's continuous pixels, in order around it
     */
    static Mat of(PixelSize size, List<nexa.core.geometry.Point> photo) {
        Mat mask = new Mat(size.height(), size.width(), CV_8UC1, Scalar.all(0));
        try (Mat corners = corners(photo)) {
            fill(mask, corners);
        }
        return mask;
    }

    /** A photo that nothing bends has four corners and is convex. */
    private static void fill(Mat mask, Mat corners) {
        if (corners.rows() == 4) {
            fillConvexPoly(mask, corners, Scalar.all(255), LINE_8, FRACTION_BITS);
            return;
        }
        try (MatVector polygon = new MatVector(corners);
                Point noShift = new Point(0, 0)) {
            fillPoly(mask, polygon, Scalar.all(255), LINE_8, FRACTION_BITS, noShift);
        }
    }

    /** OpenCV counts from pixel centres. */
    private static Mat corners(List<nexa.core.geometry.Point> photo) {
        Mat corners = new Mat(photo.size(), 1, opencv_core.CV_32SC2);
        try (IntIndexer cells = corners.createIndexer()) {
            for (int i = 0; i < photo.size(); i++) {
                cells.put(i, 0, 0, fixed(photo.get(i).x()));
                cells.put(i, 0, 1, fixed(photo.get(i).y()));
            }
        }
        return corners;
    }

    private static int fixed(double coordinate) {
        return (int) Math.round((coordinate - 0.5) * (1 << FRACTION_BITS));
    }
}
