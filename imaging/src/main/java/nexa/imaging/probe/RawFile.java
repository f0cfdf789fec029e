package nexa.imaging.probe;

import com.drew.imaging.FileType;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;

/**
 * Camera raw files, seen through the largest JPEG that the camera put into them. Most say in their directories where it
 * is (TIFF 6.0, section 22, and DNG 1.7); in the others it is looked for.
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
    private static final int JPEG_OFFSET = 513;
    private static final int JPEG_LENGTH = 514;
    private static final int OLD_JPEG = 6;
    private static final int JPEG = 7;

    /** A smaller one is a thumbnail; then the whole file is searched for a larger. */
    private static final int LARGE_ENOUGH = 1000;

    /** In a smaller one there is hardly a picture. */
    private static final int SMALLEST = 120;

    private static final int CHUNK = 1 << 20;

    private static final Comparator<EmbeddedJpeg> BY_AREA =
            Comparator.comparing(preview -> preview.size().area());

    private RawFile() {}

    /** Whether its first bytes are those of raw files, so that it is worth reading its headers. */
    public static boolean mayBe(FileType type) {
        return type == FileType.Tiff || RAW_TYPES.contains(type);
    }

    /** Whether it holds a sensor's data and not a finished picture. */
    public static boolean isRaw(FileType type, Metadata metadata) {
        return RAW_TYPES.contains(type)
                || type == FileType.Tiff
                        && metadata.getDirectoriesOfType(ExifDirectoryBase.class).stream()
                                .anyMatch(RawFile::isRaw);
    }

    private static boolean isRaw(Directory directory) {
        Integer meaning = directory.getInteger(ExifDirectoryBase.TAG_PHOTOMETRIC_INTERPRETATION);
        return directory instanceof ExifIFD0Directory && directory.containsTag(DNG_VERSION)
                || meaning != null && (meaning == COLOUR_FILTER_ARRAY || meaning == LINEAR_RAW);
    }

    /** The largest JPEG in a raw file; empty if there is none. */
    public static Optional<EmbeddedJpeg> preview(PhotoFile file) throws IOException {
        List<EmbeddedJpeg> named = named(file);
        return largest(named.stream())
                .filter(preview -> preview.size().longEdge() >= LARGE_ENOUGH)
                .or(() -> largest(Stream.concat(named.stream(), searched(file.channel()))));
    }

    /** The smallest JPEG in a raw file that shows something; empty if there is none. */
    public static Optional<EmbeddedJpeg> smallPreview(PhotoFile file) throws IOException {
        Optional<EmbeddedJpeg> smallest = named(file).stream()
                .filter(preview -> preview.size().longEdge() >= SMALLEST)
                .min(BY_AREA);
        return smallest.isPresent() ? smallest : preview(file);
    }

    private static Optional<EmbeddedJpeg> largest(Stream<EmbeddedJpeg> previews) {
        return previews.max(BY_AREA);
    }

    /** Those that its directories name. */
    private static List<EmbeddedJpeg> named(PhotoFile file) throws IOException {
        SeekableByteChannel channel = file.channel();
        Metadata headers = file.understoodHeaders().orElseGet(Metadata::new); // else they are looked for
        return StreamSupport.stream(headers.getDirectories().spliterator(), false)
                .flatMap(directory -> named(channel, directory).stream())
                .toList();
    }

    private static Optional<EmbeddedJpeg> named(SeekableByteChannel channel, Directory directory) {
        Integer offset = directory.getInteger(JPEG_OFFSET);
        Integer length = directory.getInteger(JPEG_LENGTH);
        Integer compression = directory.getInteger(ExifDirectoryBase.TAG_COMPRESSION);
        if ((offset == null || length == null)
                && compression != null
                && (compression == OLD_JPEG || compression == JPEG)) {
            offset = directory.getInteger(ExifDirectoryBase.TAG_STRIP_OFFSETS);
            length = directory.getInteger(ExifDirectoryBase.TAG_STRIP_BYTE_COUNTS);
        }
        return offset == null || length == null ? Optional.empty() : EmbeddedJpeg.at(channel, offset, length);
    }

    /** Every place where a JPEG begins. */
    private static Stream<EmbeddedJpeg> searched(SeekableByteChannel channel) {
        Stream.Builder<EmbeddedJpeg> found = Stream.builder();
        try {
            ByteBuffer chunk = ByteBuffer.allocate(CHUNK);
            for (long start = 0; start < channel.size(); start += CHUNK - 2) {
                JpegSegments.read(channel, chunk, start);
                for (int i = 0; i + 2 < chunk.position(); i++) {
                    if (chunk.get(i) == (byte) 0xFF
                            && chunk.get(i + 1) == (byte) 0xD8
                            && chunk.get(i + 2) == (byte) 0xFF) {
                        EmbeddedJpeg.at(channel, start + i, channel.size()).ifPresent(found::add);
                    }
                }
            }
        } catch (IOException unreadable) { // what was found until there may do
            return found.build();
        }
        return found.build();
    }
}
