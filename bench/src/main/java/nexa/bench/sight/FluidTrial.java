package nexa.bench.sight;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import nexa.bench.base.Fx;
import nexa.bench.base.Unopened;
import nexa.desktop.MainWindow;
import nexa.shoot.Locations;

/**
 * How fluid the window is while a shoot is prepared on all cores: its list of what was found is scrolled from end to end
 * all the while. Pulses come as they do for a user, sixty a second, so that a frame takes 17 ms or a multiple of it.
 */
public final class FluidTrial extends AnimationTimer {
    /** Pulses from the top to the bottom. */
    private static final int DOWN = 240;

    private final Scene scene;
    private final List<Double> frames = new ArrayList<>();
    private final CountDownLatch done = new CountDownLatch(1);
    private long last;

    private FluidTrial(Scene scene) {
        this.scene = scene;
    }

    /** @param folder of photographs that was never opened; nothing is left in it */
    public static void run(Path folder) throws IOException {
        if (!Unopened.is(folder)) {
            return;
        }
        Fx.prepare();
        System.setProperty("javafx.animation.fullspeed", "false");
        Path own = Files.createTempDirectory("nexa-fluid");
        Platform.startup(() -> {});
        MainWindow window = Fx.window(new Locations(own.resolve("data"), own.resolve("cache")));
        Fx.on(() -> window.open(folder)).join();
        Scene scene = Fx.on(window::scene);
        Fx.run(() -> ((Button) scene.lookup("#prepare")).fire());
        long begun = System.nanoTime();
        FluidTrial trial = new FluidTrial(scene);
        Fx.run(trial::start);
        trial.print(begun);
        Fx.run(window::close);
        Platform.exit();
        Unopened.again(folder);
    }

    @Override
    public void handle(long now) {
        long time = System.nanoTime();
        if (last != 0) {
            frames.add((time - last) / 1e6);
        }
        last = time;
        int way = frames.size() % (2 * DOWN);
        ((ScrollPane) scene.lookup(".review-scroll")).setVvalue(1 - Math.abs(way - DOWN) / (double) DOWN);
        if (!((ProgressBar) scene.lookup("#prepare-view .progress-bar")).isVisible()) {
            stop();
            done.countDown();
        }
    }

    private void print(long begun) {
        try {
            done.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        double seconds = (System.nanoTime() - begun) / 1e9;
        List<Double> sorted = frames.stream().sorted(Comparator.naturalOrder()).toList();
        System.out.printf(
                Locale.ROOT,
                "%.1f s, %d frames: p50 %.1f, p95 %.1f, p99 %.1f, slowest %.1f ms%n",
                seconds,
                sorted.size(),
                sorted.get(sorted.size() / 2),
                sorted.get(sorted.size() * 95 / 100),
                sorted.get(sorted.size() * 99 / 100),
                sorted.getLast());
    }
}
