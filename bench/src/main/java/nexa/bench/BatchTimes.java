package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Slider;
import nexa.bench.base.Figures;
import nexa.bench.base.Frames;
import nexa.bench.base.Fx;
import nexa.bench.base.Scrolling;
import nexa.bench.base.SmallPhotos;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.carry.By;
import nexa.core.carry.Carry;
import nexa.core.carry.Change;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.shape.Shape;
import nexa.desktop.MainWindow;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoFilter;

/**
 * Ten thousand photos (small files, each of its own): a carry to all of them, stored; a filter on the Wall; and two
 * hundred visible photos changed together, live, in the usual window.
 */
final class BatchTimes {
    private static final int PHOTOS = 10_000;
    private static final int TOGETHER = 200;
    private static final int CARRIES = 5;

    private final Locations locations;
    private final Path folder;

    private BatchTimes(Path base) throws IOException {
        locations = new Locations(base.resolve("data"), base.resolve("cache"));
        folder = Files.createDirectory(base.resolve("shoot"));
    }

    static void run() throws IOException {
        Fx.prepare();
        BatchTimes times = new BatchTimes(Files.createTempDirectory("nexa-batch"));
        SmallPhotos.write(times.folder, PHOTOS);
        times.open("first opening");
        times.open("opened again");
        times.carries();
        times.open("opened again, " + CARRIES + " carries to all behind it");
        times.window();
        Platform.exit();
    }

    private void open(String what) throws IOException {
        long begun = System.nanoTime();
        try (Shoot shoot = Shoot.open(folder, locations)) {
            Figures.say(PHOTOS + " photos, " + what, Figures.since(begun));
            if (shoot.brief().formats().isEmpty()) {
                shoot.apply(
                        Edit.brief("edit.brief", shoot.brief(), shoot.brief().with("Print", Shape.parse("4:5"))));
            }
        }
    }

    /** Each time planned, made and stored: closing waits for the store. */
    private void carries() throws IOException {
        double[] planned = new double[CARRIES];
        double[] stored = new double[CARRIES];
        for (int i = 0; i < CARRIES; i++) {
            Shoot shoot = Shoot.open(folder, locations);
            long begun = System.nanoTime();
            Edit edit = carry(shoot, i + 1);
            planned[i] = Figures.since(begun);
            shoot.apply(edit);
            shoot.close();
            stored[i] = Figures.since(begun);
        }
        Arrays.sort(planned);
        Arrays.sort(stored);
        Figures.say("carry to " + PHOTOS + ": planned, median of " + CARRIES, planned[CARRIES / 2]);
        Figures.say("carry to " + PHOTOS + ": planned and stored, median", stored[CARRIES / 2]);
        Figures.say("carry to " + PHOTOS + ": planned and stored, slowest", stored[CARRIES - 1]);
    }

    private static Edit carry(Shoot shoot, double tilt) {
        Photo from = shoot.photos().getFirst();
        Format format = shoot.brief().formats().getFirst();
        Framing source = shoot.framing(from);
        Carry carry = new Carry(
                from.facts().orElseThrow().asShot(),
                source.withPose(source.pose().withTilt(new Tilt(tilt))),
                format,
                shoot.brief(),
                Set.of(Part.SHAPE, Part.PLACE, Part.TILT),
                Opposite.TURN,
                By.PLACE);
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : shoot.photos()) {
            PixelSize size = photo.facts().orElseThrow().asShot();
            Framing before = shoot.framing(photo);
            changes.add(
                    new FramingChange(photo.id(), before, carry.to(size, before).framing()));
        }
        return new Edit("edit.carry", changes, null);
    }

    // ---- in the window ----

    private void window() {
        MainWindow window = Fx.opened(folder, locations);
        Scene scene = Fx.on(window::scene);
        Session session = Fx.on(() -> window.session().orElseThrow());
        Fx.run(() -> session.viewProperty().set(MainView.WALL));
        Fx.layout(scene);
        AnimationTimer pulses = new AnimationTimer() { // so that there is always a next one
                    @Override
                    public void handle(long now) {}
                };
        Fx.run(() -> pulses.start());
        Scrolling.measure("Wall", ".wall", scene);
        filters("usual size", scene, session);
        Fx.run(() -> ((Slider) scene.lookup(".wall-size")).setValue(40));
        filters("smallest size", scene, session);
        Fx.run(() -> pulses.stop());
        together(scene, session);
        Fx.run(() -> {
            session.selection().property().set(Set.of());
            session.viewProperty().set(MainView.LINEUP);
        });
        Fx.layout(scene);
        Scrolling.measure("Line-up", ".lineup-rows", scene);
        Fx.run(() -> window.close());
    }

    /** From the choice to the Wall laid out with what it lets through. */
    private static void filters(String size, Scene scene, Session session) {
        PhotoFilter all = PhotoFilter.ALL;
        List<PhotoFilter> filters = List.of(
                all.lying(EnumSet.of(Orientation.VERTICAL)),
                all.in(Set.of(FrameState.PLACED)),
                all.warned(true),
                all.named("99"),
                all);
        List<Double> times = new ArrayList<>();
        for (int round = 0; round < 6; round++) {
            for (PhotoFilter filter : filters) {
                pulse();
                double took = untilLaidOut(
                        scene, () -> session.list().filterProperty().set(filter));
                if (round > 0) { // the first round warms up
                    times.add(took);
                }
            }
        }
        times.sort(null);
        Figures.say("Wall filter on " + PHOTOS + ", laid out, " + size + ", median", times.get(times.size() / 2));
        Figures.say("Wall filter on " + PHOTOS + ", laid out, " + size + ", slowest of 25", times.getLast());
    }

    /** From an action to the end of the layout of the pulse behind it. */
    private static double untilLaidOut(Scene scene, Runnable action) {
        CompletableFuture<Double> took = new CompletableFuture<>();
        Fx.run(() -> {
            long begun = System.nanoTime();
            scene.addPostLayoutPulseListener(() -> took.complete(Figures.since(begun)));
            action.run();
        });
        return took.join();
    }

    /** Lets what was asked for before be drawn. */
    private static void pulse() {
        CountDownLatch pulses = new CountDownLatch(3);
        AnimationTimer timer = new AnimationTimer() {
            @Override
            public void handle(long now) {
                pulses.countDown();
            }
        };
        Fx.run(() -> timer.start());
        try {
            pulses.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        Fx.run(() -> timer.stop());
    }

    private static void together(Scene scene, Session session) {
        List<Photo> chosen = session.list().photos().subList(0, TOGETHER);
        Fx.run(() -> {
            session.choose(chosen.getFirst());
            session.selection().property().set(Set.copyOf(chosen));
            session.together().add(Change.sized(0.7));
        });
        Scrolling.awaitPictures(scene);
        int visible = Fx.on(() -> (int) scene.getRoot().lookupAll(".photo-tile").stream()
                .filter(node -> node.getOpacity() > 0)
                .count());
        System.out.println(visible + " photos are visible, " + TOGETHER + " of them change");
        Frames.measure("together, moved", step -> session.together()
                .preview(Change.moved(0.1 * Math.sin(step / 20.0), 0.05 * Math.cos(step / 20.0))));
        Frames.measure(
                "together, tilted", step -> session.together().preview(Change.tilted(2 * Math.sin(step / 20.0))));
        Fx.run(() -> session.together().abandon());
    }
}
