package nexa.bench;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javax.imageio.ImageIO;
import nexa.bench.base.Fx;
import nexa.bench.base.LargePhotos;
import nexa.bench.base.Peer;
import nexa.bench.base.Unopened;
import nexa.desktop.MainWindow;
import nexa.desktop.bench.BenchView;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.wall.WallView;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.Locations;
import nexa.shoot.Opening;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.preview.PreviewCache;

/** How soon photos are seen: the first screen, previews against other programs, opening again, the next photo. */
final class PictureTimes {
    private static final int USUAL = 2000;
    private static final int RATED = 120;
    private static final int ROUNDS = 3;
    private static final int STEPS = 40;

    private final Path folder;
    private final Locations locations;

    private PictureTimes(Path folder, Path own) {
        this.folder = folder;
        this.locations = new Locations(own.resolve("data"), own.resolve("cache"));
    }

    /** @param count of photos; 0 = 2,000 */
    static void run(int count) throws IOException {
        Fx.prepare();
        Path folder = LargePhotos.folder(count == 0 ? USUAL : count);
        Path own = Files.createTempDirectory("nexa-pictures");
        Unopened.again(folder);
        PictureTimes times = new PictureTimes(folder, own);
        times.rates();
        Platform.startup(() -> {});
        times.opens("first opening, program just started", new Locations(own.resolve("d1"), own.resolve("c1")));
        Unopened.again(folder);
        times.opens("first opening, after another", times.locations);
        times.onBench(List.of(PictureTimes::next, PictureTimes::cold));
        times.opens("opened again", times.locations);
        Platform.exit();
        Unopened.again(folder);
    }

    /**
     * The same in the window, on photos of any kinds.
     *
     * @param folder that was never opened before
     * @param ofRaw which picture of raw files is shown
     */
    static void run(Path folder, RawPicture ofRaw) throws IOException {
        if (!Unopened.is(folder)) {
            return;
        }
        Fx.prepare();
        Path own = Files.createTempDirectory("nexa-pictures");
        PictureTimes times = new PictureTimes(folder.toRealPath(), own);
        try (Shoot shoot =
                Shoot.open(folder, new Locations(own.resolve("d0"), own.resolve("c0")), Opening.WHOLE.withFirst(0))) {
            shoot.remember(RawPicture.SETTING, ofRaw.setting());
        }
        Platform.startup(() -> {});
        times.opens("first opening, program just started", times.locations);
        times.onBench(List.of(PictureTimes::cold, PictureTimes::next)); // at first hardly any preview is there
        times.opens("opened again", times.locations);
        Platform.exit();
        Unopened.again(folder);
    }

    private static void say(String what, double value, String unit) {
        System.out.printf(Locale.ROOT, "%-62s %9.1f %s%n", what, value, unit);
    }

    // ---- previews a second, against other programs ----

    private void rates() throws IOException {
        List<Path> files = files().subList(0, Math.min(RATED, files().size()));
        Path list = Files.createTempFile("nexa-files", ".txt");
        Files.write(list, files.stream().map(Path::toString).toList());
        Path out = Files.createTempDirectory("nexa-thumbnails");
        int cores = Runtime.getRuntime().availableProcessors();
        List<Double> ours = new ArrayList<>();
        List<Double> library = new ArrayList<>();
        List<Double> vips = new ArrayList<>();
        previews(files.subList(0, 8)); // warms up
        for (int round = 0; round < ROUNDS; round++) {
            ours.add(files.size() / previews(files));
            if (Peer.has("djpeg")) {
                library.add(files.size()
                        / Peer.shell("xargs -P" + cores + " -n1 djpeg -scale 1/8 -outfile /dev/null < " + list)
                                .seconds());
            }
            if (Peer.has("vipsthumbnail")) {
                vips.add(files.size()
                        / Peer.shell("xargs vipsthumbnail --size 512 -o " + out + "/%s.jpg[Q=90] < " + list)
                                .seconds());
            }
        }
        say("previews, stored, median of " + ROUNDS, median(ours), "a second");
        compare("the JPEG library's tool at 1/8 on all cores", ours, library);
        compare("libvips' thumbnailer", ours, vips);
    }

    private static void compare(String peer, List<Double> ours, List<Double> theirs) {
        if (theirs.isEmpty()) {
            System.out.println(peer + " is not installed");
            return;
        }
        say(peer + ", median of " + ROUNDS, median(theirs), "a second");
        say("  ours over theirs", median(ours) / median(theirs), "");
    }

    private static double median(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.get(sorted.size() / 2);
    }

