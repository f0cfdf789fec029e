package nexa.desktop;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadPoolExecutor;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.StackPane;
import javafx.stage.DirectoryChooser;
import javafx.stage.Stage;
import javafx.util.Duration;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.Surround;
import nexa.desktop.pane.FirstStartView;
import nexa.desktop.pane.HeaderView;
import nexa.desktop.pane.UnsavedView;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.session.Unsaved;
import nexa.desktop.setting.PictureSettings;
import nexa.desktop.setting.Settings;
import nexa.desktop.words.Words;
import nexa.imaging.colour.Profile;
import nexa.shoot.Arrivals;
import nexa.shoot.DemoShoot;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.BriefFile;
import nexa.shoot.exchange.Shelf;
import nexa.shoot.incoming.FolderWatch;
import nexa.shoot.photo.Photo;
import nexa.shoot.preview.PreviewCache;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Nexa's window: the first-start screen, or an open shoot. Puts all parts together and owns their threads. */
public final class MainWindow implements AutoCloseable, HeaderView.Actions {
    private static final Logger LOG = LoggerFactory.getLogger(MainWindow.class);

    private static final String SURROUND = "surround";
    private static final Duration FIRST_SCREEN_ASKED = Duration.millis(250);
    private static final int FIRST_SCREEN_ASKS = 40;

    /** Between two looks whether photos are still loaded, in milliseconds. */
    private static final long LOOK_AGAIN = 200;

    /** So many of a new folder are read before the window shows it: more than a screen of them. */
    private static final int FIRST_PHOTOS = 40;

    private final Stage stage;
    private final Locations locations;
    private final StackPane root = new StackPane();
    private final Executor fx = Platform::runLater;
    private final ThreadPoolExecutor work = (ThreadPoolExecutor) Executors.newCachedThreadPool(
            Thread.ofPlatform().name("nexa-work-", 0).daemon().factory());
    private final PhotoLoader loader;
    private final Preferences preferences;
    private final Settings settings;
    private final Keys keys;
    private final FirstStartView firstStart = new FirstStartView(this::openAnother, this::openDemo);
    private Surround surround;
    private boolean used;
    private Optional<ShootScreen> screen = Optional.empty();
    private volatile Optional<Session> session = Optional.empty();
    private Optional<FolderWatch> watch = Optional.empty();
    private Optional<UnsavedView> unsaved = Optional.empty();
    private boolean givenUp;
    private long openings;

