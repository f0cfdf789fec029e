package nexa.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import nexa.core.told.Told;
import nexa.desktop.mishap.Mishaps;
import nexa.imaging.file.ToldException;
import nexa.shoot.DemoCamera;
import nexa.shoot.DemoShoot;
import nexa.shoot.Locations;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Starts the window. Each method returns when the window is closed. */
public final class Desktop {
    private static final Logger LOG = LoggerFactory.getLogger(Desktop.class);
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final int FIRST_PHOTOS = 12;
    private static final Duration BETWEEN_PHOTOS = Duration.ofSeconds(4);

    private Desktop() {}

    /**
     * With the first-start screen.
     *
     * @throws ToldException if no window can be shown here
     */
    public static void start() throws ToldException {
        run(window -> {});
    }

    /**
     * With a shoot.
     *
     * @param place its folder, or a brief's file, whose formats then are on the shelf
     * @throws ToldException if no window can be shown here
     */
    public static void open(Path place) throws ToldException {
        run(window -> {
            if (Files.isRegularFile(place)) {
                window.takeBrief(place);
            } else {
                window.open(place);
            }
        });
    }

    /**
     * With a fresh copy of the demo shoot.
     *
     * @throws ToldException if no window can be shown here
     */
    public static void demo() throws ToldException {
        run(MainWindow::openDemo);
    }

    /**
     * The same with the first photos only; a make-believe camera drops the others into the folder, one every few
     * seconds.
     *
     * @throws IOException if the demo is not part of this installation, or no window can be shown here
     */
    public static void demoWithCamera() throws IOException {
        List<Path> others = DemoShoot.originals().stream().skip(FIRST_PHOTOS).toList();
        run(window -> window.openDemo(FIRST_PHOTOS).thenRun(() -> window.session()
                .ifPresent(open -> DemoCamera.start(others, open.shoot().folder(), BETWEEN_PHOTOS))));
    }

    private static void logStart(MainWindow window) {
        AtomicBoolean told = new AtomicBoolean();
        window.scene().addPostLayoutPulseListener(() -> {
            if (!told.getAndSet(true)) {
                ProcessHandle.current()
                        .info()
                        .startInstant()
                        .ifPresent(start -> LOG.info(
                                "The window shows {} ms after the program was started",
                                Duration.between(start, Instant.now()).toMillis()));
            }
        });
    }

    private static void run(Consumer<MainWindow> then) throws ToldException {
        CountDownLatch closed = new CountDownLatch(1);
        startToolkit();
        Platform.runLater(() -> {
            Theme.install();
            Stage stage = new Stage();
            Rectangle2D screen = Screen.getPrimary().getVisualBounds();
            MainWindow window = new MainWindow(
                    stage,
                    Locations.ofThisUser(),
                    Math.min(WIDTH, screen.getWidth()),
                    Math.min(HEIGHT, screen.getHeight()));
            stage.showingProperty().subscribe((before, now) -> {
                if (before && !now) {
                    closed.countDown();
                }
            });
            Mishaps mishaps = new Mishaps(stage, Locations.logsOfThisUser(), window::openAgain);
            Thread.currentThread().setUncaughtExceptionHandler((thread, bug) -> mishaps.take(bug));
            window.show();
            logStart(window);
            then.accept(window);
        });
        try {
            closed.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        Platform.exit();
    }

    /** Of what it throws where there is no screen, or no library to draw on it, only the words are for the user. */
    private static void startToolkit() throws ToldException {
        try {
            Platform.startup(() -> {});
        } catch (RuntimeException | UnsatisfiedLinkError failed) {
            LOG.error("The toolkit can't be started", failed);
            throw new ToldException(Told.of("told.window.none", String.valueOf(failed.getMessage())), failed);
        }
    }
}