    /** Seconds for previews of files on all cores, into a fresh cache. */
    private static double previews(List<Path> files) throws IOException {
        PreviewCache cache = new PreviewCache(
                Files.createTempDirectory("nexa-cache"), Long.MAX_VALUE, new PreviewMaker(PhotoCodecs.STANDARD));
        long begun = System.nanoTime();
        try (ExecutorService pool =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors())) {
            List<Callable<Path>> tasks = new ArrayList<>();
            for (int i = 0; i < files.size(); i++) {
                Path file = files.get(i);
                String name = "%032d".formatted(i);
                tasks.add(() -> {
                    Probe.Readable probe = (Probe.Readable) PhotoCodecs.STANDARD.probe(file);
                    cache.prepare(file, name, probe.facts(), PhotoLoader.SMALL);
                    return file;
                });
            }
            for (Future<Path> done : pool.invokeAll(tasks)) {
                done.get();
            }
        } catch (InterruptedException | ExecutionException failed) {
            throw new IOException(failed);
        }
        return (System.nanoTime() - begun) / 1e9;
    }

    private List<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.toString().endsWith(".jpg"))
                    .sorted()
                    .toList();
        }
    }

    // ---- in the window ----

    private void opens(String what, Locations own) throws IOException {
        MainWindow window = Fx.window(own);
        Supplier<Optional<WallView>> wall = Fx.part(Fx.on(window::scene), ".wall", WallView.class);
        pause(3000); // while somebody looks for the folder
        long begun = System.nanoTime();
        Fx.on(() -> window.open(folder));
        say(what + ": the shoot is open", Fx.until(begun, () -> window.session().isPresent()), "ms");
        say(what + ": every photo in sight shows", Fx.until(begun, () -> shows(wall, true)), "ms");
        picture(window);
        say(what + ": every photo in sight is sharp", Fx.until(begun, () -> shows(wall, false)), "ms");
        Fx.run(window::close);
    }

    /** The window as it is, into the file that the property {@code nexa.bench.picture} names. */
    private static void picture(MainWindow window) throws IOException {
        String file = System.getProperty("nexa.bench.picture");
        if (file != null && !Files.exists(Path.of(file))) {
            WritableImage shown = Fx.on(() -> window.scene().snapshot(null));
            int width = (int) shown.getWidth();
            int height = (int) shown.getHeight();
            int[] argb = new int[width * height];
            shown.getPixelReader().getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), argb, 0, width);
            BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
            image.setRGB(0, 0, width, height, argb, 0, width);
            ImageIO.write(image, "png", Path.of(file).toFile());
        }
    }

    private static boolean shows(Supplier<Optional<WallView>> found, boolean coarsely) {
        return found.get()
                .filter(wall -> wall.inSight() > 0)
                .filter(wall -> (coarsely ? wall.blank() : wall.coarse()) == 0)
                .isPresent();
    }

    /** What a photographer does on the Bench, one after the other, while previews of the others are made. */
    private void onBench(List<BiConsumer<BenchView, Session>> doing) {
        MainWindow window = Fx.window(locations);
        Fx.on(() -> window.open(folder));
        Fx.until(0, () -> window.session().isPresent());
        Session session = Fx.on(() -> window.session().orElseThrow());
        Fx.run(() -> {
            session.briefEdits().add("4:5", nexa.core.shape.Shape.parse("4:5"));
            session.viewProperty().set(MainView.BENCH);
        });
        Supplier<Optional<BenchView>> found = Fx.part(Fx.on(window::scene), ".bench", BenchView.class);
        Fx.until(0, () -> found.get().filter(BenchView::isSharp).isPresent());
        BenchView bench = Fx.on(found::get).orElseThrow();
        doing.forEach(each -> each.accept(bench, session));
        Fx.run(() -> session.viewProperty().set(MainView.WALL)); // what the next opening shows
        Fx.run(window::close);
    }

    private static void next(BenchView bench, Session session) {
        double[] prefetched = new double[STEPS];
        double[] smoothed = new double[STEPS];
        for (int i = 0; i < STEPS; i++) {
            Fx.until(0, bench::isSharp);
            pause(1500); // as long as a quick eye rests on a photo
            long begun = System.nanoTime();
            Fx.run(() -> pressNext(bench, session));
            prefetched[i] = Fx.until(begun, bench::isShown);
            smoothed[i] = Fx.until(begun, bench::isSharp);
        }
        percentiles("next photo, looked at for 1.5 s, drawn", prefetched);
        percentiles("the same, smoothed", smoothed);
    }

    /** By its key, so that the program knows that somebody is there. */
    private static void pressNext(BenchView bench, Session session) {
        Optional<Photo> before = session.photo();
        Event.fireEvent(bench, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.N, false, false, false, false));
        if (before.equals(session.photo())) {
            throw new IllegalStateException("The key does not go on");
        }
    }

    private static void cold(BenchView bench, Session session) {
        double[] sharp = new double[STEPS];
        double[] cold = new double[STEPS];
        Random random = new Random(5);
        List<Photo> photos = session.list().photos();
        for (int i = 0; i < STEPS; i++) {
            Photo anywhere = photos.get(random.nextInt(photos.size()));
            long begun = System.nanoTime();
            Fx.run(() -> session.choose(anywhere));
            sharp[i] = Fx.until(begun, bench::isDetailed);
            cold[i] = Fx.until(begun, bench::isShown);
        }
        percentiles("a photo anywhere, cold, something sharp of it drawn", sharp);
        percentiles("a photo anywhere, cold, drawn", cold);
    }

    private static void percentiles(String what, double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        say(what + ", p50", sorted[sorted.length / 2], "ms");
        say(what + ", p95", sorted[(int) Math.ceil(sorted.length * 0.95) - 1], "ms");
    }

    private static void pause(long milliseconds) {
        try {
            Thread.sleep(milliseconds);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
