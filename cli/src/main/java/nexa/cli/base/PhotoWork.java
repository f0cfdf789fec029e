package nexa.cli.base;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.photo.Photo;

/**
 * What takes a while for each photo, done on all cores; what comes of it is asked for photo by photo, in any order.
 *
 * @param <T> what comes of one photo
 */
public final class PhotoWork<T> implements AutoCloseable {
    private final Map<Photo, Future<T>> outcomes = new HashMap<>();
    private final ExecutorService workers;

    /** What is done with a photo. */
    @FunctionalInterface
    public interface Each<T> {
        T of(Photo photo) throws IOException;
    }

    private PhotoWork(ExecutorService workers) {
        this.workers = workers;
    }

    /** Begins with the first of the photos. */
    public static <T> PhotoWork<T> begin(List<Photo> photos, Each<T> each) {
        PhotoWork<T> begun = new PhotoWork<>(Executors.newFixedThreadPool(
                Runtime.getRuntime().availableProcessors(),
                Thread.ofPlatform().name("nexa-photos-", 0).daemon().factory()));
        for (Photo photo : photos) {
            begun.outcomes.put(photo, begun.workers.submit(() -> each.of(photo)));
        }
        return begun;
    }

    /**
     * What came of one of the photos; waits for it.
     *
     * @throws IOException as it was thrown by the work
     */
    public T of(Photo photo) throws IOException {
        try {
            return Objects.requireNonNull(outcomes.get(photo)).get();
        } catch (ExecutionException failed) {
            throw cause(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ToldException(Told.of("told.at", photo.file(), Told.of(stopped)), stopped);
        }
    }

    private static IOException cause(ExecutionException failed) {
        return switch (failed.getCause()) {
            case IOException told -> told;
            case RuntimeException bug -> throw bug;
            case null, default -> throw new IllegalStateException(failed);
        };
    }

    /** What is not begun is not done any more. */
    @Override
    public void close() {
        workers.shutdownNow();
    }
}
