package nexa.imaging.tiff;

import java.awt.Rectangle;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** TIFFs of cyan, magenta, yellow and black that say by a profile which inks these are. */
final class TiffInks {
    private static final Logger LOG = LoggerFactory.getLogger(TiffInks.class);

    /** Pixels that are converted at once. */
    private static final int BAND = 4_000_000;

    private TiffInks() {}

    /**
     * What the inks look like, in sRGB, of as many bits as the file has.
     *
     * @param icc the file's profile, if it has one
     * @return empty if there is no profile of inks, or the file is written in a way that the library here does not know
     */
    static Optional<Picture> shown(Path file, byte @Nullable [] icc) {
        Optional<Profile> inks = Profile.ofInks(icc);
        if (inks.isEmpty()) {
            return Optional.empty();
        }
        ImageReader reader = ImageIO.getImageReadersByFormatName("tiff").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            reader.setInput(in);
            return Optional.of(shown(reader, ColourTransform.between(inks.get(), Profile.SRGB)));
        } catch (IOException | RuntimeException unknown) {
            LOG.info("The inks of {} are shown without their profile", file, unknown);
            return Optional.empty();
        } finally {
            reader.dispose();
        }
    }

    /** Band by band: the reader and the engine keep what they work on in Java's memory, where no large scan has room. */
    private static Picture shown(ImageReader reader, ColourTransform toScreen) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        int bands = Math.ceilDiv(height, Math.max(1, BAND / width));
        int rows = Math.ceilDiv(height, bands);
        Mat whole = new Mat();
        for (int y = 0; y < height; y += rows) {
            int count = Math.min(rows, height - y);
            try (InkPicture amounts = InkPicture.of(raster(reader, new Rectangle(0, y, width, count)));
                    Picture band = toScreen.shown(amounts)) {
                whole.create(height, width, band.mat().type()); // once: later bands find it made
                try (Mat place = whole.rowRange(y, y + count)) {
                    band.mat().copyTo(place);
                }
            }
        }
        return new Picture(whole);
    }

    /** By a library that hands the samples out as they are. */
    private static Raster raster(ImageReader reader, Rectangle part) throws IOException {
        ImageReadParam asked = reader.getDefaultReadParam();
        asked.setSourceRegion(part);
        return reader.read(0, asked).getRaster();
    }
}
