package nexa.desktop.photo;

import static java.util.concurrent.TimeUnit.NANOSECONDS;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Supplier;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.CorrectedRaster;

/**
 * What corrections make of pictures, for views that can't bend one themselves: made off the interface's thread, once for all
 * that show the same, and kept as long as there is room. To be used from one thread, the interface's.
 */
public final class CorrectedPictures {
    private static final long MOST_BYTES = 96L << 20;

    /** While a correction is scrubbed, small pictures of it follow so often; the processors are needed for the large one. */
    private static final long APART = Duration.ofMillis(200).toNanos();

    /** @param whole else as shot, only its colours corrected */
    private record Key(Raster plain, Correction correction, boolean whole) {}

    /** @param begins when, by the system's clock of nanoseconds */
    private record Made(CompletableFuture<ScreenPhoto> picture, long begins) {}

    private final Executor workers;
    private final Supplier<Profile> screen;
    private final Map<Key, Made> pictures = new LinkedHashMap<>(16, 0.75f, true);

    CorrectedPictures(Executor workers, Supplier<Profile> screen) {
        this.workers = workers;
        this.screen = screen;
    }

    /** The whole photo, corrected but not turned. */
    public CompletableFuture<ScreenPhoto> whole(ScreenPhoto plain, PhotoSpace space) {
        return made(
                new Key(plain.raster(), space.pose().correction(), true),
                () -> ScreenPhoto.of(CorrectedRaster.of(plain.raster(), space, screen.get())));
    }

    /** The photo as shot with its lens's light and colours corrected. */
    public CompletableFuture<ScreenPhoto> lit(ScreenPhoto plain, PhotoSpace space) {
        return made(
                new Key(plain.raster(), space.pose().correction(), false),
                () -> ScreenPhoto.of(CorrectedRaster.lit(plain.raster(), space, screen.get())));
    }

    private CompletableFuture<ScreenPhoto> made(Key key, Supplier<ScreenPhoto> making) {
        Made known = pictures.get(key);
        if (known != null) {
            return known.picture;
        }
        shed();
        long wait = wait(key);
        CompletableFuture<ScreenPhoto> made;
        try {
            made = CompletableFuture.supplyAsync(
                    making, wait <= 0 ? workers : CompletableFuture.delayedExecutor(wait, NANOSECONDS, workers));
        } catch (RejectedExecutionException closed) {
            made = CompletableFuture.failedFuture(closed);
        }
        pictures.put(key, new Made(made, System.nanoTime() + Math.max(0, wait)));
        return made;
    }

    /** How long until the same photo may be corrected again, nanoseconds. */
    private long wait(Key key) {
        return pictures.entrySet().stream()
                .filter(each -> each.getKey().plain.equals(key.plain) && each.getKey().whole == key.whole)
                .mapToLong(each -> each.getValue().begins + APART - System.nanoTime())
                .max()
                .orElse(0);
    }

    private void shed() {
        long weight = pictures.values().stream()
                .mapToLong(each -> weight(each.picture))
                .sum();
        var oldest = pictures.values().iterator();
        while (weight > MOST_BYTES && oldest.hasNext()) {
            weight -= weight(oldest.next().picture);
            oldest.remove();
        }
    }

    private static long weight(CompletableFuture<ScreenPhoto> picture) {
        return Optional.of(picture)
                .filter(each -> each.isDone() && !each.isCompletedExceptionally())
                .map(each -> each.join().weight())
                .orElse(0L);
    }
}
