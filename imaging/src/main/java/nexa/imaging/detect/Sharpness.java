package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.meanStdDev;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;
import static org.bytedeco.opencv.global.opencv_imgproc.Laplacian;

import nexa.core.geometry.Frame;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * How sharp a part of a picture is: the variance of its Laplacian (J. Pech-Pacheco and others, "Diatom autofocusing in
 * brightfield microscopy", 2000), grain smoothed away. Of use only among photos of the same thing in the same light.
 */
final class Sharpness {
    private static final int SMOOTHED = 3;

    private Sharpness() {}

    /** Of a part of a picture, in its pixels. */
    static double of(Picture picture, Frame part) {
        int left = (int) Math.clamp(part.left(), 0, picture.size().width() - 1.0);
        int top = (int) Math.clamp(part.top(), 0, picture.size().height() - 1.0);
        int width = (int) Math.clamp(part.width(), 1, picture.size().width() - left);
        int height = (int) Math.clamp(part.height(), 1, picture.size().height() - top);
        try (Picture eight = picture.to8Bits();
                Picture opaque = eight.onWhite();
                Picture grey = opaque.grey();
                Rect place = new Rect(left, top, width, height);
                Mat there = new Mat(grey.mat(), place);
                Mat smooth = new Mat();
                Mat edges = new Mat();
                Mat mean = new Mat();
                Mat spread = new Mat();
                Size size = new Size(SMOOTHED, SMOOTHED)) {
            GaussianBlur(there, smooth, size, 0);
            Laplacian(smooth, edges, CV_32F);
            meanStdDev(edges, mean, spread);
            try (DoubleIndexer deviation = spread.createIndexer()) {
                return Math.pow(deviation.get(0), 2);
            }
        }
    }
}
