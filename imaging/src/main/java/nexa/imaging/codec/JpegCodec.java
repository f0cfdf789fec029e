package nexa.imaging.codec;

import com.drew.imaging.FileType;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.jpeg.JpegDirectory;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.imaging.blocks.BlockCut;
import nexa.imaging.blocks.BlockCut.Grid;
import nexa.imaging.blocks.ScanCheck;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.DecodingRoom;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.PixelLimit;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.probe.Headers;
import nexa.imaging.probe.JpegCompleteness;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.probe.Previews;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** JPEG (ITU T.81) of grey, colour or ink values. */
public final class JpegCodec implements PhotoCodec {
    /** Headers end before this; a file whose header does not is not cut on its blocks. */
    private static final int HEADER = 1 << 18;

    private static final int INK_COMPONENTS = 4;

    @Override
    public FileKind kind() {
        return FileKind.JPEG;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        return file.type() == FileType.Jpeg ? Optional.of(read(file)) : Optional.empty();
    }

    private Probe read(PhotoFile file) throws IOException, ImageProcessingException {
        JpegCompleteness completeness = JpegCompleteness.of(file);
        if (completeness.promisesTooMuch()) {
            return Probe.unreadable(Trouble.Kind.DAMAGED);
        }
        if (completeness.size().filter(PixelLimit::isExceeded).isPresent()) {
            return Probe.unreadable(Trouble.Kind.TOO_LARGE);
        }
        if (!completeness.isOfEightBits()) {
            return Probe.unreadable(Trouble.Kind.UNSUPPORTED);
        }
        OptionalInt percent = completeness.percentIfCut();
        if (percent.isPresent()) {
            return new Probe.Unreadable(new Trouble(Trouble.Kind.TRUNCATED, percent.getAsInt()));
        }
        Metadata headers = file.headers();
        Optional<PixelSize> stored = Headers.size(
                headers, JpegDirectory.class, JpegDirectory.TAG_IMAGE_WIDTH, JpegDirectory.TAG_IMAGE_HEIGHT);
        return Readings.of(kind(), stored, headers, remarks(headers, completeness));
    }

    private static Set<Remark> remarks(Metadata headers, JpegCompleteness completeness) throws IOException {
        Set<Remark> remarks = EnumSet.noneOf(Remark.class);
        if (completeness.endsTooEarly()) {
            remarks.add(Remark.DAMAGED);
        }
        if (Headers.components(headers) == INK_COMPONENTS) {
            remarks.add(Remark.INK);
        }
        return remarks;
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        if (!isInk(facts)) {
            return decode(file, Decoder.read(file), facts, reduction);
        }
        try (DecodingRoom.Held _ = InkJpeg.room(facts.asShot())) {
            return ofInk(file, Decoder.read(file));
        }
    }

    /** Its decoder leaves means of pixels; one of inks leaves all. */
    @Override
    public Source toReduce(Path file, PhotoFacts facts, Reduced reduced) throws UnreadablePhotoException {
        return open(file, facts, reduced.means());
    }

    /** A photo's JPEG, whose colours its headers may say by a code. */
    static Source decode(Path file, byte[] bytes, PhotoFacts facts, Reduction reduction)
            throws UnreadablePhotoException {
        Source decoded = decode(file, bytes, reduction);
        return new Source(decoded.picture(), Readings.withCodedProfile(decoded.metadata(), facts));
    }

    /**
     * A JPEG that is in memory.
     *
     * @param file for messages only
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public static Source decode(Path file, byte[] bytes, Reduction reduction) throws UnreadablePhotoException {
        try (Picture decoded = Decoder.decode(file, bytes, reduction)) {
            return new Source(decoded.asMean(reduction.factor()), JpegBlocks.of(bytes));
        }
    }

    @Override
    public SourceMetadata metadata(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        byte[] bytes = Decoder.read(file);
        SourceMetadata blocks = JpegBlocks.of(bytes);
        return isInk(facts) ? blocks.withIcc(null) : Readings.withCodedProfile(blocks, facts);
    }

    private static boolean isInk(PhotoFacts facts) {
        return facts.remarks().contains(Remark.INK);
    }

    /** The profile was for ink and has done its work. */
    private static Source ofInk(Path file, byte[] bytes) throws UnreadablePhotoException {
        SourceMetadata blocks = JpegBlocks.of(bytes);
        return new Source(InkJpeg.decode(file, bytes, blocks.icc()), blocks.withIcc(null));
    }

    @Override
    public List<EmbeddedJpeg> embedded(Path file) {
        return Previews.in(file);
    }

    @Override
    public Optional<Grid> grid(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            return Optional.of(BlockCut.grid(in.readNBytes(HEADER)));
        } catch (IOException ofAnotherKind) { // then it is rendered anew
            return Optional.empty();
        }
    }

    @Override
    public boolean isDamaged(Path file) throws IOException {
        return ScanCheck.isDamaged(Files.readAllBytes(file));
    }
}
