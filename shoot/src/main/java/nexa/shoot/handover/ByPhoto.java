package nexa.shoot.handover;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.function.Function;
import java.util.function.Supplier;
import nexa.core.told.Told;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.ToldException;
import nexa.shoot.photo.Photo;

/** Work on deliveries on all cores, photo by photo, as those of one photo share a decode. */
public final class ByPhoto {
    private static final int MOST_WORKERS = 8;

    /** Of photos' pixels that are held at a time: the largest photos wait for each other. */
    private static final int MEGABYTES = 2048;

    /** Only JPEGs are read in what their pixels take; of others no more are worked on at a time. */
    private static final int MOST_OTHERS = 4;

    private static final int CHANNELS = 3;

    private ByPhoto() {}

    /**
     * Blocks until all photos are done.
     *
     * @param work given all deliveries of one photo, on a worker's thread; what it throws is a bug
     * @return what came of each photo, in the order of their first deliveries
     * @throws IOException if this thread was interrupted
     */
    public static <T> List<T> work(List<Delivery> deliveries, Function<List<Delivery>, T> work) throws IOException {
        return work(deliveries, MEGABYTES, work);
    }

    /** The same in less memory. */
    static <T> List<T> work(List<Delivery> deliveries, int megabytes, Function<List<Delivery>, T> work)
            throws IOException {
        Semaphore room = new Semaphore(megabytes, true);
        Map<Photo, List<Delivery>> byPhoto = new LinkedHashMap<>();
        deliveries.forEach(each -> byPhoto.computeIfAbsent(each.photo(), photo -> new ArrayList<>())
                .add(each));
        int workers = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, MOST_WORKERS);
        try (ExecutorService pool = Executors.newFixedThreadPool(workers)) {
            List<Callable<T>> tasks = byPhoto.values().stream()
                    .<Callable<T>>map(
                            ofOne -> () -> inRoom(room, Math.min(megabytes, megabytes(ofOne)), () -> work.apply(ofOne)))
                    .toList();
            List<T> results = new ArrayList<>();
            for (Future<T> done : pool.invokeAll(tasks)) {
                results.add(done.get());
            }
            return results;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ToldException(Told.of("told.handover.was-stopped"), stopped);
        } catch (ExecutionException bug) {
            throw new IllegalStateException(bug.getCause());
        }
    }

    private static <T> T inRoom(Semaphore room, int needed, Supplier<T> work) {
        room.acquireUninterruptibly(needed);
        try {
            return work.get();
        } finally {
            room.release(needed);
        }
    }

    /** For a whole photo's pixels; more than none. */
    private static int megabytes(List<Delivery> ofOne) {
        PhotoFacts facts = Rendering.facts(ofOne.getFirst());
        int pixels = (int) Math.ceilDiv(facts.asShot().area() * CHANNELS, 1L << 20);
        return facts.kind() == FileKind.JPEG ? pixels : Math.max(2 * pixels, MEGABYTES / MOST_OTHERS);
    }
}
