package nexa.bench;

import com.sun.management.ThreadMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.function.DoubleFunction;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import nexa.bench.base.Fx;
import nexa.bench.base.LargePhoto;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.shape.Shape;
import nexa.desktop.MainWindow;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.model.Plumbing;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.shoot.Locations;

/**
 * How long a frame takes in the real window while something is dragged on the Bench: a 24-megapixel photo, tilted, in
 * 1280 × 800. Pulses run as fast as they can, so the time from pulse to pulse is what a frame costs. Without a display
 * the headless platform draws in software; so does a virtual display.
 */
final class FrameTimes {
    private static final int WARM_UP = 300;
    private static final int MEASURED = 1000;

    private final Scene scene;
    private final BenchView bench;
    private final Session session;
    private final Plumbing plumbing;

    private FrameTimes(MainWindow window) {
        this.scene = window.scene();
        this.session = window.session().orElseThrow();
        this.plumbing = window.models().orElseThrow().plumbing();
        this.bench = (BenchView) scene.lookup(".bench");
    }

    static void run() throws IOException {
        Fx.prepare();
        Path base = Files.createTempDirectory("nexa-frames");
        Path shoot = Files.createDirectory(base.resolve("shoot"));
        LargePhoto.write("kiln_0201.jpg", shoot.resolve("a.jpg"));
        LargePhoto.write("kiln_0202.jpg", shoot.resolve("b.jpg"));
        MainWindow window = Fx.opened(shoot, new Locations(base.resolve("data"), base.resolve("cache")));
        FrameTimes times = Fx.on(() -> prepared(window));
        pause();
        System.out.println(
                "drag                        frame ms p50    p95    max   ours ms p95   share   KiB a frame");
        times.measure("corner, shape kept, tilted", FrameTimes::corner, 0.6);
        times.measure("frame moved, tilted", FrameTimes::inside, 0.6);
        times.measure("photo turned, fine grid", FrameTimes::outside, 0.4);
        times.plumb("pitch scrubbed, lens and plumb");
        Fx.run(window::close);
        Platform.exit();
    }

    private static FrameTimes prepared(MainWindow window) {
        Session session = window.session().orElseThrow();
        for (String shape : new String[] {"4:5", "1:1", "16:9", "5:7"}) {
            session.briefEdits().add(shape, Shape.parse(shape));
        }
        session.chooseFormat(1);
        session.viewProperty().set(MainView.BENCH);
        session.overlayProperty().set(OverlayChoice.of(Overlay.GOLDEN_SPIRAL));
        session.poseEdits().tilt(new Tilt(2.3), "edit.tilt");
        window.scene().getRoot().applyCss();
        window.scene().getRoot().layout();
        return new FrameTimes(window);
    }

    /** Where the pointer takes hold, in level space, and where it is at a time. */
    private record Movement(Point from, DoubleFunction<Point> at) {}

    private static Movement corner(Frame frame) {
        Point from = frame.at(1, 1);
        return new Movement(from, t -> from.plus(new Point(-0.1 + 0.1 * Math.cos(t), -0.08 + 0.08 * Math.cos(t))));
    }

    private static Movement inside(Frame frame) {
        Point from = frame.centre();
        return new Movement(from, t -> from.plus(new Point(0.06 * Math.sin(t), 0.05 * Math.sin(2 * t))));
    }

    private static Movement outside(Frame frame) {
        double radius = frame.width() * 0.75;
        return new Movement(
                new Point(radius, 0),
                t -> new Point(radius * Math.cos(0.1 * Math.sin(t)), radius * Math.sin(0.1 * Math.sin(t))));
    }

    private interface Way {
        Movement on(Frame frame);
    }

    /** What is done from pulse to pulse. */
    private interface Doing {
        void begin();

        void at(double time);

        void end();
    }

    /** A drag with the pointer. */
    private final class Drag implements Doing {
        private final Movement path;

        Drag(Movement path) {
            this.path = path;
        }

        @Override
        public void begin() {
            fire(MouseEvent.MOUSE_PRESSED, path.from);
        }

        @Override
        public void at(double time) {
            fire(MouseEvent.MOUSE_DRAGGED, path.at.apply(time));
        }

        @Override
        public void end() {
            fire(MouseEvent.MOUSE_RELEASED, path.from);
        }
    }

