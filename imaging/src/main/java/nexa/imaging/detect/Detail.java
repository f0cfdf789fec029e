package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.minMaxLoc;
import static org.bytedeco.opencv.global.opencv_imgproc.Laplacian;
import static org.bytedeco.opencv.global.opencv_imgproc.blur;

import nexa.core.geometry.PixelSize;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/** Where a picture has most to be sharp about: the part with the most energy in its second derivative. */
public final class Detail {
    /** Wide enough to find what a sharpening shows on, small enough to be found at once. */
    private static final int LOOKED_AT = 512;

    private Detail() {}

    /** That part, a new picture. @param cut its size, at most the picture's */
    public static Picture cut(Picture picture, PixelSize cut) {
        double scale = Math.min(1, (double) LOOKED_AT / picture.size().longEdge());
        try (Picture small = picture.reducedTo(LOOKED_AT);
                Picture eight = small.to8Bits();
                Picture opaque = eight.onWhite();
                Picture grey = opaque.grey();
                Mat edges = new Mat();
                Mat energy = new Mat();
                Size window =
                        new Size(Math.max(1, (int) (cut.width() * scale)), Math.max(1, (int) (cut.height() * scale)));
                DoublePointer least = new DoublePointer(1);
                DoublePointer most = new DoublePointer(1);
                Point flattest = new Point();
                Point peak = new Point()) {
            Laplacian(grey.mat(), edges, CV_32F);
            blur(edges.mul(edges).asMat(), energy, window);
            minMaxLoc(energy, least, most, flattest, peak, null);
            int x = within(peak.x() / scale - cut.width() / 2.0, picture.size().width() - cut.width());
            int y = within(peak.y() / scale - cut.height() / 2.0, picture.size().height() - cut.height());
            try (Rect part = new Rect(x, y, cut.width(), cut.height());
                    Mat seen = new Mat(picture.mat(), part)) {
                return new Picture(seen.clone());
            }
        }
    }

    private static int within(double place, int last) {
        return (int) Math.clamp(Math.round(place), 0, last);
    }
}
