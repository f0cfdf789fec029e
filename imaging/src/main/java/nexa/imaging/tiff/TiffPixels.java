package nexa.imaging.tiff;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * TIFFs as OpenCV does not read them: of 8 bits with alpha it gives colours already mixed with black, and of ink values an
 * alpha that is none (TIFF 6.0, tags PhotometricInterpretation and ExtraSamples). Inks whose profile is there become what it says.
 */
public final class TiffPixels {
    private static final Logger LOG = LoggerFactory.getLogger(TiffPixels.class);
    private static final int UNASSOCIATED_ALPHA = 2;

    private TiffPixels() {}

    public static Picture decode(Path file, Optional<TiffTags> tags) throws UnreadablePhotoException {
        Optional<Picture> inks =
                tags.filter(TiffPixels::isOfInks).flatMap(read -> TiffInks.shown(file, read.bytes(TiffTags.ICC)));
        return inks.isPresent() ? inks.get() : decodeAsTheyAre(file, tags);
    }

    private static boolean isOfInks(TiffTags tags) {
        return tags.number(TiffTags.PHOTOMETRIC_INTERPRETATION) == TiffTags.SEPARATED;
    }

    private static Picture decodeAsTheyAre(Path file, Optional<TiffTags> tags) throws UnreadablePhotoException {
        Picture picture = Decoder.decode(file, Reduction.NONE);
        if (tags.isEmpty() || picture.channels() != 4 || picture.bits() != 8) {
            return picture;
        }
        if (isOfInks(tags.get())) {
            return withoutAlpha(picture);
        }
        if (tags.get().number(TiffTags.EXTRA_SAMPLES) == UNASSOCIATED_ALPHA) {
            return straight(file, picture);
        }
        return picture;
    }

    private static Picture withoutAlpha(Picture four) {
        try (four) {
            Mat three = new Mat();
            cvtColor(four.mat(), three, COLOR_BGRA2BGR);
            return new Picture(three);
        }
    }

    /** Read again by a library that hands the samples out as they are. */
    private static Picture straight(Path file, Picture mixed) throws UnreadablePhotoException {
        ImageReader reader = ImageIO.getImageReadersByFormatName("tiff").next();
        try (mixed;
                ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            reader.setInput(in);
            return new Picture(matrix(reader.read(0).getRaster()));
        } catch (IOException | RuntimeException damaged) {
            LOG.info("{} can't be read with its alpha", file, damaged);
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
        } finally {
            reader.dispose();
        }
    }

    private static Mat matrix(Raster raster) {
        Mat matrix = new Mat(raster.getHeight(), raster.getWidth(), CV_8UC4);
        int[] row = new int[4 * raster.getWidth()];
        try (UByteIndexer pixels = matrix.createIndexer()) {
            for (int y = 0; y < raster.getHeight(); y++) {
                raster.getPixels(0, y, raster.getWidth(), 1, row);
                for (int x = 0; x < raster.getWidth(); x++) {
                    pixels.put((long) y, (long) x, row[4 * x + 2], row[4 * x + 1], row[4 * x], row[4 * x + 3]);
                }
            }
        }
        return matrix;
    }
}
