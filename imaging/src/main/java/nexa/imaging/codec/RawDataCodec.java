package nexa.imaging.codec;

import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import nexa.imaging.apart.Apart;
import nexa.imaging.apart.raw.Demosaic;
import nexa.imaging.apart.raw.Development;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Brightness;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduced;
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
    /** What is made so many times smaller does not show how its sensor's elements were made into pixels. */
    private static final double SMALLER = 1.5;

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

    /** Smaller at half of its size, without metadata. */
    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        return reduction == Reduction.NONE
                ? whole(file, facts, Demosaic.ADAPTIVE)
                : developed(file, facts, Demosaic.CELLS, previews(file), SourceMetadata.NONE);
    }

    @Override
    public Source toReduce(Path file, PhotoFacts facts, Reduced reduced) throws UnreadablePhotoException {
        return whole(file, facts, reduced.by() < SMALLER ? Demosaic.ADAPTIVE : Demosaic.GROUPED);
    }

    private Source whole(Path file, PhotoFacts facts, Demosaic demosaic) throws UnreadablePhotoException {
        List<EmbeddedJpeg> previews = previews(file);
        return developed(file, facts, demosaic, previews, metadata(file, facts, previews));
    }

    /** The pictures that the camera put in, smallest first; they may have to be looked for in all of the file. */
    private static List<EmbeddedJpeg> previews(Path file) throws UnreadablePhotoException {
        return Readings.reading(file, RawFile::previews);
    }

    private Source developed(
            Path file, PhotoFacts facts, Demosaic demosaic, List<EmbeddedJpeg> previews, SourceMetadata said)
            throws UnreadablePhotoException {
        Development development = new Development(demosaic, brightness(file, facts, previews));
        Apart.Decoded decoded = apart.develop(file, facts.asShot(), development);
        byte[] icc = decoded.icc().length == 0 ? null : decoded.icc();
        return new Source(decoded.picture(), said.withIcc(icc));
    }

    /** How light the camera showed it; 0 if it put no picture of it into the file. */
    private static double brightness(Path path, PhotoFacts facts, List<EmbeddedJpeg> previews)
            throws UnreadablePhotoException {
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
        return metadata(file, facts, previews(file));
    }

    private SourceMetadata metadata(Path file, PhotoFacts facts, List<EmbeddedJpeg> previews)
            throws UnreadablePhotoException {
        return camera.metadata(file, facts, RawFile.largest(previews)).withIcc(null);
    }
}
