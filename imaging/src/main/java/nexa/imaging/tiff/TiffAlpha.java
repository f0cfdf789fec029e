package nexa.imaging.tiff;

import static org.bytedeco.opencv.global.opencv_core.CV_16U;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.divide;
import static org.bytedeco.opencv.global.opencv_core.max;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_core.split;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/**
 * What a channel beside the colours means (TIFF 6.0, tag ExtraSamples): how opaque a pixel is, with its colour as it is or
 * already mixed with black by that much; or something else, such as a selection that was kept.
 */
final class TiffAlpha {
    private static final int UNSPECIFIED = 0;
    private static final int MIXED = 1;

    /** Pixels that are worked on at once, as floats. */
    private static final int BAND = 4_000_000;

    private TiffAlpha() {}

    /** Straight alpha, or none. @param decoded four channels, or a picture that stays as it is; nobody else's, it is taken over */
    static Picture straight(Picture decoded, TiffTags tags) {
        if (decoded.channels() != 4) {
            return decoded;
        }
        return switch (tags.number(TiffTags.EXTRA_SAMPLES)) {
            case UNSPECIFIED -> without(decoded);
            case MIXED -> unmixed(decoded);
            default -> decoded;
        };
    }

    /** Without a fourth channel. */
    static Picture without(Picture decoded) {
        if (decoded.channels() != 4) {
            return decoded;
        }
        try (decoded) {
            Mat three = new Mat();
            cvtColor(decoded.mat(), three, COLOR_BGRA2BGR);
            return new Picture(three);
        }
    }

    private static Picture unmixed(Picture decoded) {
        Mat whole = decoded.mat();
        int rows = Math.max(1, BAND / whole.cols());
        for (int y = 0; y < whole.rows(); y += rows) {
            try (Mat band = whole.rowRange(y, Math.min(whole.rows(), y + rows))) {
                unmix(band);
            }
        }
        return decoded;
    }

    private static void unmix(Mat band) {
        double most = band.depth() == CV_16U ? 65535 : 255;
        try (MatVector channels = new MatVector();
                Mat alpha = new Mat();
                Mat colour = new Mat()) {
            split(band, channels);
            channels.get(3).convertTo(alpha, CV_32F);
            max(alpha, 1).asMat().copyTo(alpha); // where nothing is to be seen, nothing is known
            for (int c = 0; c < 3; c++) {
                Mat channel = channels.get(c);
                channel.convertTo(colour, CV_32F);
                divide(colour, alpha, colour, most, -1);
                colour.convertTo(channel, band.depth());
            }
            merge(channels, band);
        }
    }
}
