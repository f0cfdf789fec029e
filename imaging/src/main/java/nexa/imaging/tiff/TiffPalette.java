package nexa.imaging.tiff;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.LUT;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.awt.image.Raster;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.RasterMatrix;
import nexa.imaging.tiff.TiffReader.Making;
import org.bytedeco.opencv.opencv_core.Mat;

/** TIFFs whose pixels are numbers of one or two bits of colours in a palette, which OpenCV shows as greys or not at all. */
final class TiffPalette {
    private static final int PALETTE = 3;
    private static final int MOST = 256;

    private TiffPalette() {}

    static boolean isMisread(TiffTags tags) {
        return tags.number(TiffTags.PHOTOMETRIC_INTERPRETATION) == PALETTE
                && tags.number(TiffTags.SAMPLES) <= 1
                && tags.number(TiffTags.BITS) <= 2;
    }

    /** What it makes fails for a palette of too few colours. */
    static Making making(TiffTags tags) {
        int[] map = tags.numbers(TiffTags.COLOUR_MAP);
        int bits = Math.max(1, tags.number(TiffTags.BITS));
        return samples -> picture(samples, colours(map, bits));
    }

    /** Blue, green and red of each of 256 colours. @param map all reds, all greens, all blues, of 16 bits */
    private static byte[] colours(int[] map, int bits) {
        int count = 1 << bits;
        byte[] colours = new byte[MOST * 3];
        for (int colour = 0; colour < count; colour++) {
            for (int channel = 0; channel < 3; channel++) {
                colours[3 * colour + channel] = (byte) (map[(2 - channel) * count + colour] >> Byte.SIZE);
            }
        }
        return colours;
    }

    private static Picture picture(Raster samples, byte[] colours) {
        Mat shown = new Mat();
        try (Mat numbers = RasterMatrix.of(samples, 1);
                Mat table = new Mat(1, MOST, CV_8UC3);
                Mat three = new Mat()) {
            table.data().put(colours);
            cvtColor(numbers, three, COLOR_GRAY2BGR);
            LUT(three, table, shown);
        }
        return new Picture(shown);
    }
}
