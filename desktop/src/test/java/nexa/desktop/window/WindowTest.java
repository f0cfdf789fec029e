package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import nexa.desktop.MainWindow;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.wall.PhotoTile;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.preview.PreviewCache;
import nexa.words.Languages;
import nexa.words.Words;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.service.query.NodeQuery;
import org.testfx.util.NodeQueryUtils;
import org.testfx.util.WaitForAsyncUtils;

/** The real window on photos of the demo shoot, driven by mouse and keys. */
@ExtendWith(ApplicationExtension.class)
public abstract class WindowTest {
    /** Seconds to wait for what is sure to come; on a shared machine that can take a while. */
    protected static final int PATIENCE = 180;

    protected static final Path DEMO = Path.of("..", "demo", "fennick-kiln");

    @TempDir
    protected static Path base;

    protected MainWindow window;
    protected Path folder;

    /** The demo photos that the test's shoot has. */
    protected String[] photos() {
        return new String[] {"kiln_0201.jpg", "kiln_0206.jpg", "kiln_0230.jpg"};
    }

    /** Whether photos are looked at by themselves; then frames move when something is seen. */
    protected boolean looksByItself() {
        return false;
    }

    /** The extension only looks for a start in the test's own class, so the window is made here. */
    @BeforeEach
    void start() throws Exception {
        copyPhotos();
        Locations locations = new Locations(folder.resolveSibling("data"), folder.resolveSibling("cache"));
        try (Preferences preferences = Preferences.open(locations)) {
            preferences.put("look", String.valueOf(looksByItself()));
        }
        FxToolkit.setupStage(stage -> {
            stage.setX(0); // another test may have left it otherwise
            stage.setY(0);
            stage.setWidth(1280);
            stage.setHeight(800);
            window = new MainWindow(stage, locations, 1280, 800);
            window.show();
        });
        onFx(() -> window.open(folder));
        until(() -> window.session().isPresent());
    }

    /** The shoot's folder is removed after the tests, so it must be let go. */
    @AfterEach
    void end() throws Exception {
        onFx(window::close);
        window.closed().get(PATIENCE, TimeUnit.SECONDS);
        until(() -> !isAnyPreviewWritten());
        Words.speak(() -> Languages.AS_SYSTEM); // whatever this window spoke
    }

    /** A decode that was begun ends after its shoot is closed; its folder is to go away only then. */
    private static boolean isAnyPreviewWritten() {
        return Thread.getAllStackTraces().values().stream()
                .flatMap(Arrays::stream)
                .anyMatch(call -> call.getClassName().equals(PreviewCache.class.getName()));
    }

    /** What else is to be in the folder before it is opened. */
    protected void prepare(Path shoot) throws IOException {}

    private void copyPhotos() throws IOException {
        Path own = Files.createTempDirectory(base, "journey");
        folder = Files.createDirectory(own.resolve("Fennick Kiln"));
        for (String name : photos()) {
            Files.copy(DEMO.resolve(name), folder.resolve(name));
        }
        prepare(folder);
    }

    protected final Session session() {
        return window.session().orElseThrow();
    }

    protected final Frame frame() {
        return session().frame().orElseThrow();
    }

    /** As the program is dressed; without it tests start sooner. */
    protected static void dress() throws Exception {
        onFx(() -> {
            for (String weight : new String[] {"Regular", "Medium", "SemiBold"}) {
                Font.loadFont(
                        MainWindow.class
                                .getResource("fonts/Inter-" + weight + ".otf")
                                .toExternalForm(),
                        12);
            }
            Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
        });
    }

    protected static void undress() throws Exception {
        onFx(() -> Application.setUserAgentStylesheet(null));
    }

    /** Goes from control to control until one has the keyboard, by so many presses at the most. */
    protected final void tabTo(FxRobot robot, String id, int most, KeyCode... tab) {
        for (int i = 0; i < most && !id.equals(window.scene().getFocusOwner().getId()); i++) {
            press(robot, tab);
        }
        assertEquals(id, window.scene().getFocusOwner().getId());
    }

    protected static void until(Callable<Boolean> condition) throws Exception {
        WaitForAsyncUtils.waitFor(PATIENCE, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(condition)
                .get());
    }

    /** Waits until the layout no longer moves a node, so that a click at its middle meets it. */
    protected static void untilAtRest(Node node) throws Exception {
        untilAtRest(() -> node);
    }

    /** Asked anew each time: what was found may have been made anew meanwhile. */
    private static void untilAtRest(Callable<Node> node) throws Exception {
        Bounds before;
        do {
            before = onScreen(node);
            afterPulse(WaitForAsyncUtils.asyncFx(node).get());
        } while (!before.equals(onScreen(node)));
    }

    /**
     * Double-clicks until that does something: where the machine is busy two clicks come too far apart to be a double one, and
     * somebody would click again.
     */
    protected static void doubleClick(FxRobot robot, Node node, Callable<Boolean> done) throws Exception {
        for (int tries = 0; tries < 5; tries++) {
            untilAtRest(node);
            robot.doubleClickOn(node);
            try {
                WaitForAsyncUtils.waitFor(3, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(done)
                        .get());
                return;
            } catch (TimeoutException tooSlow) {
                continue;
            }
        }
        until(done);
    }

