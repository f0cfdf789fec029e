package nexa.shoot.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Photo;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.RunControl;

/** Pictures of deliveries as JPEG in sRGB, on all cores, one decode a photo. */
final class Pictures {
    private static final int MOST_WORKERS = 4;

    /** Makes the pictures of one photo, in order. */
    interface Maker {
        List<byte[]> of(List<Delivery> ofOnePhoto) throws UnreadablePhotoException, IOException;
    }

    /** @param failed why, by photo */
    record Made(Map<Delivery, byte[]> pictures, Map<Photo, String> failed) {}

    private Pictures() {}

    /**
     * Blocks until all are made or the control ends it.
     *
     * @param progress told how many photos are done
     */
    static Made make(List<Delivery> deliveries, Maker maker, PaperJob.Progress progress, RunControl control)
            throws IOException {
        Map<Photo, List<Delivery>> byPhoto = new LinkedHashMap<>();
        deliveries.forEach(each -> byPhoto.computeIfAbsent(each.photo(), photo -> new ArrayList<>())
                .add(each));
        AtomicInteger done = new AtomicInteger();
        Map<Delivery, byte[]> pictures = new HashMap<>();
        Map<Photo, String> failed = new HashMap<>();
        int workers = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, MOST_WORKERS);
        try (ExecutorService pool = Executors.newFixedThreadPool(workers)) {
            List<Callable<Void>> tasks = new ArrayList<>();
            for (List<Delivery> ofPhoto : byPhoto.values()) {
                tasks.add(() -> {
                    if (control.mayGoOn()) {
                        one(ofPhoto, maker, pictures, failed);
                        progress.done(done.incrementAndGet(), byPhoto.size());
                    }
                    return null;
                });
            }
            for (Future<Void> task : pool.invokeAll(tasks)) {
                task.get();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("This was stopped", stopped);
        } catch (ExecutionException bug) {
            throw new IllegalStateException(bug.getCause());
        }
        return new Made(pictures, failed);
    }

    private static void one(
            List<Delivery> ofPhoto, Maker maker, Map<Delivery, byte[]> pictures, Map<Photo, String> failed) {
        Photo photo = ofPhoto.getFirst().photo();
        try {
            List<byte[]> made = maker.of(ofPhoto);
            synchronized (pictures) {
                for (int i = 0; i < made.size(); i++) {
                    pictures.put(ofPhoto.get(i), made.get(i));
                }
            }
        } catch (UnreadablePhotoException unreadable) {
            fail(photo, unreadable.trouble().text(), failed);
        } catch (IOException | RuntimeException | OutOfMemoryError refused) { // native code's own
            fail(photo, "could not be rendered", failed);
        }
    }

    private static void fail(Photo photo, String reason, Map<Photo, String> failed) {
        synchronized (failed) {
            failed.put(photo, reason);
        }
    }
}
