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
import java.util.function.Function;
import nexa.core.told.Told;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.DecodingRoom;
import nexa.shoot.photo.Photo;

/** Work on deliveries on all cores, photo by photo, as those of one photo share a decode. */
public final class ByPhoto {
    private static final int MOST_WORKERS = 8;

    /** For photos' pixels, and as much again for what is made of them: the largest photos wait for each other. */
    private static final long ROOM = 4L << 30;

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
        return work(deliveries, ROOM, work);
    }

    /** The same in less memory. */
    static <T> List<T> work(List<Delivery> deliveries, long bytes, Function<List<Delivery>, T> work)
            throws IOException {
        DecodingRoom room = new DecodingRoom(bytes);
        Map<Photo, List<Delivery>> byPhoto = new LinkedHashMap<>();
        deliveries.forEach(each -> byPhoto.computeIfAbsent(each.photo(), photo -> new ArrayList<>())
                .add(each));
        int workers = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, MOST_WORKERS);
        try (ExecutorService pool = Executors.newFixedThreadPool(workers)) {
            List<Callable<T>> tasks = byPhoto.values().stream()
                    .<Callable<T>>map(ofOne -> () -> {
                        try (DecodingRoom.Held _ = room.take(pixels(ofOne))) {
                            return work.apply(ofOne);
                        }
                    })
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

    /** Bytes of a whole photo. */
    private static long pixels(List<Delivery> ofOne) {
        PhotoFacts facts = Rendering.facts(ofOne.getFirst());
        long bytes = facts.asShot().area() * CHANNELS;
        return facts.kind() == FileKind.JPEG ? bytes : Math.max(2 * bytes, ROOM / 2 / MOST_OTHERS);
    }
}
