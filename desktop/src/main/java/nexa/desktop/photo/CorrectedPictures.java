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
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.colour.Profile;
import nexa.imaging.fill.FilledRaster;
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

    /** What is made of a picture. */
    private sealed interface What {
        /** The whole photo, corrected. */
        record Whole(Correction correction) implements What {}

        /** As shot, only light and colours corrected. */
        record Lit(Correction correction) implements What {}

        /** A frame that leaves the photo, filled. */
        record Filled(Pose pose, Frame frame, Fill fill) implements What {}
    }

    private record Key(Raster plain, What what) {}

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
                new Key(plain.raster(), new What.Whole(space.pose().correction())),
                () -> plain.corrected(CorrectedRaster.of(plain.raster(), space, plain.light(screen.get()))));
    }

    /** The photo as shot with its lens's light and colours corrected. */
    public CompletableFuture<ScreenPhoto> lit(ScreenPhoto plain, PhotoSpace space) {
        return made(
                new Key(plain.raster(), new What.Lit(space.pose().correction())),
                () -> plain.withPixels(CorrectedRaster.lit(plain.raster(), space, plain.light(screen.get()))));
    }

    /** A frame that leaves the photo as it will look, filled. */
    public CompletableFuture<ScreenPhoto> filled(ScreenPhoto plain, PhotoSpace space, Frame frame, Fill fill) {
        return made(
                new Key(plain.raster(), new What.Filled(space.pose(), frame, fill)),
                () -> ScreenPhoto.of(FilledRaster.of(plain.raster(), space, frame, fill, plain.light(screen.get()))));
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
                .filter(each ->
                        each.getKey().plain == key.plain && each.getKey().what.getClass() == key.what.getClass())
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
