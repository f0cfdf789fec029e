package nexa.desktop;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadPoolExecutor;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.DirectoryChooser;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import javafx.util.Subscription;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.FirstStartView;
import nexa.desktop.pane.HeaderView;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.setting.PictureSettings;
import nexa.desktop.stage.BegunDrags;
import nexa.desktop.stage.Dropped;
import nexa.desktop.stage.ResultWindow;
import nexa.desktop.stage.SurroundChoice;
import nexa.desktop.stage.WindowKeys;
import nexa.desktop.stage.WindowPlace;
import nexa.imaging.preview.ScreenColours;
import nexa.imaging.system.PatientThreads;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.words.Words;

/** Nexa's window: the first-start screen, or an open shoot. Puts all parts together and owns their threads. */
public final class MainWindow implements AutoCloseable, HeaderView.Actions {
    /** What the window shows. */
    private sealed interface State {
        /** The first-start screen, perhaps with a shoot on its way. */
        record Start() implements State {}

        record Open(OpenShoot shoot, ShootScreen screen) implements State {}
    }

    private final Stage stage;
    private final StackPane root = new StackPane();
    private final ThreadPoolExecutor work = (ThreadPoolExecutor) Executors.newCachedThreadPool(
            Thread.ofPlatform().name("nexa-work-", 0).daemon().factory());
    private final Executor fx = Platform::runLater;
    private final Program program;
    private final Doors doors;
    private final PatientThreads patient = new PatientThreads("nexa-patient");
    private final Leaving leaving = new Leaving(root, work, fx);
    private final StartScreen start;
    private volatile State state = new State.Start();
    private final SurroundChoice surround;
    private final ResultWindow result;
    private final Subscription keysHeld;

    /** To be made on the interface's thread. */
    public MainWindow(Stage stage, Locations locations, double width, double height) {
        this.stage = stage;
        this.result = new ResultWindow(stage, this::takeKeys);
        this.program = Program.of(locations, work, patient, fx);
        this.doors = new Doors(locations, fx);
        this.start = new StartScreen(this, program.shelf(), work, fx);
        work.execute(() -> Warming.run(locations.cache()));
        PictureSettings pictures = program.settings().pictures();
        pictures.cacheProperty().subscribe((before, now) -> program.previews().limit(pictures.cacheBytes()));
        pictures.screenProperty().subscribe((before, now) -> showInColours(pictures.screenColours()));
        pictures.conversionProperty().subscribe((before, now) -> showInColours(pictures.screenColours()));
        program.settings().languageProperty().subscribe((before, now) -> speak());
        program.settings().printUnitProperty().subscribe((before, now) -> speak());
        root.getStyleClass().add("nexa");
        program.settings()
                .penProperty()
                .subscribe(on -> root.pseudoClassStateChanged(PseudoClass.getPseudoClass("pen"), on));
        this.surround = new SurroundChoice(root, program.preferences());
        root.getChildren().add(start.view());
        stage.setTitle(Words.of("app.name"));
        stage.setScene(scene(width, height));
        stage.setMinWidth(1010);
        stage.setMinHeight(600);
        this.keysHeld =
                stage.focusedProperty().subscribe(focused -> program.keys().releaseAll());
        stage.setOnCloseRequest(this::asked);
        stage.setOnHidden(event -> close());
        stage.setFullScreenExitHint("");
        stage.setOnShown(event -> fx.execute(this::warmFurther)); // when its first picture is there
        WindowPlace.keep(stage, program.preferences(), () -> !work.isShutdown());
    }

    private void warmFurther() {
        if (!work.isShutdown()) {
            Warming.further(work, fx);
        }
    }

    private Scene scene(double width, double height) {
        Scene scene = new Scene(root, width, height);
        scene.getStylesheets().add(Theme.stylesheet());
        surround.fill(scene);
        BegunDrags.guard(scene);
        takeKeys(scene);
        program.rest().watch(scene);
        Dropped.onto(scene, this::openFrom);
        return scene;
    }

    private void takeKeys(Scene scene) {
        WindowKeys.of(scene, program.keys(), event -> screen().filter(shown -> shown.pressed(event))
                .isPresent());
    }

    public void show() {
        stage.show();
    }

    public Scene scene() {
        return stage.getScene();
    }

    /** The open shoot; empty on the first-start screen. Any thread may ask. */
    public Optional<Session> session() {
        return open().map(open -> open.shoot().session());
    }

    /** The models of the open shoot. */
    public Optional<ShootModels> models() {
        return open().map(open -> open.shoot().models());
    }

    /** The pictures of the open shoot. */
    public Optional<PhotoLoader> loader() {
        return open().map(open -> open.shoot().loader());
    }

    private Optional<State.Open> open() {
        return state instanceof State.Open open ? Optional.of(open) : Optional.empty();
    }

    private Optional<ShootScreen> screen() {
        return open().map(State.Open::screen);
    }

    /** Whether nothing is loaded or looked for in the background. */
    public boolean isIdle() {
        return open().stream().allMatch(open -> open.shoot().loader().isIdle())
                && work.getActiveCount() == 0
                && patient.isIdle();
    }

    // ---- opening ----

