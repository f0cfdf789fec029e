package nexa.shoot;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import nexa.shoot.edit.Edit;
import nexa.shoot.store.Store;
import nexa.shoot.store.StoreException;
import nexa.shoot.store.StoredPhoto;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Writes edits to the store in order, on a thread of its own. */
final class Saver implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Saver.class);

    private final Store store;
    private final ExecutorService writer = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().name("nexa-saver").daemon(false).factory());
    private volatile @Nullable StoreException failure;

    Saver(Store store) {
        this.store = store;
    }

    @FunctionalInterface
    private interface Write {
        void run() throws StoreException;
    }

    void save(Edit edit) {
        submit(() -> store.save(edit));
    }

    void saveSetting(String name, String value) {
        submit(() -> store.saveSetting(name, value));
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
            throw new IOException("The shoot is closed", closed);
        } catch (ExecutionException failed) {
            throw new IOException(String.valueOf(failed.getCause().getMessage()), failed.getCause());
        }
    }

    Optional<String> trouble() {
        return Optional.ofNullable(failure).map(StoreException::getMessage);
    }

    private void submit(Write write) {
        writer.submit(() -> {
            try {
                write.run();
            } catch (StoreException failed) {
                LOG.error("An edit was not stored", failed);
                failure = failed;
            }
        });
    }

    @Override
    public void close() throws IOException {
        writer.close(); // waits for what is queued
        store.close();
        if (failure != null) {
            throw new IOException(failure.getMessage(), failure);
        }
    }
}
