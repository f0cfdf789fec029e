package nexa.imaging.deliver;

import static org.bytedeco.opencv.global.opencv_core.addWeighted;
import static org.bytedeco.opencv.global.opencv_core.mixChannels;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;

import nexa.core.files.Finish;
import nexa.core.files.Finish.Sharpening;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Output sharpening: an unsharp mask (what a Gaussian takes out is added once more) at the delivered size, as wide as
 * the medium blurs.
 */
public final class Sharpen {
    /** From blue, green and red of one to those of another. */
    private static final int[] COLOURS = {0, 0, 1, 1, 2, 2};

    private Sharpen() {}

    /** How a medium is made up for. @param sigma in delivered pixels */
    private record Mask(double sigma, double strength) {
        static Mask of(Sharpening sharpening) {
            return switch (sharpening) {
                case OFF -> new Mask(1, 0);
                case SCREEN -> new Mask(0.6, 0.5);
                case GLOSS -> new Mask(1.0, 0.8);
                case MATT -> new Mask(1.3, 1.2);
            };
        }
    }

    /** A new picture, or a second handle on the same pixels if nothing is to be done. Transparency stays as it is. */
    public static Picture apply(Picture picture, Finish finish) {
        if (finish.sharpening() == Sharpening.OFF) {
            return picture.shared();
        }
        Mask mask = Mask.of(finish.sharpening());
        double strength = mask.strength * finish.amount() / 100;
        try (Mat soft = new Mat();
                Size fitting = new Size()) {
            GaussianBlur(picture.mat(), soft, fitting, mask.sigma);
            Mat sharp = new Mat();
            addWeighted(picture.mat(), 1 + strength, soft, -strength, 0, sharp);
            return new Picture(picture.channels() == 4 ? withAlphaOf(picture, sharp) : sharp);
        }
    }

    private static Mat withAlphaOf(Picture picture, Mat sharp) {
        Mat both = picture.mat().clone();
        mixChannels(sharp, 1, both, 1, COLOURS, 3);
        sharp.close();
        return both;
    }
}
