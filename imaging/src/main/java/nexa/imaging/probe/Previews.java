package nexa.imaging.probe;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifThumbnailDirectory;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import nexa.imaging.probe.JpegSegments.Segment;
import nexa.imaging.source.JpegPrefix;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Small pictures that cameras put into JPEG files: the EXIF thumbnail (JEITA CP-3451, 4.6.5) and the previews of the
 * multi-picture format (CIPA DC-007). They show at once, long before the photo itself is decoded.
 */
public final class Previews {
    private static final Logger LOG = LoggerFactory.getLogger(Previews.class);
    private static final int APP1 = 0xE1;
    private static final int APP2 = 0xE2;
    private static final int ENTRIES_TAG = 0xB002;
    private static final int ENTRY = 16;
    private static final int MOST_ENTRIES = 64;

    private Previews() {}

    /** What is embedded in a JPEG, smallest first; none if there is nothing or it is damaged. Never throws. */
    public static List<EmbeddedJpeg> in(Path file) {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            return in(channel, 0);
        } catch (IOException unreadable) {
            LOG.debug("No previews in {}", file, unreadable);
            return List.of();
        }
    }

    /** The same of a JPEG that begins at a position. */
    static List<EmbeddedJpeg> in(SeekableByteChannel channel, long start) {
        try {
            List<EmbeddedJpeg> found = new ArrayList<>();
            for (Segment segment : JpegSegments.walk(channel, start).segments()) {
                if (segment.marker() == APP1) {
                    thumbnail(channel, segment, found);
                } else if (segment.marker() == APP2) {
                    multiPicture(channel, segment, found);
                }
            }
            found.sort(Comparator.comparing(preview -> preview.size().area()));
            return found;
        } catch (IOException | RuntimeException damaged) {
            LOG.debug("No previews in the JPEG at {}", start, damaged);
            return List.of();
        }
    }

    private static void thumbnail(SeekableByteChannel channel, Segment segment, List<EmbeddedJpeg> found)
            throws IOException {
        byte[] payload = JpegSegments.payload(channel, segment, segment.length());
        if (!holds(JpegPrefix.EXIF, payload)) {
            return;
        }
        Metadata metadata = new Metadata();
        new CarefulExif().extract(new ByteArrayReader(payload), metadata, JpegPrefix.EXIF.length());
        for (ExifThumbnailDirectory directory : metadata.getDirectoriesOfType(ExifThumbnailDirectory.class)) {
            Integer offset = directory.getInteger(ExifThumbnailDirectory.TAG_THUMBNAIL_OFFSET);
            Integer length = directory.getInteger(ExifThumbnailDirectory.TAG_THUMBNAIL_LENGTH);
            if (offset != null && length != null) {
                EmbeddedJpeg.at(channel, segment.at() + JpegPrefix.EXIF.length() + offset, length)
                        .or(() -> EmbeddedJpeg.at(channel, segment.at() + offset, length))
                        .ifPresent(found::add);
            }
        }
    }

    /** The entries of the index (CIPA DC-007, 5.2.3.3); the first one is the photo itself. */
    private static void multiPicture(SeekableByteChannel channel, Segment segment, List<EmbeddedJpeg> found)
            throws IOException {
        ByteBuffer payload = ByteBuffer.wrap(JpegSegments.payload(channel, segment, segment.length()));
        if (!holds(JpegPrefix.MULTI_PICTURE, payload.array())) {
            return;
        }
        ByteBuffer index = payload.slice(
                JpegPrefix.MULTI_PICTURE.length(), payload.capacity() - JpegPrefix.MULTI_PICTURE.length());
        index.order(index.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int directory = index.getInt(4);
        int tags = index.getShort(directory) & 0xFFFF;
        for (int i = 0; i < tags; i++) {
            int tag = directory + 2 + 12 * i;
            if ((index.getShort(tag) & 0xFFFF) == ENTRIES_TAG) {
                int entries = Math.min(MOST_ENTRIES, index.getInt(tag + 4) / ENTRY);
                int table = index.getInt(tag + 8);
                for (int entry = 1; entry < entries; entry++) {
                    long length = index.getInt(table + ENTRY * entry + 4) & 0xFFFFFFFFL;
                    long offset = index.getInt(table + ENTRY * entry + 8) & 0xFFFFFFFFL;
                    EmbeddedJpeg.at(channel, segment.at() + JpegPrefix.MULTI_PICTURE.length() + offset, length)
                            .ifPresent(found::add);
                }
            }
        }
    }

    /** Something behind it, too. */
    private static boolean holds(JpegPrefix prefix, byte[] payload) {
        return payload.length > prefix.length() && prefix.isAt(payload, 0);
    }
}
