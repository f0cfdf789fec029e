package nexa.imaging.codec;

import com.drew.imaging.FileType;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.bmp.BmpHeaderDirectory;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.JdkPixels;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.Headers;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Windows bitmaps, which hold no metadata. The JDK reads their rare forms (OS/2's headers, masks, packed rows) exactly, where
 * OpenCV shows wrong colours for some; OpenCV reads the usual ones beside Java's memory.
 */
final class BmpCodec implements PhotoCodec {
    private static final Logger LOG = LoggerFactory.getLogger(BmpCodec.class);
    private static final int HEADERS = 34;
    private static final int SIZE_OF_HEADER = 14;
    private static final int USUAL_HEADER = 40;
    private static final int BITS = 28;
    private static final Set<Integer> USUAL_BITS = Set.of(8, 24, 32);
    private static final int PACKING = 30;

    @Override
    public FileKind kind() {
        return FileKind.BMP;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        if (file.type() != FileType.Bmp) {
            return Optional.empty();
        }
        Metadata headers = file.headers();
        Optional<PixelSize> stored = Headers.size(
                headers,
                BmpHeaderDirectory.class,
                BmpHeaderDirectory.TAG_IMAGE_WIDTH,
                BmpHeaderDirectory.TAG_IMAGE_HEIGHT);
        return Optional.of(Readings.of(kind(), stored, headers, EnumSet.noneOf(Remark.class)));
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        Optional<Picture> rare = isUsual(file) ? Optional.empty() : JdkPixels.decode(file);
        return new Source(rare.isPresent() ? rare.get() : Decoder.decode(file, Reduction.NONE), SourceMetadata.NONE);
    }

    /** Also if its headers can't be read, which decoding will tell. */
    private static boolean isUsual(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            ByteBuffer headers = ByteBuffer.wrap(in.readNBytes(HEADERS)).order(ByteOrder.LITTLE_ENDIAN);
            return headers.remaining() < HEADERS
                    || headers.getInt(SIZE_OF_HEADER) == USUAL_HEADER
                            && headers.getInt(PACKING) == 0
                            && USUAL_BITS.contains((int) headers.getShort(BITS));
        } catch (IOException unreadable) {
            LOG.info("{} is left to OpenCV", file, unreadable);
            return true;
        }
    }

    @Override
    public SourceMetadata metadata(Path file, PhotoFacts facts) {
        return SourceMetadata.NONE;
    }
}
