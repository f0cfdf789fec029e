package nexa.imaging.codec;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.apart.Apart;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.boxes.HeifFile;
import nexa.imaging.boxes.HeifPicture;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.PixelLimit;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** HEIC and AVIF, the primary picture; decoded apart. */
final class HeifCodec implements PhotoCodec {
    private static final int BRANDS = 256;

    private final Apart apart;
    private final boolean decodesHevc;

    /** @param decodesHevc whether this build may, since some countries have patents on it */
    HeifCodec(Apart apart, boolean decodesHevc) {
        this.apart = apart;
        this.decodesHevc = decodesHevc;
    }

    @Override
    public FileKind kind() {
        return FileKind.HEIF;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        return HeifFile.isOne(file.beginning(BRANDS)) ? Optional.of(read(file)) : Optional.empty();
    }

    private Probe read(PhotoFile file) throws IOException, ImageProcessingException {
        Optional<HeifPicture> found = HeifFile.read(file.channel());
        if (found.isEmpty()) {
            return Probe.unreadable(Trouble.Kind.UNSUPPORTED);
        }
        HeifPicture picture = found.get();
        if (!decodesHevc && picture.coded().coding().equals("hvc1")) {
            return Probe.unreadable(Trouble.Kind.HEVC);
        }
        if (PixelLimit.isExceeded(picture.coded().size())) {
            return Probe.unreadable(Trouble.Kind.TOO_LARGE);
        }
        boolean isOnePiece = picture.coded().tiles().size() == 1;
        if (isOnePiece && PixelLimit.isExceededInOnePiece(picture.coded().size())) {
            return Probe.unreadable(Trouble.Kind.DECODER_LIMIT);
        }
        apart.warm();
        return Readings.of(kind(), picture.stored(), picture.orientation(), picture.metadata(), picture.remarks());
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        SourceMetadata metadata = metadata(file, facts);
        Apart.Decoded decoded = apart.decode(file, Kind.HEIF, facts.asShot(), reduction);
        return new Source(decoded.picture(), metadata);
    }

    @Override
    public boolean reducesAfterwards() {
        return true;
    }

    @Override
    public Optional<Source> small(Path path, PhotoFacts facts) throws UnreadablePhotoException {
        HeifPicture picture = Readings.reading(path, file -> HeifFile.read(file.channel())
                .orElseThrow(() -> new ImageProcessingException("no picture any more")));
        return picture.thumbnail().isEmpty()
                ? Optional.empty()
                : Optional.of(new Source(apart.thumbnail(path), picture.metadata()));
    }

    @Override
    public SourceMetadata metadata(Path path, PhotoFacts facts) throws UnreadablePhotoException {
        return Readings.reading(path, file -> HeifFile.read(file.channel())
                .map(HeifPicture::metadata)
                .orElseThrow(() -> new ImageProcessingException("no picture any more")));
    }
}