    /** The camera's pitch, of a photo whose lens is bent too, in the mode in which somebody does it. */
    private final class Scrub implements Doing {
        @Override
        public void begin() {
            bench.modeProperty().set(BenchMode.PLUMB);
            Framing framing = session.framing();
            Lens bent = Lens.byHand(new ByHand(-0.04, 0, 0.5));
            session.gestures().edit("edit.lens", framing.withPose(framing.pose().withLens(bent)));
        }

        @Override
        public void at(double time) {
            plumbing.preview(plumb -> plumb.withAngles(6 + 4 * Math.sin(time), 1));
        }

        @Override
        public void end() {
            session.gestures().abandon();
            bench.modeProperty().set(BenchMode.FRAMING);
        }
    }

    private void plumb(String name) {
        run(name, Fx.on(() -> new Run(new Scrub())));
    }

    private void measure(String name, Way way, double share) {
        run(name, Fx.on(() -> {
            session.frameEdits()
                    .place("edit.frame", session.frame().orElseThrow().scaled(share));
            return new Run(new Drag(way.on(session.frame().orElseThrow())));
        }));
    }

    private void run(String name, Run run) {
        Fx.on(() -> {
            run.begin();
            return true;
        });
        run.await();
        run.print(name);
        Fx.on(() -> {
            session.shoot().undo();
            session.shoot().undo();
            return true;
        });
    }

    /** One drag from press to release, a move at every pulse. */
    private final class Run extends AnimationTimer {
        private final ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        private final Doing doing;
        private final long[] frames = new long[MEASURED];
        private final long[] ours = new long[MEASURED];
        private final CountDownLatch done = new CountDownLatch(1);
        private int pulses;
        private long last;
        private long layoutBegan;
        private long spent;
        private long bytesBefore;
        private long bytes;

        Run(Doing doing) {
            this.doing = doing;
        }

        void begin() {
            doing.begin();
            scene.addPreLayoutPulseListener(this::layoutBegins);
            scene.addPostLayoutPulseListener(this::layoutEnds);
            start();
        }

        private void layoutBegins() {
            layoutBegan = System.nanoTime();
        }

        private void layoutEnds() {
            spent += System.nanoTime() - layoutBegan;
        }

        @Override
        public void handle(long now) {
            long time = System.nanoTime();
            int measured = pulses - WARM_UP;
            if (measured == 0) {
                bytesBefore = allocated();
            } else if (measured > 0 && measured <= MEASURED) {
                frames[measured - 1] = time - last;
                ours[measured - 1] = spent;
            }
            if (measured == MEASURED) {
                end();
                return;
            }
            last = time;
            pulses++;
            doing.at(pulses / 20.0);
            spent = System.nanoTime() - time; // what the move costs; the layout adds the drawing
        }

        private long allocated() {
            return threads.getThreadAllocatedBytes(Thread.currentThread().threadId());
        }

        private void end() {
            bytes = (allocated() - bytesBefore) / MEASURED;
            stop();
            doing.end();
            done.countDown();
        }

        void await() {
            try {
                done.await();
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }

        void print(String name) {
            double mean = Arrays.stream(frames).average().orElseThrow();
            double share = Arrays.stream(ours).average().orElseThrow() / mean;
            Arrays.sort(frames);
            Arrays.sort(ours);
            System.out.printf(
                    Locale.ROOT,
                    "%-32s %6.2f %6.2f %6.2f        %6.2f  %4.0f %%   %7.1f%n",
                    name,
                    frames[MEASURED / 2] / 1e6,
                    frames[MEASURED * 95 / 100] / 1e6,
                    frames[MEASURED - 1] / 1e6,
                    ours[MEASURED * 95 / 100] / 1e6,
                    share * 100,
                    bytes / 1024.0);
        }
    }

    private void fire(EventType<MouseEvent> type, Point level) {
        Point local = bench.toScreen(level).orElseThrow();
        Point2D at = bench.localToScene(local.x(), local.y());
        Event.fireEvent(
                bench,
                new MouseEvent(
                        type,
                        at.getX(),
                        at.getY(),
                        at.getX(),
                        at.getY(),
                        MouseButton.PRIMARY,
                        1,
                        false,
                        false,
                        false,
                        false,
                        true,
                        false,
                        false,
                        false,
                        false,
                        false,
                        null));
    }

    /** Until previews are there. */
    private static void pause() {
        try {
            Thread.sleep(4000);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
