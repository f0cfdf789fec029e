package nexa.desktop.tour;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javax.imageio.ImageIO;
import nexa.desktop.MainWindow;
import nexa.desktop.session.Session;
import nexa.shoot.mark.Onlooker;
import org.jspecify.annotations.Nullable;

/** Somebody who presses the window's keys, waits until everything shows, and takes pictures of it. */
final class TourGuide {
    private static final long LONGEST_WAIT_SECONDS = 120;

    private final Path out;
    private final MainWindow window;
    private int pictures;

    TourGuide(Path out, MainWindow window) {
        this.out = out;
        this.window = window;
    }

    /** Waits until nothing is looked for any more. */
    void settle() {
        until(window::isIdle);
    }

    /** Waits until all photos were looked at; until then frames may still move. */
    void untilSeen() {
        until(() -> Onlooker.unseen(session().shoot()).isEmpty());
    }

    static void until(Callable<Boolean> isSo) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONGEST_WAIT_SECONDS);
        while (!ask(isSo) && System.nanoTime() < end) {
            pause();
        }
    }

    void fireShortcut(KeyCode key) {
        KeyEvent.fireEvent(
                window.scene().getRoot(), new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, true, false, false));
    }

    Session session() {
        return window.session().orElseThrow();
    }

    void press(String name, KeyCode key) throws IOException {
        press(name, key, false);
    }

    void press(String name, KeyCode key, boolean shift) throws IOException {
        onFx(() -> fire(key, shift));
        picture(name);
    }

    /** As if somebody pressed the key. */
    void fire(KeyCode key, boolean shift) {
        KeyEvent.fireEvent(
                window.scene().getRoot(), new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, shift, false, false, false));
    }

    void show(String name, Consumer<Session> step) throws IOException {
        onFx(() -> step.accept(session()));
        picture(name);
    }

    /** Waits until every requested preview is there and drawn, then takes the picture. */
    void picture(String name) throws IOException {
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
    void snapAfter(String name, Callable<Boolean> isSo) throws IOException {
        until(isSo);
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

    static void onFx(Runnable action) {
        ask(() -> {
            action.run();
            return null;
        });
    }

    static <T extends @Nullable Object> T ask(Callable<T> action) {
        FutureTask<T> task = new FutureTask<>(action);
        Platform.runLater(task);
        try {
            return task.get();
        } catch (InterruptedException | ExecutionException failed) {
            throw new IllegalStateException(failed);
        }
    }

    /** Makes a photo of this name the current one. */
    static void choose(Session session, String file) {
        session.shoot().photos().stream()
                .filter(photo -> photo.file().equals(file))
                .findFirst()
                .ifPresent(session::choose);
    }
}