    /**
     * Opens a shoot in place of what is shown; completes on the interface's thread, also when it failed, was given up, or
     * another one was asked for meanwhile, which then is shown instead.
     */
    public CompletableFuture<Void> open(Path folder) {
        long mine = start.ask();
        CompletableFuture<Boolean> left = left();
        return left.isDone()
                ? enter(mine, folder, left.join())
                : left.thenComposeAsync(may -> enter(mine, folder, may), fx);
    }

    /** Opens a folder, or the one in which a photo lies. */
    private void openFrom(Path dropped) {
        CompletableFuture.supplyAsync(() -> Files.isDirectory(dropped) ? dropped : dropped.getParent(), work)
                .thenAcceptAsync(this::open, fx);
    }

    /** Whether what is shown may be closed. */
    private CompletableFuture<Boolean> left() {
        return open().map(open -> leaving.leave(open.shoot().shoot()))
                .orElseGet(() -> CompletableFuture.completedFuture(true));
    }

    private CompletableFuture<Void> enter(long mine, Path folder, boolean may) {
        if (!may || !start.isWanted(mine)) {
            return CompletableFuture.completedFuture(null);
        }
        showFirstStart();
        start.opening(folder);
        return doors.open(folder, new Entering(mine))
                .thenRunAsync(() -> {}, fx)
                .exceptionallyAsync(failed -> start.isWanted(mine) ? start.failed(folder, failed) : null, fx);
    }

    /** Shows a shoot unless another one was asked for meanwhile. */
    private final class Entering implements Doors.Entrance {
        private final long number;

        Entering(long number) {
            this.number = number;
        }

        @Override
        public boolean isWanted() {
            return start.isWanted(number);
        }

        @Override
        public void found(int photos) {
            start.found(number, photos);
        }

        @Override
        public boolean enter(Shoot shoot) {
            if (isWanted()) {
                show(new OpenShoot(shoot, program));
                stage.setTitle(Words.name(shoot.name()) + " – " + Words.of("app.name"));
            }
            return isWanted();
        }
    }

    private void show(OpenShoot shoot) {
        ShootScreen shown = new ShootScreen(shoot.models(), shoot.loader(), program, this);
        state = new State.Open(shoot, shown);
        root.getChildren().setAll(shown);
        shown.requestFocus();
    }

    /** All that shows photos is made anew. */
    private void showInColours(ScreenColours colours) {
        open().ifPresent(open -> open.shoot().show(colours));
        showAnew();
    }

    private void showAnew() {
        open().ifPresent(open -> {
            open.screen().dispose();
            show(open.shoot());
        });
    }

    /** All that has words is made anew. */
    private void speak() {
        program.speak();
        FirstStartView before = start.view();
        FirstStartView now = start.anew();
        root.getChildren().replaceAll(shown -> shown == before ? now : shown);
        showAnew();
        screen().ifPresent(ShootScreen::toggleSettings);
    }

    @Override
    public void openAgain() {
        session().ifPresent(session -> open(session.shoot().folder()));
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

    /** Puts a brief's formats on the shelf, from where any shoot can have them. */
    public CompletableFuture<Void> takeBrief(Path file) {
        return start.takeBrief(file);
    }

    /** Opens a fresh copy of the demo shoot. */
    public CompletableFuture<Void> openDemo() {
        return start.openDemo(Integer.MAX_VALUE);
    }

    /** Opens a fresh copy of the demo shoot with only its first photos. */
    CompletableFuture<Void> openDemo(int photos) {
        return start.openDemo(photos);
    }

    // ---- closing ----

    private void showFirstStart() {
        closeShown();
        root.getChildren().setAll(start.view());
        stage.setTitle(Words.of("app.name"));
    }

    private void closeShown() {
        open().ifPresent(open -> {
            state = new State.Start();
            result.close();
            root.getChildren().remove(open.screen());
            open.screen().dispose();
            open.shoot().close();
            Shoot shoot = open.shoot().shoot();
            doors.close(shoot).exceptionallyAsync(failed -> start.unstored(shoot, failed), fx);
        });
    }

    private void asked(WindowEvent event) {
        CompletableFuture<Boolean> left = left();
        if (left.isDone() && left.join()) {
            return;
        }
        event.consume();
        left.thenAcceptAsync(
                may -> {
                    if (may) {
                        stage.hide();
                    }
                },
                fx);
    }

    /** Completes when all that is open is stored and let go. */
    public CompletableFuture<Void> closed() {
        return doors.still();
    }

    @Override
    public void close() {
        closeShown();
        keysHeld.unsubscribe(); // a stage may outlive what it showed, and all its pictures with it
        program.preferences().close();
        work.shutdown();
    }

    // ---- what lies around the photos, and keys ----

    @Override
    public void nextSurround() {
        surround.next();
    }

    @Override
    public void toggleFullScreen() {
        stage.setFullScreen(!stage.isFullScreen());
    }

    @Override
    public void toggleResultWindow() {
        open().ifPresent(open ->
                result.toggle(open.shoot().session(), open.shoot().loader(), fx));
    }

    @Override
    public void showKeys() {
        screen().ifPresent(shown -> shown.sheets().toggleKeys());
    }
}
