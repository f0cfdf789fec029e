package nexa.shoot.incoming;

import static java.nio.file.StandardWatchEventKinds.ENTRY_CREATE;
import static java.nio.file.StandardWatchEventKinds.ENTRY_MODIFY;

import java.io.IOException;
import java.nio.file.ClosedWatchServiceException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.WatchKey;
import java.nio.file.WatchService;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import nexa.shoot.Arrivals;
import nexa.shoot.Shoot;
import nexa.shoot.scan.FolderScan;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Looks for photos that come into an open shoot's folder, on a thread of its own: at once where the system tells of
 * changes, and now and then where it doesn't, as on network disks.
 */
public final class FolderWatch implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(FolderWatch.class);

    /** Between two looks while something is coming in, in milliseconds. */
    private static final long SHORT = 500;

    /** Between two looks while nothing happens. */
    private static final long LONG = 10_000;

    private final Shoot shoot;
    private final Consumer<Arrivals> arrived;
    private final Settling settling;
    private final Thread thread;
    private volatile boolean closed;

    /** Files read in one look: so the first of many show soon. */
    private static final int AT_ONCE = 200;

    private FolderWatch(Shoot shoot, Consumer<Arrivals> arrived) {
        this.shoot = shoot;
        this.settling = new Settling(shoot.codecs());
        this.arrived = arrived;
        this.thread = Thread.ofPlatform().name("nexa-watch").daemon().unstarted(this::run);
    }

    /**
     * Begins.
     *
     * @param arrived told on the watching thread; hands on to {@link Shoot#take}
     */
    public static FolderWatch of(Shoot shoot, Consumer<Arrivals> arrived) {
        FolderWatch watch = new FolderWatch(shoot, arrived);
        watch.thread.start();
        return watch;
    }

    private void run() {
        try (WatchService events = events()) {
            while (!closed) {
                boolean more = look();
                while (more && !closed) {
                    more = look();
                }
                await(events, settling.isWaiting() ? SHORT : LONG);
            }
        } catch (InterruptedException | ClosedWatchServiceException stopped) { // the folder or the program goes
            LOG.debug("No longer watching {}", shoot.folder());
        } catch (IOException unclosed) {
            LOG.warn("Watching {} does not end well", shoot.folder(), unclosed);
        }
    }

    /** Null where the system doesn't tell of changes. */
    private @Nullable WatchService events() {
        try {
            WatchService events = shoot.folder().getFileSystem().newWatchService();
            register(events);
            return events;
        } catch (IOException | UnsupportedOperationException silent) {
            LOG.info("Nobody tells of changes in {}: {}", shoot.folder(), silent.toString());
            return null;
        }
    }

    /** Whether there are more than were looked at. */
    private boolean look() throws InterruptedException {
        settling.begin();
        try {
            Arrivals arrivals = shoot.look(file -> settling.isSettled(shoot.folder(), file), AT_ONCE);
            if (!arrivals.photos().isEmpty() && !closed) {
                arrived.accept(arrivals);
            }
            return arrivals.more();
        } catch (IOException gone) { // a card that was pulled out comes back, or it doesn't
            LOG.info("{} can't be looked through: {}", shoot.folder(), gone.toString());
            return false;
        }
    }

    private void await(@Nullable WatchService events, long milliseconds) throws InterruptedException {
        if (events == null) {
            Thread.sleep(milliseconds);
            return;
        }
        WatchKey key = events.poll(milliseconds, TimeUnit.MILLISECONDS);
        if (key != null) {
            Thread.sleep(SHORT / 5); // the first of many events; the others are about the same files
            while (key != null) {
                key.pollEvents();
                key.reset();
                key = closed ? null : events.poll();
            }
            try {
                register(events); // subfolders may be new
            } catch (IOException gone) { // the folder or the program goes
                LOG.debug("{} is gone", shoot.folder());
            }
        }
    }

    private void register(WatchService events) throws IOException {
        Path folder = shoot.folder();
        Files.walkFileTree(folder, new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult preVisitDirectory(Path dir, BasicFileAttributes attributes) throws IOException {
                if (!dir.equals(folder) && FolderScan.isLeftOut(dir)) {
                    return FileVisitResult.SKIP_SUBTREE;
                }
                dir.register(events, ENTRY_CREATE, ENTRY_MODIFY);
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFileFailed(Path file, IOException failure) {
                return FileVisitResult.CONTINUE;
            }
        });
    }

    /** Does not wait for a look that goes on: on a disk that hangs it may take long. */
    @Override
    public void close() {
        closed = true;
        thread.interrupt();
    }
}
