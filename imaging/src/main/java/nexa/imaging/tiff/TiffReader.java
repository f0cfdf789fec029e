package nexa.imaging.tiff;

import com.twelvemonkeys.imageio.plugins.tiff.TIFFImageReaderSpi;
import java.awt.Rectangle;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Readers of TIFFs that hand out samples as they are stored: of all inks, and with an alpha that is not mixed in. The JDK's is
 * several times as fast; the library's knows more, and gives channels that lie apart and those packed as JPEG rightly.
 */
final class TiffReader {
    private static final Logger LOG = LoggerFactory.getLogger(TiffReader.class);
    private static final TIFFImageReaderSpi LIBRARY = new TIFFImageReaderSpi();

    /** Packings as JPEG, the old way and the new. */
    private static final Set<Integer> JPEGS = Set.of(TiffTags.OLD_JPEG, 7);

    /** Pixels that are read at once: the library keeps them in Java's memory, where no large scan has room. */
    private static final int BAND = 4_000_000;

    private TiffReader() {}

    /** Makes pixels of the samples of some rows. */
    interface Making {
        Picture of(Raster samples);
    }

    /**
     * A whole picture, as it lies in the file.
     *
     * @throws IOException if it can't be read; the library may throw what it likes besides
     */
    static Picture read(Path file, TiffTags tags, Making making) throws IOException {
        if (isLibrarysAlone(tags)) {
            return read(LIBRARY.createReaderInstance(null), file, making);
        }
        try {
            return read(ofJdk(), file, making);
        } catch (IOException | RuntimeException unknown) {
            LOG.debug("{} is left to the library", file, unknown);
            return read(LIBRARY.createReaderInstance(null), file, making);
        }
    }

    /** What the JDK's reader gives wrongly, without saying so. */
    private static boolean isLibrarysAlone(TiffTags tags) {
        return tags.number(TiffTags.PLANAR_CONFIGURATION) == TiffTags.APART
                || JPEGS.contains(tags.number(TiffTags.COMPRESSION));
    }

    private static ImageReader ofJdk() {
        for (Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName("tiff"); readers.hasNext(); ) {
            ImageReader reader = readers.next();
            if (!(reader.getOriginatingProvider() instanceof TIFFImageReaderSpi)) {
                return reader;
            }
        }
        return LIBRARY.createReaderInstance(null);
    }

    private static Picture read(ImageReader reader, Path file, Making making) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            reader.setInput(in);
            return read(reader, making);
        } finally {
            reader.dispose();
        }
    }

    private static Picture read(ImageReader reader, Making making) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        int bands = Math.ceilDiv(height, Math.max(1, BAND / width));
        int rows = Math.ceilDiv(height, bands);
        Mat whole = new Mat();
        for (int y = 0; y < height; y += rows) {
            int count = Math.min(rows, height - y);
            try (Picture band = making.of(raster(reader, new Rectangle(0, y, width, count)))) {
                whole.create(height, width, band.mat().type()); // once: later bands find it made
                try (Mat place = whole.rowRange(y, y + count)) {
                    band.mat().copyTo(place);
                }
            }
        }
        return new Picture(whole);
    }

    private static Raster raster(ImageReader reader, Rectangle part) throws IOException {
        ImageReadParam asked = reader.getDefaultReadParam();
        asked.setSourceRegion(part);
        return reader.read(0, asked).getRaster();
    }
}
