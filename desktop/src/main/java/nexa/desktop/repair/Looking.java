package nexa.desktop.repair;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.photo.Photo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Looking at a photo's pixels off the interface's thread; what comes too late is dropped. Used on the interface's thread. */
final class Looking {
    /** What is read of a photo. */
    interface Reading<T> {
        T of(Photo photo) throws UnreadablePhotoException;
    }

    private static final Logger LOG = LoggerFactory.getLogger(Looking.class);

    private final Executor work;
    private final Executor fx;
    private long latest;

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    Looking(Executor work, Executor fx) {
        this.work = work;
        this.fx = fx;
    }

    /** Reads, in place of what was being read. */
    <T> void at(Photo photo, Reading<T> reading, Consumer<T> taken, Runnable failed) {
        long mine = ++latest;
        CompletableFuture.supplyAsync(() -> read(photo, reading), work)
                .whenCompleteAsync(
                        (found, failure) -> {
                            if (mine == latest && found != null) {
                                taken.accept(found);
                            } else if (mine == latest) {
                                LOG.warn("{} was not looked at", photo.file(), failure);
                                failed.run();
                            }
                        },
                        fx);
    }

    private static <T> T read(Photo photo, Reading<T> reading) {
        try {
            return reading.of(photo);
        } catch (UnreadablePhotoException failed) {
            throw new CompletionException(failed);
        }
    }

    /** Drops what is being read. */
    void forget() {
        latest++;
    }
}
