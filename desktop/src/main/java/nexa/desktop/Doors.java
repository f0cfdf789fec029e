package nexa.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.ThreadFactory;
import java.util.function.UnaryOperator;
import nexa.shoot.Locations;
import nexa.shoot.Opening;
import nexa.shoot.Shoot;

/**
 * Opens and closes shoots off the interface's thread. What is asked for one folder is done one after the other: a shoot
 * that is not let go yet could only be opened to look at. The program does not end before a closing does.
 */
final class Doors {
    /** So many photos of a new folder are read before the window shows it: more than a screen of them. */
    private static final int FIRST_PHOTOS = 40;

    /** Threads that the program's end waits for. */
    private static final ThreadFactory LASTING =
            Thread.ofPlatform().name("nexa-doors-", 0).daemon(false).factory();

    private final Locations locations;
    private final Executor fx;
    private final Executor each = task -> LASTING.newThread(task).start();
    private final Map<Path, CompletableFuture<Void>> last = new HashMap<>();

    /** Where an open shoot is taken in. */
    interface Entrance {
        /** Whether the shoot is still wanted; one that is not is not opened. Any thread asks. */
        boolean isWanted();

        /** Told how many photos were found so far. Any thread tells. */
        void found(int photos);

        /** Takes an open shoot in, on the interface's thread; false if it is no longer wanted, and is to be closed again. */
        boolean enter(Shoot shoot);
    }

    Doors(Locations locations, Executor fx) {
        this.locations = locations;
        this.fx = fx;
    }

    /**
     * Opens a shoot and hands it over; fails with an {@link IOException} whose message is for the user if it can't be
     * opened.
     */
    CompletableFuture<Void> open(Path folder, Entrance entrance) {
        return after(folder, before -> before.thenApplyAsync(
                        done -> entrance.isWanted() ? Optional.of(opened(folder, entrance)) : Optional.<Shoot>empty(),
                        each)
                .thenApplyAsync(shoot -> shoot.filter(open -> !entrance.enter(open)), fx)
                .thenAcceptAsync(unwanted -> unwanted.ifPresent(Doors::closed), each));
    }

    /** Completes when the shoot is stored and let go; fails with an {@link IOException} if something is not stored. */
    CompletableFuture<Void> close(Shoot shoot) {
        return after(shoot.folder(), before -> before.thenAcceptAsync(done -> closed(shoot), each));
    }

    /** Completes when nothing is being opened or closed. */
    synchronized CompletableFuture<Void> still() {
        return CompletableFuture.allOf(last.values().toArray(CompletableFuture[]::new));
    }

    private synchronized CompletableFuture<Void> after(Path folder, UnaryOperator<CompletableFuture<Void>> then) {
        Path place = folder.toAbsolutePath().normalize();
        CompletableFuture<Void> before = last.getOrDefault(place, CompletableFuture.completedFuture(null));
        CompletableFuture<Void> mine = then.apply(before);
        CompletableFuture<Void> ended = mine.exceptionally(failed -> null); // told to whoever asked
        last.put(place, ended);
        ended.thenRun(() -> forget(place, ended));
        return mine;
    }

    private synchronized void forget(Path place, CompletableFuture<Void> ended) {
        last.remove(place, ended);
    }

    private Shoot opened(Path folder, Entrance entrance) {
        try {
            return Shoot.open(
                    folder, locations, Opening.WHOLE.withFirst(FIRST_PHOTOS).telling(photos -> {
                        entrance.found(photos);
                        return entrance.isWanted();
                    }));
        } catch (IOException said) {
            throw new CompletionException(said);
        }
    }

    private static void closed(Shoot shoot) {
        try {
            shoot.close();
        } catch (IOException unstored) {
            throw new CompletionException(unstored);
        }
    }
}
