package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.subtract;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.getRotationMatrix2D;
import static org.bytedeco.opencv.global.opencv_imgproc.warpAffine;

import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/** A small grey picture as numbers, row by row. */
@SuppressWarnings("ArrayRecordComponent") // never compared, and too large to copy
record Greys(float[] values, int width, int height) {

    static Greys of(Picture grey) {
        try (Mat numbers = numbers(grey)) {
            return of(numbers);
        }
    }

    private static Mat numbers(Picture grey) {
        Mat numbers = new Mat();
        grey.mat().convertTo(numbers, CV_32F);
        return numbers;
    }

    private static Greys of(Mat numbers) {
        float[] values = new float[numbers.cols() * numbers.rows()];
        try (FloatPointer pointer = new FloatPointer(numbers.data())) {
            pointer.get(values);
        }
        return new Greys(values, numbers.cols(), numbers.rows());
    }

    /**
     * How each pixel differs from what is about it, so that a sky's shades do not count; close it.
     *
     * @param shades sigma of what is about a pixel, in pixels
     * @param smooth sigma of what of the detail is smoothed away
     */
    static Mat detail(Picture grey, double shades, double smooth) {
        Mat numbers = numbers(grey);
        try (Mat about = new Mat();
                Size any = new Size(0, 0)) {
            GaussianBlur(numbers, about, any, shades);
            subtract(numbers, about, numbers);
            GaussianBlur(numbers, numbers, any, smooth);
        }
        return numbers;
    }

    /** Turned about the middle so that what leans clockwise by so many degrees is level; beyond its edge it goes on. */
    static Greys levelled(Mat numbers, double degrees) {
        try (Point2f middle = new Point2f(numbers.cols() / 2f, numbers.rows() / 2f);
                Mat way = getRotationMatrix2D(middle, degrees, 1);
                Mat level = new Mat();
                Scalar none = new Scalar()) {
            warpAffine(numbers, level, way, numbers.size(), INTER_LINEAR, BORDER_REPLICATE, none);
            return of(level);
        }
    }

    float at(int x, int y) {
        return values[y * width + x];
    }
}
