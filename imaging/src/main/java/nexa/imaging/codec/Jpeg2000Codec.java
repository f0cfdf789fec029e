package nexa.imaging.codec;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import nexa.imaging.apart.Apart;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.boxes.Jpeg2000File;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.PixelLimit;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** JPEG 2000, bare or in boxes; decoded apart. */
final class Jpeg2000Codec implements PhotoCodec {
    private static final int BEGINNING = 16;
    private static final int UPRIGHT = 1;

    private final Apart apart;

    Jpeg2000Codec(Apart apart) {
        this.apart = apart;
    }

    @Override
    public FileKind kind() {
        return FileKind.JPEG_2000;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        if (!Jpeg2000File.isOne(file.beginning(BEGINNING))) {
            return Optional.empty();
        }
        Jpeg2000File said = Jpeg2000File.read(file.channel());
        if (!said.hasColours()) {
            return Optional.of(Probe.unreadable(Trouble.Kind.UNSUPPORTED));
        }
        if (!PixelLimit.isExceeded(said.size()) && PixelLimit.isExceededInOnePiece(said.size())) {
            return Optional.of(Probe.unreadable(Trouble.Kind.DECODER_LIMIT));
        }
        Set<Remark> remarks = said.hasAlpha() ? EnumSet.of(Remark.NO_ALPHA) : EnumSet.noneOf(Remark.class);
        return Optional.of(Readings.of(kind(), said.size(), UPRIGHT, said.metadata(), remarks));
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        SourceMetadata metadata = metadata(file, facts);
        Apart.Decoded decoded = apart.decode(file, Kind.JPEG_2000, facts.asShot(), reduction);
        return new Source(decoded.picture(), metadata);
    }

    @Override
    public SourceMetadata metadata(Path path, PhotoFacts facts) throws UnreadablePhotoException {
        return Readings.reading(path, file -> Jpeg2000File.read(file.channel()).metadata());
    }
}
