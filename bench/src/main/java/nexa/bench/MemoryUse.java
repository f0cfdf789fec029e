package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javafx.application.Platform;
import javafx.scene.control.ScrollBar;
import nexa.bench.base.Fx;
import nexa.bench.base.LargePhotos;
import nexa.bench.base.Peer;
import nexa.bench.base.SmallPhotos;
import nexa.bench.base.Unopened;
import nexa.desktop.MainWindow;
import nexa.desktop.session.Session;
import nexa.desktop.wall.WallView;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;

/** What the window holds after its Wall was scrolled through from end to end. */
final class MemoryUse {
    private MemoryUse() {}

    /** @param count of photos: up to 2,000 of 24 megapixels, beyond that small ones */
    static void run(int count) throws IOException {
        if (count <= 2000) {
            run(LargePhotos.folder(count), count);
        } else {
            Path folder = Files.createTempDirectory("nexa-memory-shoot");
            SmallPhotos.write(folder, count);
            run(folder, count);
        }
    }

    /** @param folder of any photos, never opened before */
    static void run(Path folder) throws IOException {
        if (!Unopened.is(folder)) {
            return;
        }
        Path own = Files.createTempDirectory("nexa-memory");
        int count;
        try (Shoot shoot = Shoot.open(folder, new Locations(own.resolve("data"), own.resolve("cache")))) {
            count = shoot.photos().size();
        }
        Unopened.again(folder);
        run(folder, count);
        Unopened.again(folder);
    }

    private static void run(Path folder, int least) throws IOException {
        Fx.prepare();
        Path own = Files.createTempDirectory("nexa-memory");
        Platform.startup(() -> {});
        MainWindow window = Fx.window(new Locations(own.resolve("data"), own.resolve("cache")));
        Fx.on(() -> window.open(folder));
        Fx.until(0, () -> window.session().isPresent());
        Session session = Fx.on(() -> window.session().orElseThrow());
        while (Fx.on(() -> session.list().photos().size() < least)) {
            Thread.onSpinWait();
        }
        WallView wall = Fx.on(() -> (WallView) window.scene().lookup(".wall"));
        ScrollBar bar = Fx.on(() -> (ScrollBar) wall.lookup(".scroll-bar"));
        double step = Fx.on(() -> Math.max(1, wall.getHeight() * 0.8));
        long pages = 0;
        while (Fx.on(() -> bar.getValue() < bar.getMax())) {
            Fx.run(() -> bar.setValue(Math.min(bar.getMax(), bar.getValue() + step)));
            pages++;
            long begun = System.nanoTime();
            Fx.until(begun, () -> wall.coarse() == 0 || System.nanoTime() - begun > 30_000_000_000L);
        }
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        System.out.printf(
                Locale.ROOT,
                "%d photos, %d screens: heap in use %d MB, process at its largest %d MB%n",
                Fx.on(() -> session.list().photos().size()),
                pages,
                (runtime.totalMemory() - runtime.freeMemory()) >> 20,
                Peer.peakOf(ProcessHandle.current().pid()) / 1024);
        Fx.run(window::close);
        Platform.exit();
    }
}
