package nexa.imaging.preview;

import java.nio.file.Path;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;

/** Decodes photos at the size a screen needs. Thread-safe. */
public final class PreviewMaker {
    private PreviewMaker() {}

    /**
     * The photo as shot with at most the given long edge, 8 bits, opaque. Small photos keep their size.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public static Picture make(Path file, PhotoFacts facts, int longEdge) throws UnreadablePhotoException {
        Reduction reduction = Reduction.leaving(longEdge, facts.asShot().longEdge());
        try (Picture decoded = Decoder.decode(file, reduction);
                Picture reduced = decoded.reducedTo(longEdge);
                Picture turned = reduced.turned(facts.decodedToAsShot());
                Picture eight = turned.to8Bits()) {
            return eight.onWhite();
        }
    }
}
