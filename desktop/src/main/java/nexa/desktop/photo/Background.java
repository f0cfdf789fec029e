package nexa.desktop.photo;

import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.photo.Photo;
import nexa.shoot.preview.PreviewCache;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Makes previews that nobody waits for, one at a time on each core. After each it queues up again behind all that is
 * more urgent, and while anything is, it leaves the cores alone.
 */
final class Background {
    /** How long it rests before it asks again, in nanoseconds. */
    private static final long REST = 20_000_000;

    private static final Logger LOG = LoggerFactory.getLogger(Background.class);

    private final PreviewCache cache;
    private final Executor workers;
    private final int cores;
    private final BooleanSupplier urgent;
    private final AtomicInteger running = new AtomicInteger();
    private volatile Round round = Round.NONE;

    /** @param urgent whether somebody waits for a picture */
    Background(PreviewCache cache, Executor workers, int cores, BooleanSupplier urgent) {
        this.urgent = urgent;
        this.cache = cache;
        this.workers = workers;
        this.cores = cores;
    }

    /** What is left of one shoot. */
    private static final class Round {
        private static final Round NONE = new Round(List.of(), photo -> Path.of(""), 0);

        private final Iterator<Photo> left;
        private final Function<Photo, Path> files;
        private final int edge;

        Round(List<Photo> photos, Function<Photo, Path> files, int edge) {
            this.left = photos.iterator();
            this.files = files;
            this.edge = edge;
        }

        synchronized @Nullable Photo next() {
            while (left.hasNext()) {
                Photo photo = left.next();
                if (photo.isReadable()) {
                    return photo;
                }
            }
            return null;
        }
    }

    /** Begins with a shoot's photos, in place of those before. */
    void prepare(List<Photo> photos, Function<Photo, Path> files, int edge) {
        round = new Round(photos, files, edge);
        for (int core = 0; core < cores; core++) {
            queue(round);
        }
    }

    void stop() {
        round = Round.NONE;
    }

    boolean isIdle() {
        return running.get() == 0;
    }

    private void queue(Round mine) {
        running.incrementAndGet();
        try {
            workers.execute(new Queued(Urgency.REST, 0, () -> step(mine)));
        } catch (RejectedExecutionException closed) { // nobody waits for it any more
            running.decrementAndGet();
        }
    }

    private void step(Round mine) {
        try {
            if (mine == round && urgent.getAsBoolean()) {
                LockSupport.parkNanos(REST);
                queue(mine);
                return;
            }
            Photo photo = mine == round ? mine.next() : null;
            if (photo != null) {
                prepare(mine, photo);
                queue(mine);
            }
        } finally {
            running.decrementAndGet();
        }
    }

    private void prepare(Round mine, Photo photo) {
        PhotoFacts facts = photo.facts().orElseThrow();
        try {
            cache.prepare(mine.files.apply(photo), photo.pixels(), facts, mine.edge);
        } catch (UnreadablePhotoException | RuntimeException | OutOfMemoryError unreadable) {
            LOG.info("No preview of {}: {}", photo.file(), unreadable.toString()); // its tile will say why
        }
    }
}
