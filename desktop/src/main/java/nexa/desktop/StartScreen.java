package nexa.desktop;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicLong;
import nexa.desktop.pane.FirstStartView;
import nexa.shoot.DemoShoot;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.BriefFile;
import nexa.shoot.exchange.Shelf;
import nexa.words.Words;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What the window says and can do while no shoot is open. */
final class StartScreen {
    private static final Logger LOG = LoggerFactory.getLogger(StartScreen.class);

    /** After so many more photos it says how many there are. */
    private static final int FOUND_TOLD = 50;

    private final MainWindow window;
    private final Shelf shelf;
    private final Executor work;
    private final Executor fx;

    /** How often something was asked to be opened, or given up; only the last one asked for is shown. */
    private final AtomicLong asked = new AtomicLong();

    private FirstStartView view;

    /**
     * @param work reads files, off the interface's thread
     * @param fx the interface's thread
     */
    StartScreen(MainWindow window, Shelf shelf, Executor work, Executor fx) {
        this.window = window;
        this.shelf = shelf;
        this.work = work;
        this.fx = fx;
        this.view = anew();
    }

    FirstStartView view() {
        return view;
    }

    /** Makes the view anew, as when its words change. */
    FirstStartView anew() {
        view = new FirstStartView(new FromButtons());
        return view;
    }

    /** What its buttons start. */
    private final class FromButtons implements FirstStartView.Actions {
        @Override
        public void openFolder() {
            window.openAnother();
        }

        @Override
        public void openDemo() {
            window.openDemo();
        }

        @Override
        public void giveUp() {
            asked.incrementAndGet();
            view.show("");
        }
    }

    /** Something is to be opened in place of whatever was to be before; by this number it is known. */
    long ask() {
        return asked.incrementAndGet();
    }

    /** Whether it was neither given up nor another one asked for since. Any thread may ask. */
    boolean isWanted(long number) {
        return number == asked.get();
    }

    /** Says that a shoot is on its way. */
    void opening(Path folder) {
        view.showOpening(String.valueOf(folder.getFileName() == null ? folder : folder.getFileName()));
    }

    /** Says now and then how many photos were found of what was asked for. Any thread tells. */
    void found(long number, int photos) {
        if (photos % FOUND_TOLD == 0) {
            fx.execute(() -> {
                if (isWanted(number)) {
                    view.showFound(photos);
                }
            });
        }
    }

    /** Says why a place could not be opened. */
    Void failed(Path place, Throwable failed) {
        Throwable cause = failed instanceof CompletionException wrapped && wrapped.getCause() != null
                ? wrapped.getCause()
                : failed;
        LOG.warn("{} can't be opened", place, cause);
        view.showFailure(Words.of(cause));
        return null;
    }

    /** Its edits were stored or given up before; what failed now came after them. */
    Void unstored(Shoot shoot, Throwable failed) {
        LOG.error("{} was not stored wholly", shoot.folder(), failed);
        view.showFailure(Words.of("start.unstored", shoot.name()));
        return null;
    }

    /** Puts a brief's formats on the shelf, from where any shoot can have them. */
    CompletableFuture<Void> takeBrief(Path file) {
        return CompletableFuture.supplyAsync(() -> read(() -> BriefFile.readNamed(file)), work)
                .thenAcceptAsync(
                        brief -> {
                            shelf.keep(brief);
                            view.show(Words.of(
                                    "start.brief", brief.name(), brief.formats().size()));
                        },
                        fx)
                .exceptionallyAsync(failed -> failed(file, failed), fx);
    }

    /** Opens a fresh copy of the demo shoot with only its first photos. */
    CompletableFuture<Void> openDemo(int photos) {
        view.showOpening(DemoShoot.NAME);
        long mine = ask();
        return CompletableFuture.supplyAsync(() -> read(() -> DemoShoot.freshCopy(photos)), work)
                .thenComposeAsync(
                        copy -> isWanted(mine) ? window.open(copy) : CompletableFuture.completedFuture(null), fx)
                .exceptionallyAsync(failed -> isWanted(mine) ? failed(Path.of(DemoShoot.NAME), failed) : null, fx);
    }

    private static <T> T read(Callable<T> file) {
        try {
            return file.call();
        } catch (Exception failed) { // told as the future's failure
            throw new CompletionException(failed);
        }
    }
}
