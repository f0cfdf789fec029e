package nexa.imaging.deliver;

import static org.bytedeco.opencv.global.opencv_core.addWeighted;
import static org.bytedeco.opencv.global.opencv_core.mixChannels;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;

import java.util.List;
import nexa.core.pixel.FinishStep;
import nexa.core.pixel.Sharpened;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Output sharpening: an unsharp mask (what a Gaussian takes out is added once more) at the delivered size, as wide as
 * the medium blurs.
 */
public final class FinishSteps {
    /** From blue, green and red of one to those of another. */
    private static final int[] COLOURS = {0, 0, 1, 1, 2, 2};

    private FinishSteps() {}

    /** A new picture, or a second handle on the same pixels if nothing is to be done. Transparency stays as it is. */
    public static Picture apply(Picture picture, List<FinishStep> steps) {
        Picture done = picture.shared();
        for (FinishStep step : steps) {
            try (Picture before = done) {
                done = switch (step) {
                    case Sharpened sharpened -> masked(before, sharpened);
                };
            }
        }
        return done;
    }

    private static Picture masked(Picture picture, Sharpened how) {
        try (Mat soft = new Mat();
                Size fitting = new Size()) {
            GaussianBlur(picture.mat(), soft, fitting, how.sigma());
            Mat sharp = new Mat();
            addWeighted(picture.mat(), 1 + how.strength(), soft, -how.strength(), 0, sharp);
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
