package nexa.imaging.tiff;

import static org.bytedeco.opencv.global.opencv_core.CV_8U;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_core.split;

import java.awt.image.Raster;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.RasterMatrix;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/** Grey TIFFs as OpenCV does not read them: of two and four bits, with alpha, and of 16 bits with white at zero. */
final class TiffGreys {
    private static final int WHITE_IS_ZERO = 0;
    private static final int BLACK_IS_ZERO = 1;

    private TiffGreys() {}

    static boolean areMisread(TiffTags tags) {
        int meaning = tags.number(TiffTags.PHOTOMETRIC_INTERPRETATION);
        int bits = tags.number(TiffTags.BITS);
        boolean hasAlpha = tags.number(TiffTags.SAMPLES) == 2;
        return (meaning == WHITE_IS_ZERO || meaning == BLACK_IS_ZERO)
                && (bits == 2
                        || bits == 4
                        || hasAlpha && (bits == 8 || bits == 16)
                        || meaning == WHITE_IS_ZERO && bits == 16);
    }

    /** The readers hand out light, whatever is at zero. */
    static TiffReader.Making making(TiffTags tags) {
        int bits = tags.number(TiffTags.BITS);
        return samples -> picture(samples, bits);
    }

    /** One channel; or blue, green, red and alpha where there is an alpha. */
    private static Picture picture(Raster samples, int bits) {
        int channels = Math.min(2, samples.getNumBands());
        Mat matrix = RasterMatrix.of(samples, channels);
        if (channels == 2) {
            try (matrix) {
                return withAlpha(matrix);
            }
        }
        if (bits < Byte.SIZE) {
            matrix.convertTo(matrix, CV_8U, 255.0 / ((1 << bits) - 1), 0);
        }
        return new Picture(matrix);
    }

    private static Picture withAlpha(Mat two) {
        Mat whole = new Mat();
        try (MatVector parts = new MatVector()) {
            split(two, parts);
            Mat grey = parts.get(0);
            merge(new MatVector(grey, grey, grey, parts.get(1)), whole);
        }
        return new Picture(whole);
    }
}
