package nexa.imaging.probe;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import java.io.BufferedInputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.boxes.Cr3File;
import nexa.imaging.tiff.ChannelReader;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A file that is being looked at: opened once, and each part of it read when it is asked for. Not thread-safe. */
public final class PhotoFile implements Closeable {
    private static final Logger LOG = LoggerFactory.getLogger(PhotoFile.class);

    private final Path path;
    private final SeekableByteChannel channel;
    private final FileType type;
    private @Nullable JpegSegments segments;
    private @Nullable Metadata headers;

    private PhotoFile(Path path, SeekableByteChannel channel) throws IOException {
        this.path = path;
        this.channel = channel;
        this.type = FileTypeDetector.detectFileType(fromTheBeginning());
    }

    public static PhotoFile open(Path path) throws IOException {
        SeekableByteChannel channel = Files.newByteChannel(path);
        try {
            return new PhotoFile(path, channel);
        } catch (IOException | RuntimeException failed) {
            channel.close();
            throw failed;
        }
    }

    public Path path() {
        return path;
    }

    /** What its first bytes say it is. */
    public FileType type() {
        return type;
    }

    /** In bytes. */
    public long length() throws IOException {
        return channel.size();
    }

    /** At most so many of its first bytes. */
    public byte[] beginning(int most) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate((int) Math.min(most, length()));
        Bytes.of(channel).read(bytes, 0);
        return bytes.array();
    }

    /** All of its bytes. */
    public byte[] bytes() throws IOException {
        return fromTheBeginning().readAllBytes();
    }

    /** Of a JPEG. */
    public JpegSegments segments() throws IOException {
        if (segments == null) {
            segments = JpegSegments.ofFile(channel);
        }
        return segments;
    }

    /**
     * All that its headers say.
     *
     * @throws ImageProcessingException if they are damaged
     */
    public Metadata headers() throws IOException, ImageProcessingException {
        if (headers == null) {
            headers = switch (type) {
                case Unknown -> new Metadata();
                case Crx -> inBoxes();
                case Tiff, Cr2, Orf, Rw2 -> CarefulExif.ofTiff(new ChannelReader(channel));
                case Jpeg -> CarefulExif.ofJpeg(fromTheBeginning());
                case Png -> PngHeaders.read(channel);
                case WebP -> CarefulExif.ofWebp(fromTheBeginning());
                default -> ImageMetadataReader.readMetadata(fromTheBeginning(), length(), type);
            };
        }
        return headers;
    }

    /** None where they are damaged: what kind of file it is is known, and its pictures can be looked for. */
    private Metadata inBoxes() throws IOException {
        Metadata said = new Metadata();
        try {
            byte[] exif = Cr3File.read(channel).metadata().exif();
            if (exif != null) {
                new CarefulExif().extract(new ByteArrayReader(exif), said);
            }
        } catch (ImageProcessingException damaged) {
            LOG.info("The boxes of {} are damaged", path, damaged);
        }
        return said;
    }

    /** The same of a file that is only perhaps a photo: headers that are not understood say nothing yet. */
    public Optional<Metadata> understoodHeaders() throws IOException {
        try {
            return Optional.of(headers());
        } catch (ImageProcessingException | RuntimeException damaged) {
            LOG.info("The headers of {} are not understood", path, damaged);
            return Optional.empty();
        }
    }

    /** Lent: open as long as this is. */
    public SeekableByteChannel channel() {
        return channel;
    }

    private InputStream fromTheBeginning() throws IOException {
        channel.position(0);
        return new BufferedInputStream(Channels.newInputStream(channel));
    }

    @Override
    public void close() throws IOException {
        channel.close();
    }
}
