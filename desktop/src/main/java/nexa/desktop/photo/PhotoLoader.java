package nexa.desktop.photo;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Photo;
import nexa.shoot.preview.PreviewCache;

/**
 * Loads previews on threads of its own and keeps the last used in memory. To be used from one thread, the interface's;
 * the futures complete on a loading thread.
 */
public final class PhotoLoader implements AutoCloseable {
    /** Sizes that previews are made in: for tiles and cards, for the Bench, for large screens. */
    public static final int SMALL = 512;

    public static final int MIDDLE = 1280;
    public static final int LARGE = 2560;

    /** Every pixel of the photo, up to what a screen's textures hold. */
    public static final int FULL = 8192;

    private static final long MEMORY_LIMIT = 256L << 20;

    private record Key(String fingerprint, int edge) {}

    private final PreviewCache cache;
    private final ExecutorService workers;
    private final Map<Key, CompletableFuture<ScreenPhoto>> loaded = new LinkedHashMap<>(16, 0.75f, true);

    public PhotoLoader(PreviewCache cache) {
        this.cache = cache;
        this.workers = Executors.newFixedThreadPool(
                Math.max(2, Runtime.getRuntime().availableProcessors()),
                Thread.ofPlatform().name("nexa-loader-", 0).daemon().factory());
    }

    /** The smallest preview size that has the asked pixels. */
    public static int edgeFor(double pixels) {
        if (pixels <= MIDDLE) {
            return pixels <= SMALL ? SMALL : MIDDLE;
        }
        return pixels <= LARGE ? LARGE : FULL;
    }

    /** What is in memory already. */
    public Optional<ScreenPhoto> ready(Photo photo, int edge) {
        CompletableFuture<ScreenPhoto> known = loaded.get(new Key(photo.fingerprint(), edge));
        return known != null && known.isDone() && !known.isCompletedExceptionally()
                ? Optional.of(known.join())
                : Optional.empty();
    }

    /** Loads a readable photo; fails with {@link UnreadablePhotoException} as the cause if it can't be decoded. */
    public CompletableFuture<ScreenPhoto> load(Photo photo, Path file, int edge) {
        Key key = new Key(photo.fingerprint(), edge);
        CompletableFuture<ScreenPhoto> known = loaded.get(key);
        if (known != null) {
            return known;
        }
        CompletableFuture<ScreenPhoto> loading = begin(photo, file, edge);
        loaded.put(key, loading);
        shed();
        return loading;
    }

    private CompletableFuture<ScreenPhoto> begin(Photo photo, Path file, int edge) {
        PhotoFacts facts = photo.facts().orElseThrow();
        CompletableFuture<ScreenPhoto> result = new CompletableFuture<>();
        try {
            workers.execute(() -> {
                try {
                    result.complete(ScreenPhoto.of(cache.raster(file, photo.fingerprint(), facts, edge)));
                } catch (UnreadablePhotoException | RuntimeException | OutOfMemoryError failed) {
                    result.completeExceptionally(failed);
                }
            });
        } catch (RejectedExecutionException closed) {
            result.completeExceptionally(closed);
        }
        return result;
    }

    /** Whether nothing is being loaded. */
    public boolean isIdle() {
        return loaded.values().stream().allMatch(CompletableFuture::isDone);
    }

    /** Forgets the least recently used beyond the limit. */
    private void shed() {
        long weight = loaded.values().stream()
                .filter(future -> future.isDone() && !future.isCompletedExceptionally())
                .mapToLong(future -> future.join().weight())
                .sum();
        var oldest = loaded.entrySet().iterator();
        while (weight > MEMORY_LIMIT && oldest.hasNext()) {
            CompletableFuture<ScreenPhoto> candidate = oldest.next().getValue();
            if (candidate.isDone() && !candidate.isCompletedExceptionally()) {
                weight -= candidate.join().weight();
                oldest.remove();
            }
        }
    }

    @Override
    public void close() {
        workers.shutdownNow();
    }
}