    /** Waits for a whole pulse: only then is what was asked to be laid out where it belongs. */
    protected static void afterPulse(Node node) throws Exception {
        CountDownLatch laidOut = new CountDownLatch(1);
        onFx(() -> {
            node.getScene().addPostLayoutPulseListener(laidOut::countDown); // goes with the scene
            Platform.requestNextPulse();
        });
        assertTrue(laidOut.await(PATIENCE, TimeUnit.SECONDS), "no pulse came");
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static Bounds onScreen(Callable<Node> node) throws Exception {
        return WaitForAsyncUtils.asyncFx(() -> {
                    Node shown = node.call();
                    return shown.localToScreen(shown.getBoundsInLocal());
                })
                .get();
    }

    protected static void onFx(Runnable action) throws Exception {
        WaitForAsyncUtils.asyncFx(action).get();
        WaitForAsyncUtils.waitForFxEvents();
    }

    protected static BenchView bench(FxRobot robot) {
        return robot.lookup(".bench").queryAs(BenchView.class);
    }

    protected static Point2D onScreen(BenchView bench, Point level) {
        Point local = bench.toScreen(level).orElseThrow();
        return bench.localToScreen(local.x(), local.y());
    }

    protected static void drag(FxRobot robot, Point2D from, Point2D to) {
        robot.moveTo(from).press(MouseButton.PRIMARY);
        robot.moveTo(from.interpolate(to, 0.5)).moveTo(to).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** With keys held from before the press until after the release. */
    protected static void drag(FxRobot robot, Point2D from, Point2D to, KeyCode... held) {
        robot.press(held);
        drag(robot, from, to);
        robot.release(held);
        WaitForAsyncUtils.waitForFxEvents();
    }

    protected static void press(FxRobot robot, KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Once it is there and rests; what stands above it may still have to be laid out. */
    protected static FxRobot click(FxRobot robot, String query) throws Exception {
        Supplier<NodeQuery> shown = // looks into what is there now: the window may just be showing something else
                () -> robot.lookup(query).match(NodeQueryUtils.isVisible());
        until(() -> shown.get().tryQuery().isPresent());
        untilAtRest(() -> shown.get().query());
        robot.clickOn(query);
        WaitForAsyncUtils.waitForFxEvents();
        return robot;
    }

    protected static FxRobot click(FxRobot robot, Node node) throws Exception {
        untilAtRest(node);
        robot.clickOn(node);
        WaitForAsyncUtils.waitForFxEvents();
        return robot;
    }

    protected static void type(FxRobot robot, String field, String text) throws Exception {
        click(robot, field);
        until(() -> robot.lookup(field).query().isFocusWithin());
        robot.push(KeyCode.SHORTCUT, KeyCode.A).write(text).push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    protected final void addFormat(FxRobot robot, String shape) throws Exception {
        until(() -> robot.lookup("#add-shape").tryQuery().isPresent()
                || robot.lookup("#add-format").tryQuery().isPresent());
        if (robot.lookup("#add-shape").tryQuery().isEmpty()) {
            click(robot, "#add-format");
        }
        click(robot, "#add-shape").write(shape).push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    protected final void openInBench(FxRobot robot, String name) throws Exception {
        until(() -> tile(robot, name).tryQuery().isPresent());
        WaitForAsyncUtils.waitForFxEvents();
        robot.doubleClickOn(tile(robot, name).queryAs(PhotoTile.class));
        until(() -> session().viewProperty().get() == MainView.BENCH
                && session().photo().orElseThrow().file().equals(name));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static NodeQuery tile(FxRobot robot, String name) {
        return robot.lookup(".photo-tile")
                .match((PhotoTile t) -> t.photo().file().equals(name));
    }

    /** A format, the photo on the Bench, held as given; the ways there have tests of their own. */
    protected final BenchView onBench(FxRobot robot, String shape, String photo, Pose pose) throws Exception {
        onFx(() -> {
            session().briefEdits().add(shape, Shape.parse(shape));
            session().shoot().photos().stream()
                    .filter(p -> p.file().equals(photo))
                    .forEach(session()::choose);
            session().viewProperty().set(MainView.BENCH);
            session().gestures().preview(session().framing().withPose(pose));
            session().gestures().commit("edit.turn");
        });
        return bench(robot);
    }

    /** Places the frame in the middle at a share of the largest. */
    protected final void place(double share) throws Exception {
        onFx(() -> session().frameEdits().place("edit.frame", frame().scaled(share)));
    }

    protected final void reopen() throws Exception {
        Session closed = session();
        WaitForAsyncUtils.asyncFx(() -> window.open(folder)).get();
        until(() -> window.session().filter(s -> s != closed).isPresent());
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** As it shows once the photo's raster, which is made on another thread, has followed. */
    protected static WritableImage picture(BenchView bench) throws Exception {
        WaitForAsyncUtils.asyncFx(() -> {
                    bench.requestLayout();
                    bench.getScene().getRoot().layout();
                })
                .get();
        until(bench::isSharp);
        return WaitForAsyncUtils.asyncFx(() -> bench.snapshot(null, null)).get();
    }

    /** A node with all that shows in it and may hold others. */
    protected static Stream<Parent> parents(Node node) {
        return node.isVisible() && node instanceof Parent parent
                ? Stream.concat(
                        Stream.of(parent),
                        parent.getChildrenUnmodifiable().stream().flatMap(WindowTest::parents))
                : Stream.of();
    }

    protected static Color colour(WritableImage picture, double x, double y) {
        return picture.getPixelReader().getColor((int) Math.floor(x), (int) Math.floor(y));
    }

    /** Waits until the photo itself is drawn and not its grey stand-in. */
    protected static void untilDrawn(BenchView bench, Point level) throws Exception {
        until(() -> {
            Point at = bench.toScreen(level).orElseThrow();
            Color colour = colour(bench.snapshot(null, null), at.x(), at.y());
            return Math.abs(colour.getRed() - colour.getBlue()) > 0.01;
        });
    }
}
