package nexa.shoot;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.core.sight.Sight;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.edit.History;
import nexa.shoot.scan.DeliveredFiles.Delivered;
import nexa.shoot.store.Store;
import nexa.shoot.store.StoreException;
import nexa.shoot.store.StoredPhoto;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Writes edits to the store in order, on a thread of its own. What could not be written is tried again with the next edit,
 * when asked, and at the end.
 */
final class Saver implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Saver.class);

    private final Store store;
    private final ExecutorService writer = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().name("nexa-saver").daemon(false).factory());

    /** Touched on the writer's thread only. */
    private final Deque<Write> unsaved = new ArrayDeque<>();

    /** Writes asked for and not done. */
    private final AtomicInteger waiting = new AtomicInteger();

    private volatile @Nullable StoreException failure;

    Saver(Store store) {
        this.store = store;
    }

    @FunctionalInterface
    private interface Write {
        void run() throws StoreException;
    }

    void save(History.Change change) {
        submit(() -> store.save(change.edit(), change.move()));
    }

    void saveSetting(String name, String value) {
        submit(() -> store.saveSetting(name, value));
    }

    void saveSound(String fingerprint) {
        submitIfOpen(() -> store.saveSound(fingerprint));
    }

    void saveSights(Map<Long, Sight> seen) {
        submitIfOpen(() -> store.saveSights(seen));
    }

    void saveDeliveries(Collection<Delivered> delivered) {
        submitIfOpen(() -> store.saveDeliveries(delivered));
    }

    /** What comes from work in the background may come after the end, and is found out anew another time. */
    private void submitIfOpen(Write write) {
        try {
            submit(write);
        } catch (RejectedExecutionException closed) { // then nobody waits for it
            LOG.debug("The shoot was closed meanwhile");
        }
    }

    /**
     * The photos as they are stored, after all that is queued.
     *
     * @throws IOException if they can't be read
     */
    List<StoredPhoto> photos() throws IOException, InterruptedException {
        return await(store::photos);
    }

    /**
     * Stores photos of a scan; gives them back with their ids.
     *
     * @throws IOException if they can't be stored
     */
    List<StoredPhoto> store(List<StoredPhoto> scanned) throws IOException, InterruptedException {
        return await(() -> store.save(scanned));
    }

    private <T> T await(Callable<T> work) throws IOException, InterruptedException {
        try {
            return writer.submit(work).get();
        } catch (RejectedExecutionException closed) {
            throw new ToldException(Told.of("told.shoot.shoot-closed"), closed);
        } catch (ExecutionException failed) {
            Throwable cause = Objects.requireNonNullElse(failed.getCause(), failed);
            throw new ToldException(Told.of(cause), cause);
        }
    }

    /** Why something is not stored; empty if all is. */
    Optional<Told> trouble() {
        return Optional.ofNullable(failure).map(StoreException::told);
    }

    private void submit(Write write) {
        waiting.incrementAndGet();
        try {
            writer.submit(() -> {
                unsaved.add(write);
                writeAll();
            });
        } catch (RejectedExecutionException closed) {
            waiting.decrementAndGet();
            throw closed;
        }
    }

    /** Whether nothing waits to be stored. */
    boolean isDone() {
        return waiting.get() == 0;
    }

    /** In order: a later edit builds upon the earlier ones. */
    private void writeAll() {
        try {
            while (!unsaved.isEmpty()) {
                unsaved.getFirst().run();
                unsaved.removeFirst();
                waiting.decrementAndGet();
            }
            failure = null;
        } catch (StoreException failed) {
            LOG.error("{} edits are not stored", unsaved.size(), failed);
            failure = failed;
        } catch (RuntimeException bug) {
            LOG.error("{} edits are not stored, by a mistake of the program", unsaved.size(), bug);
            failure = new StoreException(Told.of("told.shoot.program-made-mistake", bug), bug);
        }
    }

    /** Tries what is not stored once more; whether all is now. */
    boolean tryAgain() throws InterruptedException {
        try {
            writer.submit(this::writeAll).get();
        } catch (ExecutionException bug) {
            throw new IllegalStateException(bug.getCause());
        }
        return failure == null;
    }

    @Override
    public void close() throws IOException {
        writer.submit(this::writeAll);
        writer.close(); // waits for what is queued
        try {
            store.close();
        } catch (StoreException unclosed) {
            LOG.warn("The store does not end well", unclosed);
            failure = failure == null ? unclosed : failure;
        }
        if (failure != null) {
            throw new ToldException(failure.told(), failure);
        }
    }
}
