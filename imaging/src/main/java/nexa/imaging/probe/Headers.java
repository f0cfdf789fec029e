package nexa.imaging.probe;

import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifInteropDirectory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.PanasonicRawIFD0Directory;
import com.drew.metadata.exif.makernotes.CanonMakernoteDirectory;
import com.drew.metadata.exif.makernotes.NikonType2MakernoteDirectory;
import com.drew.metadata.gif.GifImageDirectory;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.webp.WebpDirectory;
import com.drew.metadata.xmp.XmpDirectory;
import java.lang.reflect.Array;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.geometry.PixelSize;
import nexa.imaging.colour.Profile;
import org.jspecify.annotations.Nullable;

/** The few header values that Nexa needs, out of all that were read. */
public final class Headers {
    private static final DateTimeFormatter EXIF_TIME = DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss");

    /** TIFF 6.0 and its technical notes: none, CCITT, LZW, JPEG, Deflate, PackBits. */
    private static final Set<Integer> PACKINGS = Set.of(1, 2, 3, 4, 5, 6, 7, 8, 32773, 32946);

    private static final int SAMPLE_FORMAT = 339;
    private static final int WHOLE_NUMBERS = 1;

    /** White or black is zero, RGB, palette, mask, ink, YCbCr; beyond are Lab and kinds of raw data. */
    private static final int SEPARATED_OR_YCBCR = 6;

    private static final String GAIN_MAP = "http://ns.adobe.com/hdr-gain-map/1.0/";

    private Headers() {}

    /** The size that directories of a type say; empty if there is none or a senseless one. */
    public static <D extends Directory> Optional<PixelSize> size(
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

    /** The size that EXIF says a photo has, of which a raw file may hold smaller pictures; empty if it doesn't say. */
    public static Optional<PixelSize> photoSize(Metadata metadata) {
        return size(
                metadata,
                ExifSubIFDDirectory.class,
                ExifDirectoryBase.TAG_EXIF_IMAGE_WIDTH,
                ExifDirectoryBase.TAG_EXIF_IMAGE_HEIGHT);
    }

    /** Colour components of a JPEG, 0 if its headers don't say. */
    public static int components(Metadata metadata) {
        return metadata.getDirectoriesOfType(JpegDirectory.class).stream()
                .map(directory -> directory.getInteger(JpegDirectory.TAG_NUMBER_OF_COMPONENTS))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(0);
    }

    /** Name of the embedded colour profile; null if there is none. */
    public static @Nullable String profile(Metadata metadata) {
        IccDirectory directory = metadata.getFirstDirectoryOfType(IccDirectory.class);
        return directory == null ? null : Profile.name(directory);
    }

    /**
     * Whether a camera says by a code that its colours are those of DCF's option ({@link Profile#OPTION}): by the index of
     * interoperability (EXIF 2.32, 4.6.7), or where there is none by a colour space that the standard does not have or in
     * its maker's notes.
     */
    public static boolean areColoursOfOption(Metadata metadata) {
        ExifInteropDirectory index = metadata.getFirstDirectoryOfType(ExifInteropDirectory.class);
        String code = index == null ? null : index.getString(ExifDirectoryBase.TAG_INTEROP_INDEX);
        return code != null
                ? code.strip().equals("R03")
                : says(metadata, ExifSubIFDDirectory.class, ExifDirectoryBase.TAG_COLOR_SPACE, 2)
                        || says(metadata, CanonMakernoteDirectory.class, CanonMakernoteDirectory.TAG_COLOR_SPACE, 2)
                        || says(
                                metadata,
                                NikonType2MakernoteDirectory.class,
                                NikonType2MakernoteDirectory.TAG_COLOR_SPACE,
                                2);
    }

    private static <D extends Directory> boolean says(Metadata metadata, Class<D> type, int tag, int value) {
        D directory = metadata.getFirstDirectoryOfType(type);
        return directory != null && Objects.equals(directory.getInteger(tag), value);
    }

    /** How a TIFF's samples are meant, -1 if its headers don't say. */
    public static int photometric(Metadata metadata) {
        ExifIFD0Directory first = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        Integer value = first == null ? null : first.getInteger(ExifDirectoryBase.TAG_PHOTOMETRIC_INTERPRETATION);
        return value == null ? -1 : value;
    }

    /** Whether a TIFF's samples are packed and meant in a way that is read: whole numbers of up to 16 bits, no Lab. */
    public static boolean isCommonTiff(Metadata metadata) {
        ExifIFD0Directory first = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        return first == null
                || PACKINGS.contains(number(first, ExifDirectoryBase.TAG_COMPRESSION, 1))
                        && number(first, SAMPLE_FORMAT, WHOLE_NUMBERS) == WHOLE_NUMBERS
                        && number(first, ExifDirectoryBase.TAG_BITS_PER_SAMPLE, 1) <= 16
                        && number(first, ExifDirectoryBase.TAG_PHOTOMETRIC_INTERPRETATION, 1) <= SEPARATED_OR_YCBCR;
    }

    /** The first of several. */
    private static int number(Directory directory, int tag, int missing) {
        Object value = directory.getObject(tag);
        Object first =
                value != null && value.getClass().isArray() && Array.getLength(value) > 0 ? Array.get(value, 0) : value;
        return first instanceof Number number ? number.intValue() : missing;
    }

    /** Whether the file also says how much brighter HDR screens are to show it (Gain Map 1.0, in XMP). */
    public static boolean hasGainMap(Metadata metadata) {
        return metadata.getDirectoriesOfType(XmpDirectory.class).stream()
                .anyMatch(directory -> directory.getXMPMeta().doesPropertyExist(GAIN_MAP, "Version"));
    }

    /** Whether pictures follow each other. */
    public static boolean isMoving(Metadata metadata) {
        WebpDirectory webp = metadata.getFirstDirectoryOfType(WebpDirectory.class);
        Boolean moves = webp == null ? null : webp.getBooleanObject(WebpDirectory.TAG_IS_ANIMATION);
        return moves != null && moves
                || metadata.containsDirectoryOfType(MovingPng.Said.class)
                || metadata.getDirectoriesOfType(GifImageDirectory.class).size() > 1;
    }

    /** Whether the embedded profile is for ink values. */
    public static boolean isOfInk(Metadata metadata) {
        IccDirectory directory = metadata.getFirstDirectoryOfType(IccDirectory.class);
        String space = directory == null ? null : directory.getString(IccDirectory.TAG_COLOR_SPACE);
        return space != null && space.strip().equals("CMYK");
    }

    /** EXIF orientation, 1 if missing or senseless. */
    public static int orientation(Metadata metadata) {
        return firstDirectories(metadata)
                .map(directory -> directory.getInteger(ExifDirectoryBase.TAG_ORIENTATION))
                .filter(value -> value != null && value >= 1 && value <= 8)
                .findFirst()
                .orElse(1);
    }

    /** Those of the whole file, of the TIFF structure's own and of raw files' that have another one. */
    static Stream<Directory> firstDirectories(Metadata metadata) {
        return Stream.concat(
                metadata.getDirectoriesOfType(ExifIFD0Directory.class).stream(),
                metadata.getDirectoriesOfType(PanasonicRawIFD0Directory.class).stream());
    }

    public static @Nullable LocalDateTime taken(Metadata metadata) {
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
