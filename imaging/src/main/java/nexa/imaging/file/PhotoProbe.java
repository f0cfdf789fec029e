package nexa.imaging.file;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Reads a photo's headers. Thread-safe. */
public final class PhotoProbe {
    /** More pixels than this are refused before any is decoded. */
    public static final long PIXEL_LIMIT = 400_000_000;

    private static final Logger LOG = LoggerFactory.getLogger(PhotoProbe.class);

    private static final Map<FileType, FileKind> KINDS = Map.of(
            FileType.Jpeg, FileKind.JPEG,
            FileType.Png, FileKind.PNG,
            FileType.Tiff, FileKind.TIFF,
            FileType.WebP, FileKind.WEBP,
            FileType.Bmp, FileKind.BMP);

    private PhotoProbe() {}

    /** Never throws for whatever the file holds. */
    public static Probe probe(Path file) {
        try {
            return Files.size(file) == 0 ? Probe.unreadable(Trouble.Kind.EMPTY) : probeContent(file);
        } catch (NoSuchFileException gone) {
            return Probe.unreadable(Trouble.Kind.MISSING);
        } catch (AccessDeniedException denied) {
            return Probe.unreadable(Trouble.Kind.NO_PERMISSION);
        } catch (EOFException cut) { // in the headers already
            return new Probe.Unreadable(new Trouble(Trouble.Kind.TRUNCATED, 0));
        } catch (IOException failed) {
            LOG.info("Reading {} failed", file, failed);
            return Probe.unreadable(Trouble.Kind.READ_FAILED);
        } catch (ImageProcessingException | RuntimeException damaged) {
            LOG.info("The headers of {} are damaged", file, damaged);
            return Probe.unreadable(Trouble.Kind.DAMAGED);
        }
    }

    private static Probe probeContent(Path file) throws IOException, ImageProcessingException {
        FileType type = typeOf(file);
        if (type == FileType.Unknown) {
            return Probe.unreadable(Trouble.Kind.NOT_AN_IMAGE);
        }
        FileKind kind = KINDS.get(type);
        if (kind == null) {
            return Probe.unreadable(Trouble.Kind.UNSUPPORTED);
        }
        if (kind == FileKind.JPEG) {
            OptionalInt share = JpegCompleteness.percentIfCut(file);
            if (share.isPresent()) {
                return new Probe.Unreadable(new Trouble(Trouble.Kind.TRUNCATED, share.getAsInt()));
            }
        }
        return facts(kind, ImageMetadataReader.readMetadata(file.toFile()));
    }

    private static FileType typeOf(Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return FileTypeDetector.detectFileType(in);
        }
    }

    private static Probe facts(FileKind kind, Metadata metadata) {
        Optional<PixelSize> stored = Headers.size(kind, metadata);
        if (stored.isEmpty()) {
            return Probe.unreadable(Trouble.Kind.DAMAGED);
        }
        if (stored.get().area() > PIXEL_LIMIT) {
            return Probe.unreadable(Trouble.Kind.TOO_LARGE);
        }
        int orientation = Headers.orientation(metadata);
        PixelSize asShot = Turn.ofExif(orientation).apply(stored.get());
        return new Probe.Readable(new PhotoFacts(kind, asShot, orientation, Headers.taken(metadata)));
    }
}
