package nexa.shoot;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HexFormat;
import nexa.shoot.store.Store;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A shoot's own files: in {@code .nexa} inside its folder, or in the user's data where the folder can't be written. One
 * program at a time holds the lock; a second one may only read.
 */
final class ShootFiles implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(ShootFiles.class);

    private final Path directory;
    private final FileChannel lockFile;
    private final @Nullable FileLock lock;

    private ShootFiles(Path directory, FileChannel lockFile, @Nullable FileLock lock) {
        this.directory = directory;
        this.lockFile = lockFile;
        this.lock = lock;
    }

    /** @throws IOException if neither place can be written */
    static ShootFiles open(Path folder, Locations locations) throws IOException {
        try {
            return openIn(folder.resolve(".nexa"));
        } catch (IOException readOnlyFolder) {
            LOG.info("{} can't be written, its crops are kept in {}", folder, locations.data());
            return openIn(locations.data().resolve("shoots").resolve(nameOf(folder)));
        }
    }

    private static ShootFiles openIn(Path directory) throws IOException {
        Files.createDirectories(directory);
        FileChannel channel =
                FileChannel.open(directory.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
            return new ShootFiles(directory, channel, channel.tryLock());
        } catch (OverlappingFileLockException heldHere) {
            return new ShootFiles(directory, channel, null);
        } catch (IOException failed) {
            channel.close();
            throw failed;
        }
    }

    private static String nameOf(Path folder) throws IOException {
        return folder.getFileName() + "-"
                + HexFormat.of().toHexDigits(folder.toRealPath().toString().hashCode());
    }

    boolean mayWrite() {
        return lock != null;
    }

    Store openStore() throws IOException {
        return Store.open(directory.resolve("shoot.db"));
    }

    @Override
    public void close() throws IOException {
        lockFile.close(); // releases the lock too
    }
}
