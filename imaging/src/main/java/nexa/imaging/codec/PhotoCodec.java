package nexa.imaging.codec;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.imaging.blocks.BlockCut.Grid;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.PixelLimit;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** How one family of files is opened. Thread-safe. */
public interface PhotoCodec {
    /** What its photos are called in facts and in the store. */
    FileKind kind();

    /**
     * What a file's headers say; empty if it is not of this family. No pixel is decoded before it is known that there are
     * not too many ({@link PixelLimit}).
     *
     * @throws IOException if it can't be read
     * @throws ImageProcessingException if its headers are damaged
     */
    Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException;

    /**
     * Its pixels as the decoder gives them, and its metadata.
     *
     * @param facts what {@link #probe} said
     * @param reduction that the pixels may have; a family that can't be decoded so gives all of them
     * @throws UnreadablePhotoException if it can't be decoded
     */
    Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException;

    /**
     * The same with all metadata, for what is made of it and shows less: a family may give means of pixels, or all in a quicker way.
     * All in the usual way, unless a family says otherwise.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    default Source toReduce(Path file, PhotoFacts facts, Reduced reduced) throws UnreadablePhotoException {
        return open(file, facts, Reduction.NONE);
    }

    /** Whether all of a photo is decoded before it is made smaller, so that a larger one takes hardly longer. */
    default boolean reducesAfterwards() {
        return false;
    }

    /**
     * The metadata that {@link #open} gives, without the pixels where they need not be decoded for it.
     *
     * @throws UnreadablePhotoException if it can't be read
     */
    default SourceMetadata metadata(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        try (Source source = open(file, facts, Reduction.EIGHTH)) {
            return source.metadata();
        }
    }

    /** Small pictures that cameras put into the file, smallest first; none if there are none. */
    default List<EmbeddedJpeg> embedded(Path file) {
        return List.of();
    }

    /**
     * A small picture in the file that is none of those, decoded and laid down as the photo; empty if there is none.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    default Optional<Source> small(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        return Optional.empty();
    }

    /** The grid on which such a file can be cut without touching its pixels; empty if it can't be. */
    default Optional<Grid> grid(Path file) {
        return Optional.empty();
    }

    /**
     * Whether parts of the picture data are damaged although it decodes. Reads all of it.
     *
     * @throws IOException if it can't be read
     */
    default boolean isDamaged(Path file) throws IOException {
        return false;
    }
}
