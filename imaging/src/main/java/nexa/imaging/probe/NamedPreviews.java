package nexa.imaging.probe;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.SeekableByteChannel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;
import nexa.imaging.boxes.Cr3File;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The JPEGs of which a raw file says where they are. */
final class NamedPreviews {
    private static final Logger LOG = LoggerFactory.getLogger(NamedPreviews.class);

    private static final int JPEG_OFFSET = 513;
    private static final int JPEG_LENGTH = 514;
    private static final int OLD_JPEG = 6;
    private static final int JPEG = 7;

    /** In the header of RAF files: where the JPEG is and how long, big-endian. */
    private static final int RAF_PLACE = 84;

    /** In the first directory of RW2 files: the JPEG itself. */
    private static final int RW2_JPEG = 0x2E;

    private static final int TIFF_DIRECTORY = 4;
    private static final int ENTRY = 12;

    private NamedPreviews() {}

    /** None if it names none, or they are not there. */
    static List<EmbeddedJpeg> of(PhotoFile file) throws IOException {
        SeekableByteChannel channel = file.channel();
        return switch (file.type()) {
            case Crx -> inBoxes(file);
            case Raf -> inHeader(channel);
            case Rw2 -> inFirstDirectory(channel).stream().toList();
            default -> inDirectories(channel, file.understoodHeaders().orElseGet(Metadata::new));
        };
    }

    private static List<EmbeddedJpeg> inBoxes(PhotoFile file) throws IOException {
        SeekableByteChannel channel = file.channel();
        try {
            return Cr3File.read(channel).pictures().stream()
                    .flatMap(place -> EmbeddedJpeg.at(channel, place.start(), place.length()).stream())
                    .toList();
        } catch (ImageProcessingException damaged) {
            LOG.info("The boxes of {} are damaged", file.path(), damaged);
            return List.of();
        }
    }

    /** The JPEG, and what is embedded in it. */
    private static List<EmbeddedJpeg> inHeader(SeekableByteChannel channel) throws IOException {
        ByteBuffer place = ByteBuffer.allocate(2 * Integer.BYTES);
        if (!Bytes.of(channel).read(place, RAF_PLACE)) {
            return List.of();
        }
        Optional<EmbeddedJpeg> large = EmbeddedJpeg.at(channel, unsigned(place, 0), unsigned(place, Integer.BYTES));
        if (large.isEmpty()) {
            return List.of();
        }
        List<EmbeddedJpeg> found =
                new ArrayList<>(Previews.in(channel, large.get().at()));
        found.add(large.get());
        return found;
    }

    private static Optional<EmbeddedJpeg> inFirstDirectory(SeekableByteChannel channel) throws IOException {
        ByteBuffer at = ByteBuffer.allocate(Integer.BYTES).order(ByteOrder.LITTLE_ENDIAN);
        ByteBuffer count = ByteBuffer.allocate(Short.BYTES).order(ByteOrder.LITTLE_ENDIAN);
        if (!Bytes.of(channel).read(at, TIFF_DIRECTORY) || !Bytes.of(channel).read(count, unsigned(at, 0))) {
            return Optional.empty();
        }
        long entries = unsigned(at, 0) + Short.BYTES;
        ByteBuffer entry = ByteBuffer.allocate(ENTRY).order(ByteOrder.LITTLE_ENDIAN);
        for (int i = 0; i < (count.getShort(0) & 0xFFFF); i++) {
            if (!Bytes.of(channel).read(entry, entries + (long) ENTRY * i)) {
                return Optional.empty();
            }
            if ((entry.getShort(0) & 0xFFFF) == RW2_JPEG) {
                return EmbeddedJpeg.at(channel, unsigned(entry, 8), unsigned(entry, 4));
            }
        }
        return Optional.empty();
    }

    private static long unsigned(ByteBuffer bytes, int at) {
        return Integer.toUnsignedLong(bytes.getInt(at));
    }

    /** As TIFF 6.0, section 22, and DNG 1.7 have it. */
    private static List<EmbeddedJpeg> inDirectories(SeekableByteChannel channel, Metadata headers) {
        return StreamSupport.stream(headers.getDirectories().spliterator(), false)
                .flatMap(directory -> inDirectory(channel, directory).stream())
                .toList();
    }

    private static Optional<EmbeddedJpeg> inDirectory(SeekableByteChannel channel, Directory directory) {
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
}
