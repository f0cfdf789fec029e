package nexa.desktop;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import nexa.core.brief.Format;
import nexa.core.carry.By;
import nexa.core.carry.Change;
import nexa.core.carry.Part;
import nexa.core.files.FileSettings;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.print.SizeTarget;
import nexa.desktop.session.Levelling;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.shoot.DemoShoot;
import nexa.shoot.Locations;
import nexa.shoot.photo.Photo;
import org.jspecify.annotations.Nullable;

/** Shows the real window view by view and writes a picture of each. */
final class Tour {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final long LONGEST_WAIT_SECONDS = 120;

    private final Path out;
    private final MainWindow window;
    private int pictures;

    private Tour(Path out, MainWindow window) {
        this.out = out;
        this.window = window;
    }

    static void run(Path out, @Nullable Path shoot) throws IOException {
        Files.createDirectories(out);
        Path folder = shoot == null ? DemoShoot.freshCopy() : shoot;
        Platform.startup(Theme::install);
        Tour tour = new Tour(out, ask(() -> new MainWindow(new Stage(), Locations.ofThisUser(), WIDTH, HEIGHT)));
        try {
            onFx(tour.window::show);
            tour.picture("first-start");
            tour.openAndWait(folder);
            if (shoot == null) {
                tour.walkDemo();
            } else {
                tour.walk();
            }
        } finally {
            onFx(tour.window::close);
            Platform.exit();
        }
    }

    private void openAndWait(Path folder) throws IOException {
        ask(() -> window.open(folder)).join();
        if (ask(() -> window.session().isEmpty())) {
            throw new IOException(folder + " can't be opened as a shoot");
        }
    }

    /** A shoot of the user's: nothing is changed. */
    private void walk() throws IOException {
        show("wall", s -> s.viewProperty().set(MainView.WALL));
        show("bench", s -> s.viewProperty().set(MainView.BENCH));
        show("handover", s -> s.viewProperty().set(MainView.HANDOVER));
        press("keys", KeyCode.F1);
    }

    /** The demo's copy is framed a little first, so that there is something to see. */
    private void walkDemo() throws IOException {
        show("wall-derived", s -> s.viewProperty().set(MainView.WALL));
        show("bench", s -> {
            s.viewProperty().set(MainView.BENCH);
            choose(s, "kiln_0201.jpg");
            s.overlayProperty().set(OverlayChoice.of(Overlay.THIRDS));
            Frame frame = s.frame().orElseThrow();
            s.preview(s.placed(frame.scaled(0.86).movedBy(new Point(-0.055, 0.01))));
            s.commit("edit.frame");
        });
        show("bench-vertical-spiral", s -> {
            choose(s, "kiln_0206.jpg");
            s.tiltBy(-2.1);
            s.overlayProperty().set(OverlayChoice.of(Overlay.GOLDEN_SPIRAL));
        });
        panes();
        walkLevelling();
        for (int i = 0; i < 6; i++) {
            onFx(() -> session().checkAndNext());
        }
        show("wall", s -> {
            s.viewProperty().set(MainView.WALL);
            choose(s, "kiln_0201.jpg");
        });
        walkTheSet();
        press("keys", KeyCode.F1);
        onFx(window::showKeys);
        onFx(() -> fireShortcut(KeyCode.COMMA));
        picture("settings");
        onFx(() -> fire(KeyCode.ESCAPE, false));
        handOver();
    }

    private void handOver() throws IOException {
        show("handover", s -> {
            Format print = s.briefProperty().get().formats().getFirst();
            s.briefEdits()
                    .change(
                            "edit.brief.edit",
                            s.briefProperty()
                                    .get()
                                    .changed(print.sized(SizeTarget.parse("8 x 10 in at 300 ppi"))
                                            .filed(FileSettings.parse("jpeg 95; sharpened for gloss"))));
            s.viewProperty().set(MainView.HANDOVER);
        });
        onFx(() -> ((Button) window.scene().lookup("#files-1")).fire());
        picture("handover-files");
        onFx(() -> fire(KeyCode.ESCAPE, false));
        onFx(() -> ((Button) window.scene().lookup("#handover-paper")).fire());
        picture("handover-paper");
        onFx(() -> ((Button) window.scene().lookup("#handover-exchange")).fire());
        picture("handover-exchange");
        onFx(() -> fire(KeyCode.ESCAPE, false));
        onFx(() -> ((Button) window.scene().lookup("#handover-start")).fire());
        snapAfter("handover-run", () -> bar() > 0.3);
        picture("handover-result");
    }

