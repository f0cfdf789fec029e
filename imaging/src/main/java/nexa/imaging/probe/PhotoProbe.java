package nexa.imaging.probe;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
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
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Reads a photo's headers. Thread-safe. */
public final class PhotoProbe {
    /** More pixels than this are refused before any is decoded. */
    public static final long PIXEL_LIMIT = 400_000_000;

    /** TIFF 6.0, PhotometricInterpretation: ink values. */
    private static final int SEPARATED = 5;

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
        } catch (NoSuchFileException gone) { // said as a trouble of the photo
            return Probe.unreadable(Trouble.Kind.MISSING);
        } catch (AccessDeniedException denied) { // said as a trouble of the photo
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
        FileKind kind = KINDS.get(type);
        if (kind == FileKind.JPEG) {
            if (JpegCompleteness.promisesTooMuch(file)) {
                return Probe.unreadable(Trouble.Kind.DAMAGED);
            }
            OptionalInt share = JpegCompleteness.percentIfCut(file);
            if (share.isPresent()) {
                return new Probe.Unreadable(new Trouble(Trouble.Kind.TRUNCATED, share.getAsInt()));
            }
        }
        Optional<Metadata> metadata = type == FileType.Unknown ? Optional.empty() : metadata(file, kind);
        if (metadata.isPresent() && RawFile.isRaw(type, metadata.get())) {
            return raw(file, metadata.get());
        }
        return kind == null ? other(file, type, metadata.orElseGet(Metadata::new)) : common(file, kind, metadata.get());
    }

    /** Of a kind that is only perhaps a photo, unreadable headers say nothing yet. */
    private static Optional<Metadata> metadata(Path file, @Nullable FileKind kind)
            throws IOException, ImageProcessingException {
        try {
            return Optional.of(AllHeaders.of(file));
        } catch (ImageProcessingException | RuntimeException damaged) {
            if (kind != null) {
                throw damaged;
            }
            LOG.info("The headers of {} are not understood", file, damaged);
            return Optional.empty();
        }
    }

    private static FileType typeOf(Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return FileTypeDetector.detectFileType(in);
        }
    }

    private static Probe common(Path file, FileKind kind, Metadata metadata) throws IOException {
        Optional<PixelSize> stored = Headers.size(kind, metadata);
        if (stored.isEmpty()) {
            return Probe.unreadable(Trouble.Kind.DAMAGED);
        }
        if (kind == FileKind.TIFF && !Headers.isCommonTiff(metadata)) {
            return Probe.unreadable(Trouble.Kind.UNSUPPORTED);
        }
        Set<Remark> remarks = EnumSet.noneOf(Remark.class);
        if (kind == FileKind.JPEG && JpegCompleteness.endsTooEarly(file)) {
            remarks.add(Remark.DAMAGED);
        }
        if (kind == FileKind.JPEG && Headers.components(metadata) == 4) {
            remarks.add(Remark.INK);
        }
        if (kind == FileKind.TIFF && Headers.photometric(metadata) == SEPARATED) {
            remarks.add(Remark.INK);
        }
        if (kind == FileKind.TIFF && Pages.count(file) > 1) {
            remarks.add(Remark.FIRST_OF_SEVERAL);
        }
        return readable(kind, stored.get(), metadata, remarks);
    }

    private static Probe raw(Path file, Metadata metadata) throws IOException {
        Optional<EmbeddedJpeg> preview = RawFile.preview(file, metadata);
        return preview.isEmpty()
                ? Probe.unreadable(Trouble.Kind.RAW_WITHOUT_PREVIEW)
                : readable(FileKind.RAW, preview.get().size(), metadata, EnumSet.of(Remark.CAMERA_PREVIEW));
    }

    /** Its pixel library is asked whether it reads the file; how large it is shows when it did. */
    private static Probe other(Path file, FileType type, Metadata metadata) throws IOException {
        Trouble.Kind refusal = type == FileType.Unknown
                ? OtherKinds.of(file).orElse(Trouble.Kind.NOT_AN_IMAGE)
                : Trouble.Kind.UNSUPPORTED;
        if (!Decoder.mayRead(file)) {
            return Probe.unreadable(refusal);
        }
        try (Picture picture = Decoder.decode(file, Reduction.NONE)) {
            return readable(FileKind.OTHER, picture.size(), metadata, EnumSet.noneOf(Remark.class));
        } catch (UnreadablePhotoException refused) {
            return new Probe.Unreadable(refused.trouble());
        }
    }

    private static Probe readable(FileKind kind, PixelSize stored, Metadata metadata, Set<Remark> remarks) {
        if (stored.area() > PIXEL_LIMIT) {
            return Probe.unreadable(Trouble.Kind.TOO_LARGE);
        }
        int orientation = Headers.orientation(metadata);
        PixelSize asShot = Turn.ofExif(orientation).apply(stored);
        String profile = Headers.profile(metadata);
        if (profile == null) {
            remarks.add(Remark.NO_PROFILE);
        } else if (Headers.isOfInk(metadata) && !remarks.contains(Remark.INK)) {
            remarks.add(Remark.UNFIT_PROFILE);
        }
        return new Probe.Readable(new PhotoFacts(kind, asShot, orientation, Headers.taken(metadata), profile, remarks));
    }
}
