package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.mean;

import org.bytedeco.opencv.opencv_core.Scalar;

/** How light pictures are. */
public final class Brightness {
    private static final int GREEN = 1;

    private Brightness() {}

    /** The mean of the green values of a picture of 8 bits, or of its grey ones: 0 is black, 1 white. */
    public static double of(Picture picture) {
        try (Scalar means = mean(picture.mat())) {
            return means.get(picture.channels() == 1 ? 0 : GREEN) / 255;
        }
    }
}
