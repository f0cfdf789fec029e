package nexa.imaging.codec;

import com.drew.imaging.ImageProcessingException;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.imaging.apart.Apart;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The families of files that are read, in the order in which they are asked whose a file is. Thread-safe. */
public record PhotoCodecs(List<PhotoCodec> inOrder) {
    private static final Logger LOG = LoggerFactory.getLogger(PhotoCodecs.class);

    private static final RawCodec CAMERA = new RawCodec();

    /** All that Nexa reads. Raw files come before the TIFFs that most of them look like, and what only the decoder knows last. */
    public static final PhotoCodecs STANDARD = all(Apart.SHARED);

    /** The same, but what is decoded apart leaves the processors to others. */
    public static final PhotoCodecs PATIENT = all(Apart.PATIENT);

    private static PhotoCodecs all(Apart apart) {
        return new PhotoCodecs(List.of(
                new JpegCodec(),
                CAMERA,
                new HeifCodec(apart, Build.decodesHevc()),
                new Jpeg2000Codec(apart),
                new JxlCodec(apart),
                new TiffCodec(),
                new TaggedCodec(FileKind.PNG),
                new TaggedCodec(FileKind.WEBP),
                new BmpCodec(),
                new OtherCodec(),
                new RawDataCodec(apart, CAMERA)));
    }

    public PhotoCodecs {
        inOrder = List.copyOf(inOrder);
    }

    /**
     * What a file is; of a raw file the camera's own picture of it, if there is one. Never throws for whatever it holds.
     */
    public Probe probe(Path path) {
        Probe probe = asItIs(path);
        return isRawOnly(probe) && developed(path) instanceof Probe.Readable developed ? developed : probe;
    }

    private static boolean isRawOnly(Probe probe) {
        return probe instanceof Probe.Unreadable(Trouble trouble)
                && trouble.kind() == Trouble.Kind.RAW_WITHOUT_PREVIEW
                && RawDataCodec.isThere();
    }

    private Probe asItIs(Path path) {
        try (PhotoFile file = PhotoFile.open(path)) {
            return file.length() == 0 ? Probe.unreadable(Trouble.Kind.EMPTY) : probe(file);
        } catch (NoSuchFileException gone) { // said as a trouble of the photo
            return Probe.unreadable(Trouble.Kind.MISSING);
        } catch (AccessDeniedException denied) { // said as a trouble of the photo
            return Probe.unreadable(Trouble.Kind.NO_PERMISSION);
        } catch (EOFException cut) { // in the headers already
            return new Probe.Unreadable(new Trouble(Trouble.Kind.TRUNCATED, 0));
        } catch (IOException failed) {
            LOG.info("Reading {} failed", path, failed);
            return Probe.unreadable(Trouble.Kind.READ_FAILED);
        } catch (ImageProcessingException | RuntimeException | OutOfMemoryError | StackOverflowError damaged) {
            LOG.info("The headers of {} are damaged", path, damaged); // libraries believe the lengths that they tell
            return Probe.unreadable(Trouble.Kind.DAMAGED);
        }
    }

    /**
     * What a raw file is when its sensor data is developed. Of any other file, and where data can't be developed here,
     * what it is anyway. Never throws for whatever it holds.
     */
    public Probe developed(Path path) {
        return new PhotoCodecs(inOrder.stream()
                        .sorted(Comparator.comparing(
                                codec -> codec.kind() != FileKind.RAW_DATA || !RawDataCodec.isThere()))
                        .toList())
                .asItIs(path);
    }

    private Probe probe(PhotoFile file) throws IOException, ImageProcessingException {
        for (PhotoCodec codec : inOrder) {
            Optional<Probe> probe = codec.probe(file);
            if (probe.isPresent()) {
                return probe.get();
            }
        }
        return Probe.unreadable(Trouble.Kind.NOT_AN_IMAGE);
    }

    /**
     * The one for photos of such facts.
     *
     * @throws UnreadablePhotoException if this list has none for them
     */
    public PhotoCodec of(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        return inOrder.stream()
                .filter(codec -> codec.kind() == facts.kind())
                .findFirst()
                .orElseThrow(() -> new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.UNSUPPORTED)));
    }

    /**
     * Opens a photo at its full size.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public Source open(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        return open(file, facts, Reduction.NONE);
    }

    /**
     * Opens a photo at a fraction of its size if its family can be decoded so, else at its full size.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        return of(file, facts).open(file, facts, reduction);
    }

    /**
     * A photo that is not decoded yet, for what is made of it.
     *
     * @throws UnreadablePhotoException if this list has no codec for it
     */
    public OpenedPhoto opened(Path file, PhotoFacts facts, Reduced reduced) throws UnreadablePhotoException {
        return new OpenedPhoto(of(file, facts), file, facts, reduced);
    }
}
