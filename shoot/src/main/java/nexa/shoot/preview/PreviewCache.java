package nexa.shoot.preview;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.imaging.deliver.AtomicFile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Previews on disk, keyed by the photo's content and the preview's size, so that renaming keeps them and a changed file
 * gets new ones. A preview that is missing or damaged is made anew. Thread-safe.
 */
public final class PreviewCache {
    private static final Logger LOG = LoggerFactory.getLogger(PreviewCache.class);
    private static final int QUALITY = 90;

    /** Larger ones are wanted for a moment, to judge an edge, and would fill the disk. */
    private static final int LARGEST_KEPT = 2560;

    private final Path directory;

    public PreviewCache(Path directory) {
        this.directory = directory;
    }

    /**
     * The photo as shot with at most the given long edge.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public Raster raster(Path file, String fingerprint, PhotoFacts facts, int longEdge)
            throws UnreadablePhotoException {
        Path cached = directory.resolve(fingerprint.substring(0, 2)).resolve(fingerprint + "-" + longEdge + ".jpg");
        if (Files.exists(cached)) {
            try (Picture picture = Decoder.decode(cached, Reduction.NONE)) {
                return picture.toRaster();
            } catch (UnreadablePhotoException torn) {
                LOG.info("Preview {} is damaged and made anew", cached);
            }
        }
        try (Picture picture = PreviewMaker.make(file, facts, longEdge)) {
            if (longEdge <= LARGEST_KEPT) {
                keep(cached, picture);
            }
            return picture.toRaster();
        }
    }

    /** A cache that can't be written costs time, not work. */
    private static void keep(Path cached, Picture picture) {
        try {
            Files.createDirectories(cached.getParent());
            AtomicFile.write(cached, Encoder.plainJpeg(picture, QUALITY));
        } catch (IOException full) {
            LOG.warn("Preview {} was not kept: {}", cached, full.toString());
        }
    }
}
