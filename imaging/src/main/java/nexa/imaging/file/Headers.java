package nexa.imaging.file;

import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.bmp.BmpHeaderDirectory;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.png.PngDirectory;
import com.drew.metadata.webp.WebpDirectory;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Objects;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.colour.Profile;
import org.jspecify.annotations.Nullable;

/** The few header values that Nexa needs, out of all that were read. */
final class Headers {
    private static final DateTimeFormatter EXIF_TIME = DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss");

    private Headers() {}

    /** Stored size; empty if the headers hold none or a senseless one. */
    static Optional<PixelSize> size(FileKind kind, Metadata metadata) {
        return switch (kind) {
            case JPEG ->
                size(metadata, JpegDirectory.class, JpegDirectory.TAG_IMAGE_WIDTH, JpegDirectory.TAG_IMAGE_HEIGHT);
            case PNG -> size(metadata, PngDirectory.class, PngDirectory.TAG_IMAGE_WIDTH, PngDirectory.TAG_IMAGE_HEIGHT);
            case TIFF ->
                size(
                        metadata,
                        ExifIFD0Directory.class,
                        ExifDirectoryBase.TAG_IMAGE_WIDTH,
                        ExifDirectoryBase.TAG_IMAGE_HEIGHT);
            case WEBP ->
                size(metadata, WebpDirectory.class, WebpDirectory.TAG_IMAGE_WIDTH, WebpDirectory.TAG_IMAGE_HEIGHT);
            case RAW, OTHER -> Optional.empty(); // their headers don't say which picture is meant
            case BMP ->
                size(
                        metadata,
                        BmpHeaderDirectory.class,
                        BmpHeaderDirectory.TAG_IMAGE_WIDTH,
                        BmpHeaderDirectory.TAG_IMAGE_HEIGHT);
        };
    }

    private static <D extends Directory> Optional<PixelSize> size(
            Metadata metadata, Class<D> type, int width, int height) {
        for (D directory : metadata.getDirectoriesOfType(type)) {
            Integer w = directory.getInteger(width);
            Integer h = directory.getInteger(height);
            if (w != null && h != null && w > 0 && h != 0) {
                return Optional.of(new PixelSize(w, Math.abs(h))); // a BMP's negative height means top row first
            }
        }
        return Optional.empty();
    }

    /** Colour components of a JPEG, 0 if its headers don't say. */
    static int components(Metadata metadata) {
        return metadata.getDirectoriesOfType(JpegDirectory.class).stream()
                .map(directory -> directory.getInteger(JpegDirectory.TAG_NUMBER_OF_COMPONENTS))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(0);
    }

    /** Name of the embedded colour profile; null if there is none. */
    static @Nullable String profile(Metadata metadata) {
        IccDirectory directory = metadata.getFirstDirectoryOfType(IccDirectory.class);
        return directory == null ? null : Profile.name(directory);
    }

    /** How a TIFF's samples are meant, -1 if its headers don't say. */
    static int photometric(Metadata metadata) {
        ExifIFD0Directory first = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        Integer value = first == null ? null : first.getInteger(ExifDirectoryBase.TAG_PHOTOMETRIC_INTERPRETATION);
        return value == null ? -1 : value;
    }

    /** Whether the embedded profile is for ink values. */
    static boolean isOfInk(Metadata metadata) {
        IccDirectory directory = metadata.getFirstDirectoryOfType(IccDirectory.class);
        String space = directory == null ? null : directory.getString(IccDirectory.TAG_COLOR_SPACE);
        return space != null && space.strip().equals("CMYK");
    }

    /** EXIF orientation, 1 if missing or senseless. */
    static int orientation(Metadata metadata) {
        for (ExifIFD0Directory directory : metadata.getDirectoriesOfType(ExifIFD0Directory.class)) {
            Integer value = directory.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
            if (value != null && value >= 1 && value <= 8) {
                return value;
            }
        }
        return 1;
    }

    static @Nullable LocalDateTime taken(Metadata metadata) {
        for (ExifSubIFDDirectory directory : metadata.getDirectoriesOfType(ExifSubIFDDirectory.class)) {
            String text = directory.getString(ExifDirectoryBase.TAG_DATETIME_ORIGINAL);
            if (text != null) {
                return parse(text.strip());
            }
        }
        return null;
    }

    private static @Nullable LocalDateTime parse(String exifTime) {
        try {
            return LocalDateTime.parse(exifTime, EXIF_TIME);
        } catch (DateTimeParseException unset) { // cameras without a set clock write blanks or zeros
            return null;
        }
    }
}
