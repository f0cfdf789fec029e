package nexa.imaging.codec;

import com.drew.imaging.ImageProcessingException;
import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.icc.IccReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.imaging.apart.raw.Sensor;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.PixelLimit;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.CameraHeaders;
import nexa.imaging.probe.CarefulExif;
import nexa.imaging.probe.Headers;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.probe.PngColours;
import nexa.imaging.source.SourceMetadata;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What all families make of headers in the same way. */
final class Readings {
    private static final Logger LOG = LoggerFactory.getLogger(Readings.class);

    private Readings() {}

    /** The same of a size that headers must say, else they are damaged. */
    static Probe of(FileKind kind, Optional<PixelSize> stored, Metadata headers, Set<Remark> remarks) {
        return stored.map(size -> of(kind, size, headers, remarks))
                .orElseGet(() -> Probe.unreadable(Trouble.Kind.DAMAGED));
    }

    /** @param remarks on how the file is read; those on its profile are added */
    static Probe of(FileKind kind, PixelSize stored, Metadata headers, Set<Remark> remarks) {
        return of(kind, stored, Headers.orientation(headers), headers, remarks);
    }

    /**
     * What boxes say, whose orientation is not that of EXIF.
     *
     * @param metadata its EXIF block and profile, if it has them
     */
    static Probe of(FileKind kind, PixelSize stored, int orientation, SourceMetadata metadata, Set<Remark> remarks) {
        Metadata headers = new Metadata();
        if (metadata.exif() != null) {
            new CarefulExif().extract(new ByteArrayReader(metadata.exif()), headers);
        }
        if (metadata.icc() != null) {
            new IccReader().extract(new ByteArrayReader(metadata.icc()), headers);
        }
        return of(kind, stored, orientation, headers, remarks);
    }

    /** Sensor data that comes out of its decoder turned and with a profile. */
    static Probe developed(FileKind kind, Sensor sensor, Metadata headers, String profile, Set<Remark> remarks) {
        return PixelLimit.isExceeded(sensor.size())
                ? Probe.unreadable(Trouble.Kind.TOO_LARGE)
                : new Probe.Readable(new PhotoFacts(
                        kind,
                        sensor.size(),
                        Headers.orientation(headers),
                        Headers.taken(headers),
                        profile,
                        remarks,
                        CameraHeaders.read(headers).seeing(sensor.receptors())));
    }

    private static Probe of(FileKind kind, PixelSize stored, int orientation, Metadata headers, Set<Remark> remarks) {
        if (PixelLimit.isExceeded(stored)) {
            return Probe.unreadable(Trouble.Kind.TOO_LARGE);
        }
        PixelSize asShot = Turn.ofExif(orientation).apply(stored);
        String profile = profile(kind, headers);
        if (Headers.isMoving(headers)) {
            remarks.add(Remark.FIRST_OF_SEVERAL);
        }
        if (Headers.hasGainMap(headers)) {
            remarks.add(Remark.GAIN_MAP);
        }
        if (profile == null && !kind.decodesWithProfile()) {
            remarks.add(Remark.NO_PROFILE);
        } else if (Headers.isOfInk(headers) && !remarks.contains(Remark.INK)) {
            remarks.add(Remark.UNFIT_PROFILE);
        }
        return new Probe.Readable(new PhotoFacts(
                kind, asShot, orientation, Headers.taken(headers), profile, remarks, CameraHeaders.read(headers)));
    }

    /** Its name: of the file's own, or of one that stands for what headers say; null if there is neither. */
    private static @Nullable String profile(FileKind kind, Metadata headers) {
        String own = Headers.profile(headers);
        return own != null ? own : said(kind, headers).map(Profile::name).orElse(null);
    }

    /** What stands for colours that headers say without a profile. */
    private static Optional<Profile> said(FileKind kind, Metadata headers) {
        return switch (kind) {
            case PNG -> PngColours.profile(headers);
            case JPEG, RAW -> Headers.areColoursOfOption(headers) ? Optional.of(Profile.OPTION) : Optional.empty();
            default -> Optional.empty();
        };
    }

    /** With the profile that the camera's code stands for, if there is no other. */
    static SourceMetadata withCodedProfile(SourceMetadata blocks, PhotoFacts facts) {
        Optional<Profile> coded = blocks.icc() == null ? Profile.coded(facts.profile()) : Optional.empty();
        return coded.map(profile -> blocks.withIcc(profile.bytes())).orElse(blocks);
    }

    /** What is read out of a file that was found good before. */
    @FunctionalInterface
    interface Reading<T> {
        T of(PhotoFile file) throws IOException, ImageProcessingException;
    }

    /**
     * Reads something again.
     *
     * @throws UnreadablePhotoException if it can't be any more
     */
    static <T> T reading(Path path, Reading<T> reading) throws UnreadablePhotoException {
        try (PhotoFile file = PhotoFile.open(path)) {
            return reading.of(file);
        } catch (IOException failed) {
            LOG.info("Reading {} failed", path, failed);
            throw new UnreadablePhotoException(path, Trouble.of(Trouble.Kind.READ_FAILED));
        } catch (ImageProcessingException damaged) {
            LOG.info("The boxes of {} are damaged", path, damaged);
            throw new UnreadablePhotoException(path, Trouble.of(Trouble.Kind.DAMAGED));
        }
    }
}
