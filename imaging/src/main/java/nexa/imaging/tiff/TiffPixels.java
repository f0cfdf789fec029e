package nexa.imaging.tiff;

import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_RGB2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_RGBA2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import nexa.core.geometry.Turn;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.RasterMatrix;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.tiff.TiffReader.Making;
import org.bytedeco.opencv.opencv_core.Mat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * TIFFs as OpenCV does not read them: of 8 bits with alpha it gives colours already mixed with black, of 16 bits whose channels
 * lie apart something else, packed as JPEG in the old way nothing, of inks an alpha that is none, or nothing, and some greys wrongly ({@link TiffGreys}; TIFF 6.0, tags
 * PhotometricInterpretation, PlanarConfiguration and ExtraSamples).
 */
public final class TiffPixels {
    private static final Logger LOG = LoggerFactory.getLogger(TiffPixels.class);
    private static final int RGB = 2;
    private static final int UNASSOCIATED_ALPHA = 2;

    private TiffPixels() {}

    /** The pixels, turned as the file says. */
    public static Picture decode(Path file, Optional<TiffTags> tags) throws UnreadablePhotoException {
        if (tags.filter(TiffPixels::isOfInks).isPresent()) {
            Optional<Picture> inks = TiffInks.shown(file, tags.get());
            return inks.isPresent()
                    ? turned(inks.get(), tags.get())
                    : TiffAlpha.without(Decoder.decode(file, Reduction.NONE));
        }
        Optional<Making> making = tags.flatMap(TiffPixels::makingOfMisread);
        Picture decoded = making.isPresent()
                ? turned(asStored(file, tags.get(), making.get()), tags.get())
                : Decoder.decode(file, Reduction.NONE);
        return tags.isPresent() ? TiffAlpha.straight(decoded, tags.get()) : decoded;
    }

    private static boolean isOfInks(TiffTags tags) {
        return tags.number(TiffTags.PHOTOMETRIC_INTERPRETATION) == TiffTags.SEPARATED;
    }

    private static Optional<Making> makingOfMisread(TiffTags tags) {
        if (TiffGreys.areMisread(tags)) {
            return Optional.of(TiffGreys.making(tags));
        }
        if (TiffPalette.isMisread(tags)) {
            return Optional.of(TiffPalette.making(tags));
        }
        return areColoursMisread(tags) ? Optional.of(TiffPixels::colours) : Optional.empty();
    }

    private static boolean areColoursMisread(TiffTags tags) {
        if (tags.number(TiffTags.COMPRESSION) == TiffTags.OLD_JPEG) {
            return true;
        }
        boolean isDeep = tags.number(TiffTags.BITS) == 16;
        return tags.number(TiffTags.PHOTOMETRIC_INTERPRETATION) == RGB
                && (isDeep
                        ? tags.number(TiffTags.PLANAR_CONFIGURATION) == TiffTags.APART
                        : tags.number(TiffTags.EXTRA_SAMPLES) == UNASSOCIATED_ALPHA);
    }

    private static Picture turned(Picture stored, TiffTags tags) {
        int orientation = tags.number(TiffTags.ORIENTATION);
        if (orientation <= 1 || orientation > 8) {
            return stored;
        }
        try (stored) {
            return stored.turned(Turn.ofExif(orientation));
        }
    }

    private static Picture asStored(Path file, TiffTags tags, Making making) throws UnreadablePhotoException {
        try {
            return TiffReader.read(file, tags, making);
        } catch (IOException | RuntimeException damaged) {
            LOG.info("{} can't be read as it is stored", file, damaged);
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
        }
    }

    /** Grey; or blue, green, red, and alpha if there is a fourth channel; what is beyond that is left out. */
    private static Picture colours(Raster samples) {
        if (samples.getNumBands() < 3) {
            return new Picture(RasterMatrix.of(samples, 1));
        }
        int channels = Math.min(4, samples.getNumBands());
        Mat matrix = RasterMatrix.of(samples, channels);
        cvtColor(matrix, matrix, channels == 4 ? COLOR_RGBA2BGRA : COLOR_RGB2BGR);
        return new Picture(matrix);
    }
}
