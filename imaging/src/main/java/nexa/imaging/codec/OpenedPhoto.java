package nexa.imaging.codec;

import java.nio.file.Path;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.jspecify.annotations.Nullable;

/** A photo of which several things may be wanted; decoded once, when its pixels are first asked for. Not thread-safe. */
public final class OpenedPhoto implements AutoCloseable {
    private final PhotoCodec codec;
    private final Path file;
    private final PhotoFacts facts;
    private final Reduced reduced;
    private @Nullable Source decoded;
    private @Nullable UnreadablePhotoException refused;

    OpenedPhoto(PhotoCodec codec, Path file, PhotoFacts facts, Reduced reduced) {
        this.codec = codec;
        this.file = file;
        this.facts = facts;
        this.reduced = reduced;
    }

    /** @throws UnreadablePhotoException if it can't be decoded, each time it is asked for */
    public Source source() throws UnreadablePhotoException {
        if (refused != null) {
            throw refused;
        }
        if (decoded == null) {
            try {
                decoded = codec.toReduce(file, facts, reduced);
            } catch (UnreadablePhotoException refusal) {
                refused = refusal;
                throw refusal;
            }
        }
        return decoded;
    }

    /**
     * Its metadata, for which no pixel is decoded where that can be.
     *
     * @throws UnreadablePhotoException if it can't be read
     */
    public SourceMetadata metadata() throws UnreadablePhotoException {
        return decoded == null ? codec.metadata(file, facts) : decoded.metadata();
    }

    @Override
    public void close() {
        if (decoded != null) {
            decoded.close();
        }
    }
}