    private double bar() {
        return ((ProgressBar) window.scene().lookup("#handover-progress")).getProgress();
    }

    private void panes() throws IOException {
        press("bench-shape", KeyCode.F);
        onFx(() -> {
            session().frameEdits().keep("wide");
            session().frameEdits().grow(-200);
            session().frameEdits().keep("close");
        });
        press("bench-alternates", KeyCode.Y);
        onFx(() -> fire(KeyCode.ESCAPE, false)); // the name's field has the keyboard
        press("bench-numbers", KeyCode.D, true);
        onFx(() -> fire(KeyCode.ESCAPE, false));
        press("bench-steps", KeyCode.U, true);
        onFx(() -> {
            session().frameEdits().use(session().frameEdits().alternates().getFirst());
            session().overlayProperty().set(OverlayChoice.of(Overlay.NESTED));
        });
        onFx(() -> window.scene().getRoot().lookup("#open-OVERLAY").fireEvent(new ActionEvent()));
        picture("bench-overlays");
        onFx(() -> fire(KeyCode.ESCAPE, false));
    }

    private void walkLevelling() throws IOException {
        show("bench-level-line", s -> {
            s.overlayProperty().set(OverlayChoice.of(Overlay.THIRDS));
            choose(s, "kiln_0222.jpg");
            levelling().add(new LevelLine(new Point(210, 668), new Point(1500, 708)));
            levelling().add(new LevelLine(new Point(640, 160), new Point(627, 560)));
        });
        onFx(() -> choose(session(), "kiln_0208.jpg"));
        press("bench-automatic-level", KeyCode.L, true);
        onFx(() -> {
            session().viewProperty().set(MainView.WALL);
            session()
                    .selectionProperty()
                    .set(Set.copyOf(session().shoot().photos().subList(3, 20)));
        });
        press("level-review", KeyCode.L, true);
        onFx(() -> {
            fire(KeyCode.ESCAPE, false);
            session().selectionProperty().set(Set.of());
            session().viewProperty().set(MainView.BENCH);
            choose(session(), "kiln_0206.jpg");
        });
    }

    /** Marks are proposed, carried by, and measured; then some photos are changed together. */
    private void walkTheSet() throws IOException {
        press("wall-filter", KeyCode.W, true);
        onFx(() -> {
            fire(KeyCode.ESCAPE, false);
            session().selectionProperty().set(pots());
            window.models().orElseThrow().marking().suggest();
        });
        settle();
        onFx(() -> fireShortcut(KeyCode.K));
        picture("wall-marks");
        onFx(() -> {
            fire(KeyCode.ESCAPE, false);
            window.models().orElseThrow().marking().accept();
            session().settings().carryByProperty().set(By.MARKS);
            session().settings().carryPartsProperty().set(Set.of(Part.SHAPE, Part.PLACE));
            choose(session(), "kiln_0207.jpg");
            session().frameEdits().place("edit.frame", new Frame(-0.159, -0.011, 0.66, 0.528));
        });
        press("wall-carry", KeyCode.B, true);
        onFx(() -> {
            session().carry().apply();
            fire(KeyCode.ESCAPE, false);
            session().settings().carryByProperty().set(By.PLACE);
            session().settings().carryPartsProperty().set(Set.of(Part.SHAPE, Part.PLACE, Part.TILT));
            fireShortcut(KeyCode.L);
        });
        onFx(() -> {
            session().selectionProperty().set(Set.of(session().listed().get(3)));
            session().together().add(Change.moved(0.06, 0.02).and(Change.sized(1.12)));
            session().selectionProperty().set(Set.of());
        });
        picture("lineup");
        onFx(() -> {
            session().step(3);
            fireShortcut(KeyCode.J);
        });
        picture("lineup-flip");
        onFx(() -> {
            fire(KeyCode.ESCAPE, false);
            session().viewProperty().set(MainView.WALL);
            session().selectionProperty().set(pots());
        });
        picture("wall-together");
        onFx(() -> {
            session().selectionProperty().set(Set.of());
        });
        show("bench-rail", s -> {
            s.viewProperty().set(MainView.BENCH);
            choose(s, "kiln_0212.jpg");
        });
        onFx(() -> window.scene().getRoot().lookup("#shelf").fireEvent(new ActionEvent()));
        picture("shelf");
        onFx(() -> fire(KeyCode.ESCAPE, false));
    }

