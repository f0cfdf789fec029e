package nexa.desktop.photo;

import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import nexa.imaging.pixels.UnreadablePhotoException;

/**
 * One picture to be loaded, wanted by one or more. It may stand in the queue several times, more urgent each time, and
 * is done once. Its waiters are counted on one thread.
 */
final class Job {
    /** The work itself. */
    interface Loading {
        /** @param urgency how soon it is wanted as it begins */
        ScreenPhoto load(Urgency urgency) throws UnreadablePhotoException;
    }

    private final Loading loading;
    private final CompletableFuture<ScreenPhoto> result = new CompletableFuture<>();
    private final AtomicBoolean begun = new AtomicBoolean();
    private volatile Urgency urgency;
    private int waiters;

    Job(Loading loading, Urgency urgency) {
        this.loading = loading;
        this.urgency = urgency;
    }

    CompletableFuture<ScreenPhoto> result() {
        return result;
    }

    boolean isLoaded() {
        return result.isDone() && !result.isCompletedExceptionally();
    }

    void want() {
        waiters++;
    }

    /** Gives it up if nobody else waits and it is not begun; true if it was given up. */
    boolean leave() {
        waiters = Math.max(0, waiters - 1);
        if (waiters == 0 && begun.compareAndSet(false, true)) {
            result.completeExceptionally(new CancellationException());
            return true;
        }
        return false;
    }

    /** Whether it is wanted sooner than so far and still waits. */
    boolean raise(Urgency wanted) {
        if (wanted.compareTo(urgency) < 0 && !begun.get()) {
            urgency = wanted;
            return true;
        }
        return false;
    }

    void run() {
        if (!begun.compareAndSet(false, true)) {
            return; // done from another place in the queue, or given up
        }
        try {
            result.complete(loading.load(urgency));
        } catch (UnreadablePhotoException | RuntimeException | OutOfMemoryError failed) {
            result.completeExceptionally(failed);
        }
    }

    void fail(RuntimeException why) {
        result.completeExceptionally(why);
    }
}