    /** To be made on the interface's thread. */
    public MainWindow(Stage stage, Locations locations, double width, double height) {
        this.stage = stage;
        this.locations = locations;
        this.preferences = Preferences.open(locations);
        this.settings = new Settings(preferences);
        this.keys = new Keys(preferences);
        this.loader = new PhotoLoader(new PreviewCache(
                locations.cache().resolve("previews"), settings.pictures().cacheBytes()));
        work.execute(Warming::run);
        PictureSettings pictures = settings.pictures();
        loader.memory(pictures.memoryBytes());
        loader.screen(pictures.screenColours());
        pictures.memoryProperty().subscribe((before, now) -> loader.memory(pictures.memoryBytes()));
        pictures.cacheProperty().subscribe((before, now) -> loader.disk(pictures.cacheBytes()));
        pictures.screenProperty().subscribe((before, now) -> showInColours(pictures.screenColours()));
        this.surround = preferences.get(SURROUND).map(Surround::named).orElse(Surround.LIGHT);
        Scene scene = new Scene(root, width, height);
        scene.getStylesheets().add(Theme.stylesheet());
        root.getStyleClass().addAll("nexa", surround.styleClass());
        root.getChildren().add(firstStart);
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        scene.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, keys::release);
        scene.addEventFilter(KeyEvent.ANY, keys::follow);
        stage.focusedProperty().subscribe(focused -> keys.releaseAll());
        scene.setOnDragOver(this::draggedOver);
        scene.setOnDragDropped(this::dropped);
        stage.setTitle(Words.of("app.name"));
        stage.setScene(scene);
        stage.setMinWidth(1040);
        stage.setMinHeight(600);
        stage.setOnCloseRequest(event -> {
            if (asksFirst(stage::hide)) {
                event.consume();
            }
        });
        stage.setOnHidden(event -> close());
    }

    public void show() {
        stage.show();
    }

    public Scene scene() {
        return stage.getScene();
    }

    /** The open shoot; empty on the first-start screen. */
    public Optional<Session> session() {
        return session;
    }

    /** The models of the open shoot. */
    public Optional<ShootModels> models() {
        return screen.map(ShootScreen::models);
    }

    /** Whether nothing is loaded or looked for in the background. */
    boolean isIdle() {
        return loader.isIdle() && work.getActiveCount() == 0;
    }

    /**
     * Asks what is to become of changes that are not stored; false if there are none.
     *
     * @param leave what was to be done; done when the changes are stored, or given up
     */
    private boolean asksFirst(Runnable leave) {
        if (unsaved.isPresent()) {
            return true;
        }
        Optional<Shoot> shoot = session.map(Session::shoot)
                .filter(open -> !givenUp && open.savingTrouble().isPresent());
        shoot.ifPresent(open -> {
            UnsavedView asking = new UnsavedView(
                    new Unsaved(open, work, fx),
                    () -> {
                        givenUp = true;
                        stopAsking();
                        leave.run();
                    },
                    this::stopAsking);
            unsaved = Optional.of(asking);
            root.getChildren().add(asking);
        });
        return shoot.isPresent();
    }

    private void stopAsking() {
        unsaved.ifPresent(asking -> {
            asking.dispose();
            root.getChildren().remove(asking);
        });
        unsaved = Optional.empty();
    }

    /** Opens a shoot in place of what is shown; completes on the interface's thread, also when it failed. */
    public CompletableFuture<Void> open(Path folder) {
        if (asksFirst(() -> open(folder))) {
            return CompletableFuture.completedFuture(null);
        }
        long mine = ++openings;
        showFirstStart();
        firstStart.showOpening(
                folder.getFileName() == null
                        ? folder.toString()
                        : folder.getFileName().toString());
        return CompletableFuture.supplyAsync(() -> opened(folder), work)
                .thenAcceptAsync(shoot -> showShoot(mine, shoot), fx)
                .exceptionallyAsync(failed -> mine == openings ? showFailure(folder, failed) : null, fx);
    }

    /** Puts a brief's formats on the shelf, from where any shoot can have them. */
    public CompletableFuture<Void> takeBrief(Path file) {
        return CompletableFuture.supplyAsync(() -> brief(file), work)
                .thenAcceptAsync(
                        brief -> {
                            new Shelf(preferences).keep(brief);
                            firstStart.show(Words.of(
                                    "start.brief", brief.name(), brief.formats().size()));
                        },
                        fx)
                .exceptionallyAsync(failed -> showFailure(file, failed), fx);
    }

    private static BriefFile brief(Path file) {
        try {
            BriefFile read = BriefFile.read(file);
            String name = read.name().isBlank() ? String.valueOf(file.getFileName()) : read.name();
            return new BriefFile(name, read.formats());
        } catch (IOException failed) {
            throw new CompletionException(failed);
        }
    }

    private Shoot opened(Path folder) {
        try {
            return Shoot.open(folder, locations, FIRST_PHOTOS);
        } catch (IOException failed) {
            throw new CompletionException(failed);
        }
    }

    private Void showFailure(Path folder, Throwable failed) {
        Throwable cause = failed instanceof CompletionException wrapped && wrapped.getCause() != null
                ? wrapped.getCause()
                : failed;
        LOG.warn("{} can't be opened", folder, cause);
        firstStart.showFailure(String.valueOf(cause.getMessage()));
        return null;
    }

    /** One that was asked for before another one is closed again. */
    private void showShoot(long opening, Shoot shoot) {
        if (opening != openings) {
            work.execute(() -> close(shoot));
            return;
        }
        givenUp = false;
        Session opened = new Session(shoot, settings);
        ShootModels models = ShootModels.of(opened, new Shelf(preferences), work, fx);
        session = Optional.of(opened);
        show(models);
        afterFirstScreen(shoot);
        stage.setTitle(Words.name(shoot.name()) + " – " + Words.of("app.name"));
    }

    /** What is not in sight waits until what is shows: reading and decoding take all cores. */
    private void afterFirstScreen(Shoot shoot) {
        Timeline waiting = new Timeline();
        waiting.getKeyFrames().add(new KeyFrame(FIRST_SCREEN_ASKED, event -> {
            if (loader.isIdle()) {
                waiting.stop();
            }
        }));
        waiting.setCycleCount(FIRST_SCREEN_ASKS);
        waiting.statusProperty().subscribe((before, now) -> {
            if (now == Animation.Status.STOPPED && isOpen(shoot)) {
                loader.prepare(shoot);
                watch = Optional.of(FolderWatch.of(shoot, arrivals -> fx.execute(() -> take(shoot, arrivals))));
                work.execute(() -> lookThrough(shoot));
            }
        });
        waiting.play();
    }

    /** Damage shows once there is time to look for it; while photos are loaded there is none. */
    private void lookThrough(Shoot shoot) {
        Thread.currentThread().setPriority(Thread.MIN_PRIORITY);
        try {
            for (Photo photo : shoot.photos()) {
                while (isOpen(shoot) && !isLoaderIdle()) {
                    Thread.sleep(LOOK_AGAIN);
                }
                Arrivals damaged = shoot.lookThrough(List.of(photo), () -> isOpen(shoot));
                if (!damaged.photos().isEmpty()) {
                    fx.execute(() -> take(shoot, damaged));
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } catch (IOException unstored) {
            LOG.warn("Damage in photos of {} is not kept", shoot.folder(), unstored);
        } finally {
            Thread.currentThread().setPriority(Thread.NORM_PRIORITY);
        }
    }

    /** Asked on the interface's thread, whose the loader is. */
    private boolean isLoaderIdle() {
        return CompletableFuture.supplyAsync(loader::isIdle, fx).join();
    }

    private boolean isOpen(Shoot shoot) {
        return session.filter(open -> open.shoot() == shoot).isPresent();
    }

    /** Photos came into the folder; of a shoot that was closed meanwhile they wait for the next time. */
    private void take(Shoot shoot, Arrivals arrivals) {
        if (isOpen(shoot)) {
            shoot.take(arrivals);
            loader.prepare(shoot);
        }
    }

    private void show(ShootModels models) {
        ShootScreen shown = new ShootScreen(models, keys, loader, work, fx, this);
        screen = Optional.of(shown);
        root.getChildren().setAll(shown);
        shown.requestFocus();
    }

    /** All that shows photos is made anew. */
    private void showInColours(Profile colours) {
        loader.screen(colours);
        screen.ifPresent(shown -> {
            shown.dispose();
            show(shown.models());
        });
    }

    private void showFirstStart() {
        closeShoot();
        root.getChildren().setAll(firstStart);
        stage.setTitle(Words.of("app.name"));
    }

    private void closeShoot() {
        loader.stopPreparing();
        watch.ifPresent(FolderWatch::close);
        watch = Optional.empty();
        screen.ifPresent(ShootScreen::dispose);
        screen.map(ShootScreen::models).ifPresent(ShootModels::dispose);
        session.map(Session::shoot).ifPresent(MainWindow::close);
        screen = Optional.empty();
        session = Optional.empty();
    }

    private static void close(Shoot shoot) {
        try {
            shoot.close();
        } catch (IOException unsaved) {
            LOG.error("{} was not stored wholly", shoot.folder(), unsaved);
        }
    }

    @Override
    public void openAnother() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Words.of("start.choose"));
        File picked = chooser.showDialog(stage);
        if (picked != null) {
            open(picked.toPath());
        }
    }

    /** Opens a fresh copy of the demo shoot. */
    public CompletableFuture<Void> openDemo() {
        return openDemo(Integer.MAX_VALUE);
    }

    /** Opens a fresh copy of the demo shoot with only its first photos. */
    CompletableFuture<Void> openDemo(int photos) {
        firstStart.showOpening(DemoShoot.NAME);
        return CompletableFuture.supplyAsync(() -> demoCopy(photos), work)
                .thenComposeAsync(this::open, fx)
                .exceptionallyAsync(failed -> showFailure(Path.of(DemoShoot.NAME), failed), fx);
    }

    private static Path demoCopy(int photos) {
        try {
            return DemoShoot.freshCopy(photos);
        } catch (IOException failed) {
            throw new CompletionException(failed);
        }
    }

    @Override
    public void nextSurround() {
        root.getStyleClass().remove(surround.styleClass());
        surround = surround.next();
        root.getStyleClass().add(surround.styleClass());
        preferences.put(SURROUND, surround.name());
    }

    @Override
    public void showKeys() {
        screen.ifPresent(ShootScreen::toggleKeys);
    }

    /** Keys that spell words are the shoot's, unless somebody types into a field. */
    private void pressed(KeyEvent event) {
        boolean typing = scene().getFocusOwner() instanceof TextInputControl && event.getCode() != KeyCode.ESCAPE;
        used = !typing && screen.filter(shown -> shown.pressed(event)).isPresent();
        if (used) {
            event.consume();
        }
    }

    /** The letter of a key that was used must not be typed into a field that the key opened. */
    private void typed(KeyEvent event) {
        if (used) {
            event.consume();
        }
    }

    private void draggedOver(DragEvent event) {
        if (droppedFolder(event).isPresent()) {
            event.acceptTransferModes(TransferMode.COPY_OR_MOVE);
        }
        event.consume();
    }

    private void dropped(DragEvent event) {
        Optional<Path> folder = droppedFolder(event);
        folder.ifPresent(this::open);
        event.setDropCompleted(folder.isPresent());
        event.consume();
    }

    /** The dropped folder, or the folder of a dropped photo. */
    private static Optional<Path> droppedFolder(DragEvent event) {
        List<File> files = event.getDragboard().getFiles();
        return files.isEmpty()
                ? Optional.empty()
                : Optional.of(files.getFirst().toPath()).map(p -> Files.isDirectory(p) ? p : p.getParent());
    }

    @Override
    public void close() {
        closeShoot();
        loader.close();
        preferences.close();
        work.shutdown();
    }
}
