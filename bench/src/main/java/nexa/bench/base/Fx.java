package nexa.bench.base;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.stage.Stage;
import nexa.desktop.MainWindow;
import nexa.shoot.Locations;
import org.jspecify.annotations.Nullable;

/** The window's thread, from outside. */
public final class Fx {
    private static final long LONGEST = 60_000_000_000L;

    /** Milliseconds until something is looked at again, by which measured times may be too long. */
    private static final long BETWEEN = 2;

    private Fx() {}

    /** Before anything of JavaFX is touched: pulses run as fast as they can, and without a display there is no window. */
    public static void prepare() {
        System.setProperty("javafx.animation.fullspeed", "true");
        System.setProperty("prism.order", "sw");
        if (System.getenv("DISPLAY") == null) {
            System.setProperty("glass.platform", "Headless");
        }
    }

    /** The usual window, shown and empty. */
    public static MainWindow window(Locations locations) {
        return on(() -> {
            MainWindow made = new MainWindow(new Stage(), locations, 1280, 800);
            made.show();
            return made;
        });
    }

    /** The same of a program that just started, with a folder open in it. */
    public static MainWindow opened(Path folder, Locations locations) {
        Platform.startup(() -> {});
        MainWindow window = window(locations);
        on(() -> window.open(folder)).join();
        return window;
    }

    /** Does something on the window's thread and waits for it. */
    public static <T> T on(Callable<T> action) {
        FutureTask<T> task = new FutureTask<>(action);
        Platform.runLater(task);
        try {
            return task.get();
        } catch (InterruptedException | ExecutionException failed) {
            throw new IllegalStateException(failed);
        }
    }

    /** The same for what gives nothing back. */
    public static void run(Runnable action) {
        on(() -> {
            action.run();
            return true;
        });
    }

    /** Lays a window's content out at once. */
    public static void layout(Scene scene) {
        run(() -> {
            scene.getRoot().applyCss();
            scene.getRoot().layout();
        });
    }

    /** A part of a window. To be asked for on its thread; looking through all of the window each time would slow it down. */
    public static <T extends Node> Supplier<Optional<T>> part(Scene scene, String selector, Class<T> type) {
        AtomicReference<@Nullable Node> known = new AtomicReference<>();
        return () -> Optional.ofNullable(known.updateAndGet(
                        node -> node != null && node.getScene() == scene ? node : scene.lookup(selector)))
                .map(type::cast);
    }

    /**
     * Waits until a condition holds on the window's thread; milliseconds from a moment until then.
     *
     * @throws IllegalStateException if it does not hold within a minute
     */
    public static double until(long begun, BooleanSupplier condition) {
        long end = System.nanoTime() + LONGEST;
        while (!on(condition::getAsBoolean)) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("What is waited for does not come");
            }
            try {
                Thread.sleep(BETWEEN);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }
        return (System.nanoTime() - begun) / 1e6;
    }
}
