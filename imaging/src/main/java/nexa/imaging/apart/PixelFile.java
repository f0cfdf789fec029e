package nexa.imaging.apart;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.MappedByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import nexa.imaging.apart.decoder.Pixels;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A temporary file of the system's, by which pixels come from one process to another; gone when it is closed. */
final class PixelFile implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(PixelFile.class);
    private static final int BAND = 8 << 20;

    private final Path path;

    private PixelFile(Path path) {
        this.path = path;
    }

    /** A new one. */
    static PixelFile create() throws IOException {
        return new PixelFile(Files.createTempFile("nexa-pixels", null));
    }

    Path path() {
        return path;
    }

    /** Bytes of it, at most 2 GiB. */
    MappedByteBuffer read(long start, long length) throws IOException {
        try (FileChannel channel = FileChannel.open(path)) {
            return channel.map(FileChannel.MapMode.READ_ONLY, start, length);
        }
    }

    /** Writes rows one after the other into a file that another process created. */
    static void write(Path created, Pixels pixels) throws IOException {
        try (FileChannel channel = FileChannel.open(created, StandardOpenOption.WRITE)) {
            if (pixels.stride() == pixels.row()) {
                long length = pixels.row() * pixels.height();
                for (long at = 0; at < length; at += BAND) {
                    write(
                            channel,
                            pixels.memory()
                                    .asSlice(pixels.start() + at, Math.min(BAND, length - at))
                                    .asByteBuffer());
                }
            } else {
                for (int y = 0; y < pixels.height(); y++) {
                    write(channel, pixels.row(y).asByteBuffer());
                }
            }
        }
    }

    private static void write(FileChannel channel, ByteBuffer bytes) throws IOException {
        while (bytes.hasRemaining()) {
            channel.write(bytes);
        }
    }

    @Override
    public void close() {
        try {
            Files.deleteIfExists(path);
        } catch (IOException kept) { // in the system's folder for such files
            LOG.info("{} stays", path, kept);
        }
    }
}
