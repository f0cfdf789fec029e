package nexa.imaging.codec;

import com.drew.imaging.FileType;
import com.drew.metadata.Metadata;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.PixelLimit;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.OtherKinds;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** Whatever else the pixel library reads; it is asked. Says also why a file is none of all that. */
final class OtherCodec implements PhotoCodec {
    @Override
    public FileKind kind() {
        return FileKind.OTHER;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException {
        Trouble.Kind refusal = file.type() == FileType.Unknown ? Trouble.Kind.NOT_AN_IMAGE : Trouble.Kind.UNSUPPORTED;
        return Optional.of(Decoder.mayRead(file.path()) ? read(file) : Probe.unreadable(refusal));
    }

    /** How many pixels there are must be known before any is decoded; whether they can be shows when they were. */
    private Probe read(PhotoFile file) throws IOException {
        Metadata headers = file.understoodHeaders().orElseGet(Metadata::new);
        Optional<PixelSize> said = OtherKinds.size(file, headers);
        if (said.isEmpty()) {
            return Probe.unreadable(Trouble.Kind.UNSUPPORTED);
        }
        if (PixelLimit.isExceeded(said.get())) {
            return Probe.unreadable(Trouble.Kind.TOO_LARGE);
        }
        try (Picture picture = Decoder.decode(file.path(), Reduction.NONE)) {
            return Readings.of(kind(), picture.size(), headers, EnumSet.noneOf(Remark.class));
        } catch (UnreadablePhotoException refused) {
            return new Probe.Unreadable(refused.trouble());
        }
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        return new Source(Decoder.decode(file, Reduction.NONE), SourceMetadata.NONE);
    }

    @Override
    public SourceMetadata metadata(Path file, PhotoFacts facts) {
        return SourceMetadata.NONE;
    }
}
