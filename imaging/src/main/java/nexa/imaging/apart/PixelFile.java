package nexa.imaging.apart;

import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import nexa.imaging.apart.decoder.Pixels;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A temporary file of the system's, by which pixels come from one process to another: always the same one, since the
 * system then need not find new memory for each picture. Where a file can lose its name while it is open, it does so at
 * once, and goes with the processes however they end.
 */
final class PixelFile implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(PixelFile.class);
    private static final int BAND = 8 << 20;

    private final Path path;
    private final FileChannel channel;

    private PixelFile(Path path) throws IOException {
        this.path = path;
        this.channel = FileChannel.open(path);
    }

    /** A new one. */
    static PixelFile create() throws IOException {
        return new PixelFile(Files.createTempFile("nexa-pixels", null));
    }

    Path path() {
        return path;
    }

    /** Called when both processes have it open: nobody else needs its name. */
    void hide() {
        try {
            Files.deleteIfExists(path);
        } catch (IOException kept) { // in the system's folder for such files; by some systems as long as it is open
            LOG.info("{} stays", path, kept);
        }
    }

    /** Bytes of it. */
    MemorySegment read(long start, long length, Arena arena) throws IOException {
        return channel.map(FileChannel.MapMode.READ_ONLY, start, length, arena);
    }

    /** Writes rows one after the other from the beginning. */
    static void write(FileChannel target, Pixels pixels) throws IOException {
        target.position(0);
        if (pixels.stride() == pixels.row()) {
            long length = pixels.row() * pixels.height();
            for (long at = 0; at < length; at += BAND) {
                write(
                        target,
                        pixels.memory()
                                .asSlice(pixels.start() + at, Math.min(BAND, length - at))
                                .asByteBuffer());
            }
        } else {
            for (int y = 0; y < pixels.height(); y++) {
                write(target, pixels.row(y).asByteBuffer());
            }
        }
    }

    /** In the process that writes. */
    static FileChannel toWrite(String path) throws IOException {
        return FileChannel.open(Path.of(path), StandardOpenOption.WRITE);
    }

    private static void write(FileChannel target, ByteBuffer bytes) throws IOException {
        while (bytes.hasRemaining()) {
            target.write(bytes);
        }
    }

    @Override
    public void close() {
        try (channel) {
            hide();
        } catch (IOException unclosed) {
            LOG.info("{} does not close well", path, unclosed);
        }
    }
}
