package nexa.shoot;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.store.StoreException;
import nexa.shoot.store.StoreFile;
import nexa.shoot.store.StoreFile.Opened;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A shoot's own files: in {@code .nexa} inside its folder, or in the user's data where the folder can't be written. One
 * program at a time holds the lock; a second one may only read.
 */
final class ShootFiles implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(ShootFiles.class);
    private static final String STORE = "shoot.db";
    private static final long BETWEEN_TRIES = 50;

    private final Opened opened;
    private final @Nullable FileChannel lockFile;
    private final List<Told> told;
    private boolean mayWrite;

    private ShootFiles(Opened opened, @Nullable FileChannel lockFile, boolean mayWrite, List<Told> told) {
        this.opened = opened;
        this.lockFile = lockFile;
        this.mayWrite = mayWrite;
        this.told = new ArrayList<>(told);
        this.told.addAll(opened.told());
    }

    /**
     * Takes a shoot's files.
     *
     * @param patience how long to wait for another program that has them
     * @throws IOException if what is known of the shoot can't be read
     */
    static ShootFiles open(Path folder, Locations locations, Duration patience) throws IOException {
        Path inFolder = folder.resolve(".nexa");
        try {
            ShootFiles files = openIn(inFolder, patience, List.of());
            return files.mayWrite ? Elsewhere.broughtBack(files, inFolder, locations, patience) : files;
        } catch (StoreException damaged) {
            throw damaged;
        } catch (IOException cantWrite) {
            LOG.info("{} can't be written, its crops are kept in {}", folder, locations.data(), cantWrite);
            return elsewhere(folder, inFolder.resolve(STORE), locations, patience);
        }
    }

    private static ShootFiles elsewhere(Path folder, Path store, Locations locations, Duration patience)
            throws IOException {
        try {
            Elsewhere.Place place = Elsewhere.of(folder, store, locations);
            return openIn(place.directory(), patience, place.told());
        } catch (StoreException damaged) {
            throw damaged;
        } catch (IOException nowhere) {
            LOG.warn("Nothing can be written for {}", folder, nowhere);
            boolean there = Files.isRegularFile(store, LinkOption.NOFOLLOW_LINKS);
            return new ShootFiles(
                    StoreFile.lookInMemory(there ? store : null),
                    null,
                    false,
                    List.of(Told.of("told.elsewhere.nowhere", Told.of(nowhere))));
        }
    }

    /** @throws IOException that is no {@link StoreException} if the directory can't be written */
    static ShootFiles openIn(Path directory, Duration patience, List<Told> told) throws IOException {
        if (Files.isSymbolicLink(directory)) {
            throw new ToldException("told.shoot.link", directory);
        }
        Files.createDirectories(directory);
        FileChannel channel = FileChannel.open(
                directory.resolve("lock"),
                StandardOpenOption.CREATE,
                StandardOpenOption.WRITE,
                LinkOption.NOFOLLOW_LINKS);
        try {
            boolean ours = lock(channel, patience) != null;
            return new ShootFiles(store(directory.resolve(STORE), ours), channel, ours, told);
        } catch (IOException | RuntimeException failed) {
            channel.close();
            throw failed;
        }
    }

    /** On a full disk what is there can still be looked at. */
    private static Opened store(Path store, boolean mayWrite) throws IOException {
        try {
            return mayWrite ? StoreFile.open(store, InstantSource.system()) : StoreFile.look(store);
        } catch (StoreException failed) {
            if (!failed.isForLackOfRoom()) {
                throw failed;
            }
            throw new ToldException(failed.told(), failed); // of another kind: the next place is tried
        }
    }

    private static @Nullable FileLock lock(FileChannel channel, Duration patience) throws IOException {
        long end = System.nanoTime() + patience.toNanos();
        while (true) {
            FileLock lock = tryLock(channel);
            if (lock != null || System.nanoTime() > end) {
                return lock;
            }
            try {
                Thread.sleep(BETWEEN_TRIES);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return null;
            }
        }
    }

    private static @Nullable FileLock tryLock(FileChannel channel) throws IOException {
        try {
            return channel.tryLock();
        } catch (OverlappingFileLockException heldHere) { // that is the answer
            return null;
        }
    }

    Opened opened() {
        return opened;
    }

    boolean mayWrite() {
        return mayWrite;
    }

    /** What the user should know of how the shoot was opened, in words. */
    List<Told> told() {
        return List.copyOf(told);
    }

    /** From now on another program may edit. */
    void letGo() throws IOException {
        mayWrite = false;
        close();
    }

    @Override
    public void close() throws IOException {
        if (lockFile != null) {
            lockFile.close(); // releases the lock too
        }
    }
}
