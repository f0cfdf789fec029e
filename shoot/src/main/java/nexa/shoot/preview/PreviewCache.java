package nexa.shoot.preview;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.codec.JpegCodec;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Previews on disk in the photos' own colours, keyed by the photo's content and the preview's size, so that renaming
 * keeps them and a changed file gets new ones. A preview that is missing or torn is made anew. Thread-safe.
 */
public final class PreviewCache {
    /** Long edges that previews are made in: for tiles and cards. */
    public static final int SMALL = 512;

    /** For a photo seen alone. */
    public static final int MIDDLE = 1280;

    private static final Logger LOG = LoggerFactory.getLogger(PreviewCache.class);
    private static final int QUALITY = 90;

    /** Larger ones are wanted for a moment, to judge an edge, and would fill the disk. */
    private static final int LARGEST_KEPT = 2560;

    private final BoundedFolder folder;
    private final PreviewMaker maker;

    /**
     * @param limit most bytes on disk
     * @param maker makes what is not there
     */
    public PreviewCache(Path directory, long limit, PreviewMaker maker) {
        this(new BoundedFolder(directory, limit), maker);
    }

    private PreviewCache(BoundedFolder folder, PreviewMaker maker) {
        this.folder = folder;
        this.maker = maker;
    }

    /** The same previews, of which those that are not there are made by somebody else. */
    public PreviewCache madeBy(PreviewMaker other) {
        return new PreviewCache(folder, other);
    }

    /**
     * The photo as shot with at most the given long edge.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public Preview preview(Path file, String fingerprint, PhotoFacts facts, int longEdge)
            throws UnreadablePhotoException {
        Optional<Preview> cached = kept(fingerprint, longEdge);
        return cached.isPresent() ? cached.get() : made(file, fingerprint, facts, longEdge);
    }

    private Optional<Preview> kept(String fingerprint, int longEdge) {
        Optional<byte[]> bytes = folder.read(name(fingerprint, longEdge));
        if (bytes.isEmpty()) {
            return Optional.empty();
        }
        try (Source source = JpegCodec.decode(folder.path(), bytes.get(), Reduction.NONE)) {
            return Optional.of(new Preview(source.picture().shared(), source.profile()));
        } catch (UnreadablePhotoException torn) { // it is made anew
            LOG.info("A preview of {} is damaged and made anew", fingerprint);
            return Optional.empty();
        }
    }

    private Preview made(Path file, String fingerprint, PhotoFacts facts, int longEdge)
            throws UnreadablePhotoException {
        Preview preview = longEdge == SMALL && !has(fingerprint, MIDDLE)
                ? maker.make(file, facts, SMALL, MIDDLE, larger -> keep(name(fingerprint, MIDDLE), larger))
                : maker.make(file, facts, longEdge);
        if (longEdge <= LARGEST_KEPT) {
            keep(name(fingerprint, longEdge), preview);
        }
        return preview;
    }

    /** A cache that can't be written costs time, not work. What an interrupted thread made is wanted by nobody any more. */
    private void keep(String name, Preview preview) {
        if (Thread.currentThread().isInterrupted()) {
            return;
        }
        try {
            folder.write(name, Encoder.plainJpeg(preview.picture(), QUALITY, preview.profile()));
        } catch (IOException full) {
            LOG.warn("Preview {} was not kept: {}", name, full.toString());
        }
    }

    /** What makes previews that are not there. */
    public PreviewMaker maker() {
        return maker;
    }

    /** Whether a preview is on disk already. */
    public boolean has(String fingerprint, int longEdge) {
        return Files.exists(folder.path().resolve(name(fingerprint, longEdge)));
    }

    /**
     * Makes a preview if it is not on disk yet; with a small one the middle one too, where that takes hardly more time.
     */
    public void prepare(Path file, String fingerprint, PhotoFacts facts, int longEdge) throws UnreadablePhotoException {
        if (!has(fingerprint, longEdge)) {
            made(file, fingerprint, facts, longEdge).close();
        }
    }

    private static String name(String fingerprint, int longEdge) {
        return fingerprint.substring(0, 2) + "/" + fingerprint + "-" + longEdge + ".jpg";
    }

    /** Bytes on disk. */
    public long size() {
        return folder.size();
    }

    /** Sets how many bytes may be on disk; beyond that the least recently used go. */
    public void limit(long bytes) {
        folder.limit(bytes);
    }

    /** Removes all previews; they are made again when needed. */
    public void clear() {
        folder.clear();
    }
}
