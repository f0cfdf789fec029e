package nexa.imaging.preview;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.geometry.Turn;
import nexa.imaging.codec.JpegCodec;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.source.Source;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Decodes photos at the size a screen needs. Thread-safe.
 *
 * @param codecs that open them
 */
public record PreviewMaker(PhotoCodecs codecs) {
    private static final Logger LOG = LoggerFactory.getLogger(PreviewMaker.class);

    /** One that leaves the processors to others where it can. */
    public PreviewMaker patient() {
        return codecs.equals(PhotoCodecs.STANDARD) ? new PreviewMaker(PhotoCodecs.PATIENT) : this;
    }

    /**
     * The photo with at most the given long edge. Small photos keep their size.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public Preview make(Path file, PhotoFacts facts, int longEdge) throws UnreadablePhotoException {
        try (Source source = open(file, facts, longEdge)) {
            return of(source, facts, longEdge);
        }
    }

    /**
     * The same, and a larger one if its pixels are decoded anyway: most kinds of files are decoded whole, however small they
     * are to be shown.
     *
     * @param larger its long edge
     * @param also is lent the larger one
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public Preview make(Path file, PhotoFacts facts, int longEdge, int larger, Consumer<Preview> also)
            throws UnreadablePhotoException {
        boolean takesNoLonger = codecs.of(file, facts).reducesAfterwards();
        try (Source source = open(file, facts, takesNoLonger ? larger : longEdge)) {
            if (source.picture().size().longEdge() >= larger) {
                try (Preview lent = of(source, facts, larger)) {
                    also.accept(lent);
                    return lent.reducedTo(longEdge);
                }
            }
            return of(source, facts, longEdge);
        }
    }

    private static Preview of(Source source, PhotoFacts facts, int longEdge) {
        try (Picture eight = asShot(source, facts, longEdge)) {
            return new Preview(eight.onWhite(), source.profile());
        }
    }

    /**
     * The same for detectors, which ask for no exact colours.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public Picture picture(Path file, PhotoFacts facts, int longEdge) throws UnreadablePhotoException {
        try (Preview preview = make(file, facts, longEdge)) {
            return preview.picture().shared();
        }
    }

    /**
     * The same with its opacity, if the file has any.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public Picture transparent(Path file, PhotoFacts facts, int longEdge) throws UnreadablePhotoException {
        try (Source source = open(file, facts, longEdge)) {
            return asShot(source, facts, longEdge);
        }
    }

    private Source open(Path file, PhotoFacts facts, int longEdge) throws UnreadablePhotoException {
        return codecs.open(
                file, facts, Reduction.leaving(longEdge, facts.asShot().longEdge()));
    }

    /** With 8 bits a channel, opacity and all. */
    private static Picture asShot(Source source, PhotoFacts facts, int longEdge) {
        try (Picture reduced = source.picture().reducedTo(longEdge);
                Picture turned = reduced.turned(facts.decodedToAsShot())) {
            return turned.to8Bits();
        }
    }

    /**
     * What a camera's own small picture inside the file shows, at once and until the photo itself is decoded; empty if
     * there is none or it can't be used.
     *
     * @param longEdge the largest of them that is worth decoding, if there are several
     */
    public Optional<Preview> embedded(Path file, PhotoFacts facts, int longEdge) {
        List<EmbeddedJpeg> found = embedded(file, facts);
        Optional<EmbeddedJpeg> best = found.stream()
                .filter(preview -> preview.size().longEdge() >= longEdge)
                .findFirst()
                .or(() -> found.isEmpty() ? Optional.empty() : Optional.of(found.getLast()));
        return best.flatMap(preview -> decoded(file, facts, preview, longEdge)).or(() -> small(file, facts, longEdge));
    }

    private Optional<Preview> small(Path file, PhotoFacts facts, int longEdge) {
        try {
            Optional<Source> small = codecs.of(file, facts).small(file, facts);
            return small.map(source -> laidDown(source, facts, longEdge));
        } catch (UnreadablePhotoException without) { // the photo itself is still to come
            return Optional.empty();
        }
    }

    private static Preview laidDown(Source small, PhotoFacts facts, int longEdge) {
        try (small) {
            return of(small, facts, longEdge);
        }
    }

    private List<EmbeddedJpeg> embedded(Path file, PhotoFacts facts) {
        try {
            return codecs.of(file, facts).embedded(file);
        } catch (UnreadablePhotoException unknown) { // said where its pixels are asked for
            return List.of();
        }
    }

    private static Optional<Preview> decoded(Path file, PhotoFacts facts, EmbeddedJpeg preview, int longEdge) {
        Reduction reduction = Reduction.leaving(longEdge, preview.size().longEdge());
        Turn toAsShot = Turn.ofExif(facts.exifOrientation());
        try (Source source = JpegCodec.decode(file, preview.bytes(file), reduction);
                Picture whole = source.picture().cutTo(facts.laidDown().aspect());
                Picture small = whole.reducedTo(longEdge);
                Picture turned = small.turned(toAsShot)) {
            Optional<Profile> profile = source.profile().or(() -> Profile.coded(facts.profile()));
            return Optional.of(new Preview(turned.onWhite(), profile));
        } catch (IOException | RuntimeException damaged) { // the photo itself is still to come
            LOG.info("A small picture in {} can't be read: {}", file, damaged.toString());
            return Optional.empty();
        }
    }
}
