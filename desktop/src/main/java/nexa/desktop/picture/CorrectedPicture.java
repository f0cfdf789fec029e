package nexa.desktop.picture;

import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import nexa.desktop.photo.ScreenPhoto;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The newest of a node's corrected pictures, while the next one is made: of several that are wanted meanwhile only the last
 * is made. For one thread, the interface's.
 */
final class CorrectedPicture {
    private static final Logger LOG = LoggerFactory.getLogger(CorrectedPicture.class);

    private final Executor fx;
    private final Runnable arrived;
    private Optional<ScreenPhoto> newest = Optional.empty();
    private Optional<CompletableFuture<ScreenPhoto>> making = Optional.empty();

    CorrectedPicture(Executor fx, Runnable arrived) {
        this.fx = fx;
        this.arrived = arrived;
    }

    /** Asks for a picture. */
    interface Asking {
        CompletableFuture<ScreenPhoto> ask();
    }

    /** The picture asked for, or until it is there the one before, or another. */
    ScreenPhoto or(ScreenPhoto otherwise, Asking asking) {
        return newest(asking).orElse(otherwise);
    }

    /** The picture asked for, or until it is there the one before; empty if there is none. */
    Optional<ScreenPhoto> newest(Asking asking) {
        if (making.isEmpty()) {
            CompletableFuture<ScreenPhoto> asked = asking.ask();
            if (asked.isDone() && !asked.isCompletedExceptionally()) {
                newest = Optional.of(asked.join());
            } else if (!asked.isDone()) {
                making = Optional.of(asked);
                asked.whenCompleteAsync((made, failed) -> take(asked, failed), fx);
            }
        }
        return newest;
    }

    private void take(CompletableFuture<ScreenPhoto> asked, @Nullable Throwable failed) {
        if (making.filter(asked::equals).isEmpty()) {
            return; // of another photo
        }
        making = Optional.empty();
        Throwable why = failed instanceof CompletionException && failed.getCause() != null ? failed.getCause() : failed;
        if (why == null) {
            newest = Optional.of(asked.join());
        } else if (!(why instanceof CancellationException)) {
            LOG.warn("A photo is shown without its correction", why);
        }
        arrived.run();
    }

    void forget() {
        newest = Optional.empty();
        making = Optional.empty();
    }
}
