package nexa.shoot.preview;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Files that can be made again, in a folder of bounded size. Each ends with a checksum, so that one that was torn by a
 * crash or a full disk is not taken for good; the least recently used go first. Thread-safe, also among programs.
 */
final class BoundedFolder {
    private static final Logger LOG = LoggerFactory.getLogger(BoundedFolder.class);
    private static final int CHECKSUM = Long.BYTES;

    /** A use is noted by the file's time; not every one, since that is a write. */
    private static final long USE_NOTED_AFTER = 60_000;

    /** How full the folder is after it was cleaned up: so not every further file makes it full again. */
    private static final double CLEANED_TO = 0.9;

    private static final long UNKNOWN = -1;

    private final Path path;
    private final AtomicLong size = new AtomicLong(UNKNOWN);
    private volatile long limit;

    BoundedFolder(Path path, long limit) {
        this.path = path;
        this.limit = limit;
    }

    Path path() {
        return path;
    }

    /** A file's content; empty if it is not there or torn. */
    Optional<byte[]> read(String name) {
        Path file = path.resolve(name);
        try {
            byte[] bytes = Files.readAllBytes(file);
            if (!isWhole(bytes)) {
                LOG.info("{} is torn", file);
                return Optional.empty();
            }
            noteUse(file);
            return Optional.of(Arrays.copyOf(bytes, bytes.length - CHECKSUM));
        } catch (NoSuchFileException notMade) { // then it is empty
            return Optional.empty();
        } catch (IOException unreadable) {
            LOG.warn("{} can't be read: {}", file, unreadable.toString());
            return Optional.empty();
        }
    }

    private static void noteUse(Path file) throws IOException {
        long now = System.currentTimeMillis();
        if (now - Files.getLastModifiedTime(file).toMillis() > USE_NOTED_AFTER) {
            Files.setLastModifiedTime(file, FileTime.fromMillis(now));
        }
    }

    private static boolean isWhole(byte[] bytes) {
        return bytes.length > CHECKSUM
                && ByteBuffer.wrap(bytes).getLong(bytes.length - CHECKSUM) == checksum(bytes, bytes.length - CHECKSUM);
    }

    private static long checksum(byte[] bytes, int length) {
        CRC32 crc = new CRC32();
        crc.update(bytes, 0, length);
        return crc.getValue();
    }

    /** Not forced to disk: what is torn is made again, and thousands of forced writes would cost minutes. */
    void write(String name, byte[] content) throws IOException {
        Path file = path.resolve(name);
        Files.createDirectories(file.getParent());
        Path part = Files.createTempFile(file.getParent(), ".part", null);
        try {
            byte[] whole = Arrays.copyOf(content, content.length + CHECKSUM);
            ByteBuffer.wrap(whole).putLong(content.length, checksum(content, content.length));
            Files.write(part, whole);
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
            grown(whole.length);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private void grown(long bytes) {
        if (size.get() == UNKNOWN) { // the file is there already and gets counted
            size();
        } else {
            size.addAndGet(bytes);
        }
        if (size.get() > limit) {
            cleanUp();
        }
    }

    /** Bytes in the folder; counted when first asked. */
    long size() {
        if (size.get() == UNKNOWN) {
            size.compareAndSet(UNKNOWN, files().stream().mapToLong(Kept::bytes).sum());
        }
        return size.get();
    }

    void limit(long bytes) {
        limit = bytes;
        if (size() > limit) {
            cleanUp();
        }
    }

    void clear() {
        files().forEach(kept -> remove(kept.file));
        size.set(UNKNOWN);
    }

    private record Kept(Path file, long bytes, long used) {}

    private synchronized void cleanUp() {
        if (size.get() <= limit) { // another thread did it meanwhile
            return;
        }
        List<Kept> oldestFirst = new ArrayList<>(files());
        oldestFirst.sort(Comparator.comparing(Kept::used));
        long left = oldestFirst.stream().mapToLong(Kept::bytes).sum();
        for (Kept kept : oldestFirst) {
            if (left <= limit * CLEANED_TO) {
                break;
            }
            remove(kept.file);
            left -= kept.bytes;
        }
        size.set(left);
    }

    private static void remove(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException held) {
            LOG.warn("{} can't be removed: {}", file, held.toString());
        }
    }

    private List<Kept> files() {
        if (!Files.isDirectory(path)) {
            return List.of();
        }
        try (Stream<Path> all = Files.walk(path)) {
            return all.flatMap(file -> kept(file).stream()).toList();
        } catch (IOException | java.io.UncheckedIOException unreadable) {
            LOG.warn("{} can't be looked through: {}", path, unreadable.toString());
            return List.of();
        }
    }

    private static Optional<Kept> kept(Path file) {
        try {
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            return attributes.isRegularFile()
                    ? Optional.of(new Kept(
                            file,
                            attributes.size(),
                            attributes.lastModifiedTime().toMillis()))
                    : Optional.empty();
        } catch (IOException gone) { // another program cleans up too
            return Optional.empty();
        }
    }
}
