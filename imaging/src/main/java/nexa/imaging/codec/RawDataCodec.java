package nexa.imaging.codec;

import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import nexa.imaging.apart.Apart;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Brightness;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.probe.RawFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import nexa.imaging.system.SystemLibrary;

/**
 * Cameras' sensor data itself, developed apart: as light on average as the camera's own picture of it, if there is one.
 * Files are of this kind only where {@link PhotoCodecs#developed} was asked for; what they are otherwise is {@link RawCodec}'s.
 */
final class RawDataCodec implements PhotoCodec {
    private final Apart apart;
    private final RawCodec camera;

    RawDataCodec(Apart apart, RawCodec camera) {
        this.apart = apart;
        this.camera = camera;
    }

    /** Whether sensor data can be developed here. */
    static boolean isThere() {
        return SystemLibrary.raw().isPresent();
    }

    @Override
    public FileKind kind() {
        return FileKind.RAW_DATA;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException {
        if (!camera.isRaw(file)) {
            return Optional.empty();
        }
        try {
            return Optional.of(Readings.developed(
                    kind(),
                    apart.sensor(file.path()),
                    file.understoodHeaders().orElseThrow(),
                    Profile.DEVELOPED.name(),
                    EnumSet.of(Remark.SENSOR_DATA)));
        } catch (UnreadablePhotoException refused) {
            return Optional.of(new Probe.Unreadable(refused.trouble()));
        }
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        Apart.Decoded decoded = apart.decode(file, Kind.RAW, facts.asShot(), reduction, brightness(file, facts));
        byte[] icc = decoded.icc().length == 0 ? null : decoded.icc();
        SourceMetadata said = reduction == Reduction.NONE ? metadata(file, facts) : SourceMetadata.NONE;
        return new Source(decoded.picture(), said.withIcc(icc));
    }

    /** How light the camera showed it; 0 if it put no picture of it into the file. */
    private static double brightness(Path path, PhotoFacts facts) throws UnreadablePhotoException {
        List<EmbeddedJpeg> previews = Readings.reading(path, RawFile::previews);
        if (previews.isEmpty()) {
            return 0;
        }
        EmbeddedJpeg smallest = previews.getFirst();
        Reduction small = Reduction.leaving(400, smallest.size().longEdge());
        try (Source shown = JpegCodec.decode(path, smallest.bytes(path), small);
                Picture withoutBars = shown.picture().cutTo(facts.laidDown().aspect())) {
            return Brightness.of(withoutBars);
        } catch (IOException unreadable) { // then it is as light as the data are
            return 0;
        }
    }

    @Override
    public List<EmbeddedJpeg> embedded(Path path) {
        return RawCodec.previews(path);
    }

    @Override
    public SourceMetadata metadata(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        return camera.metadata(file, facts).withIcc(null);
    }
}
