package nexa.imaging.probe;

import com.drew.imaging.FileType;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.imaging.file.FileKind;

/**
 * Camera raw files, seen through the largest JPEG that the camera put into them. Most say where it is
 * ({@link NamedPreviews}); in the others it is looked for.
 */
public final class RawFile {
    private static final Set<FileType> RAW_TYPES = EnumSet.of(
            FileType.Arw,
            FileType.Crw,
            FileType.Cr2,
            FileType.Crx,
            FileType.Nef,
            FileType.Orf,
            FileType.Raf,
            FileType.Rw2);

    private static final int DNG_VERSION = 50706;
    private static final int COLOUR_FILTER_ARRAY = 32803;
    private static final int LINEAR_RAW = 34892;

    /** A smaller one is a thumbnail; then the whole file is searched for a larger. */
    private static final int LARGE_ENOUGH = 1000;

    /** In a smaller one there is hardly a picture. */
    private static final int SMALLEST = 120;

    private static final Comparator<EmbeddedJpeg> BY_AREA =
            Comparator.comparing(preview -> preview.size().area());

    private RawFile() {}

    /** Whether its first bytes are those of raw files, so that it is worth reading its headers. */
    public static boolean mayBe(FileType type) {
        return type == FileType.Tiff || RAW_TYPES.contains(type);
    }

    /** Whether it holds a sensor's data and not a finished picture. */
    public static boolean isRaw(PhotoFile file, Metadata metadata) {
        return RAW_TYPES.contains(file.type())
                || file.type() == FileType.Tiff
                        && (metadata.getDirectoriesOfType(ExifDirectoryBase.class).stream()
                                        .anyMatch(RawFile::isRaw)
                                || isNamedRaw(file.path()) && beginsWithThumbnail(metadata));
    }

    private static boolean isNamedRaw(Path path) {
        String name = path.toString();
        return FileKind.RAW
                .endings()
                .contains(name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT));
    }

    /** Where the data is, some makers say by tags of their own; what then seems to be the picture is a small one. */
    private static boolean beginsWithThumbnail(Metadata metadata) {
        ExifIFD0Directory first = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        Integer width = first == null ? null : first.getInteger(ExifDirectoryBase.TAG_IMAGE_WIDTH);
        Integer height = first == null ? null : first.getInteger(ExifDirectoryBase.TAG_IMAGE_HEIGHT);
        return width == null || height == null || Math.max(width, height) < LARGE_ENOUGH;
    }

    private static boolean isRaw(Directory directory) {
        Integer meaning = directory.getInteger(ExifDirectoryBase.TAG_PHOTOMETRIC_INTERPRETATION);
        return directory instanceof ExifIFD0Directory && directory.containsTag(DNG_VERSION)
                || meaning != null && (meaning == COLOUR_FILTER_ARRAY || meaning == LINEAR_RAW);
    }

    /** The largest JPEG in a raw file; empty if there is none. */
    public static Optional<EmbeddedJpeg> preview(PhotoFile file) throws IOException {
        return largest(previews(file));
    }

    /** Of those that {@link #previews} gives. */
    public static Optional<EmbeddedJpeg> largest(List<EmbeddedJpeg> previews) {
        return previews.isEmpty() ? Optional.empty() : Optional.of(previews.getLast());
    }

    /** The JPEGs in a raw file, smallest first, the largest among them; those that show something, if any does. */
    public static List<EmbeddedJpeg> previews(PhotoFile file) throws IOException {
        List<EmbeddedJpeg> all = new ArrayList<>(NamedPreviews.of(file));
        if (all.stream().noneMatch(preview -> preview.size().longEdge() >= LARGE_ENOUGH)) {
            Set<Long> known = all.stream().map(EmbeddedJpeg::at).collect(Collectors.toSet());
            JpegSearch.in(file.channel()).stream()
                    .filter(preview -> !known.contains(preview.at()))
                    .forEach(all::add);
        }
        all.sort(BY_AREA);
        all.subList(0, Math.max(0, all.size() - 1))
                .removeIf(preview -> preview.size().longEdge() < SMALLEST);
        return all;
    }
}