    /** Photos of one pot each, and three near-repeats. */
    private Set<Photo> pots() {
        return session().shoot().photos().stream()
                .filter(photo -> photo.file().matches("kiln_02(0[12679]|08|1[1236]|3[26]).jpg"))
                .collect(Collectors.toSet());
    }

    /** Waits until nothing is looked for any more. */
    private void settle() {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONGEST_WAIT_SECONDS);
        while (!ask(window::isIdle) && System.nanoTime() < end) {
            pause();
        }
    }

    private void fireShortcut(KeyCode key) {
        KeyEvent.fireEvent(
                window.scene().getRoot(), new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, true, false, false));
    }

    private Levelling levelling() {
        return window.models().orElseThrow().levelling();
    }

    private Session session() {
        return window.session().orElseThrow();
    }

    private void press(String name, KeyCode key) throws IOException {
        press(name, key, false);
    }

    private void press(String name, KeyCode key, boolean shift) throws IOException {
        onFx(() -> fire(key, shift));
        picture(name);
    }

    /** As if somebody pressed the key. */
    private void fire(KeyCode key, boolean shift) {
        KeyEvent.fireEvent(
                window.scene().getRoot(), new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, shift, false, false, false));
    }

    private static void choose(Session session, String file) {
        session.shoot().photos().stream()
                .filter(photo -> photo.file().equals(file))
                .findFirst()
                .ifPresent(session::choose);
    }

    private void show(String name, Consumer<Session> step) throws IOException {
        onFx(() -> step.accept(session()));
        picture(name);
    }

    /** Waits until every requested preview is there and drawn, then takes the picture. */
    private void picture(String name) throws IOException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONGEST_WAIT_SECONDS);
        int calm = 0;
        while (calm < 3 && System.nanoTime() < end) {
            calm = ask(() -> {
                        window.scene().getRoot().applyCss();
                        window.scene().getRoot().layout();
                        return window.isIdle();
                    })
                    ? calm + 1
                    : 0;
            pause();
        }
        write(name);
    }

    private void write(String name) throws IOException {
        BufferedImage picture = ask(() -> pixels(window.scene()));
        Path file = out.resolve("%02d-%s.png".formatted(++pictures, name));
        ImageIO.write(picture, "png", file.toFile());
    }

    /** Takes the picture as soon as something is so, whatever else goes on. */
    private void snapAfter(String name, Callable<Boolean> isSo) throws IOException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONGEST_WAIT_SECONDS);
        while (!ask(isSo) && System.nanoTime() < end) {
            pause();
        }
        write(name);
    }

    private static void pause() {
        try {
            Thread.sleep(40); // one or two pulses
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static BufferedImage pixels(Scene scene) {
        WritableImage image = scene.snapshot(null);
        int width = (int) image.getWidth();
        int height = (int) image.getHeight();
        int[] argb = new int[width * height];
        image.getPixelReader().getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), argb, 0, width);
        BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        picture.setRGB(0, 0, width, height, argb, 0, width);
        return picture;
    }

    private static void onFx(Runnable action) {
        ask(() -> {
            action.run();
            return null;
        });
    }

    private static <T extends @Nullable Object> T ask(Callable<T> action) {
        FutureTask<T> task = new FutureTask<>(action);
        Platform.runLater(task);
        try {
            return task.get();
        } catch (InterruptedException | ExecutionException failed) {
            throw new IllegalStateException(failed);
        }
    }
}
