package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.shape.Circle;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.KeyPress;
import nexa.desktop.paint.FrameLines;
import nexa.desktop.session.MainView;
import nexa.desktop.widget.DrawnPane;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Commands and drags in any order, in windows of any size: all stays where it belongs, and every step can be taken back. */
class AnyOrderTest extends WindowTest {
    private static final int STEPS = 80;

    /** What is held, and what gives the window a size of its own. */
    private static final Set<Command> NOT_TAKEN =
            EnumSet.of(Command.RESULT, Command.WHOLE, Command.BEFORE, Command.PROOF, Command.PAN, Command.FULL_SCREEN);

    private final List<String> done = new ArrayList<>();
    private Optional<Throwable> mishap = Optional.empty();

    @ParameterizedTest
    @ValueSource(longs = {1, 2})
    void commands_leaveAllWhereItBelongs(long seed, FxRobot robot) throws Exception {
        Random random = new Random(seed);
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        onFx(() ->
                Thread.currentThread().setUncaughtExceptionHandler((thread, thrown) -> mishap = Optional.of(thrown)));
        List<Command> commands = Stream.of(Command.values())
                .filter(command -> !NOT_TAKEN.contains(command))
                .toList();
        List<Framing> before = framings();
        int already = session().shoot().history().done().size();
        for (int step = 0; step < STEPS; step++) {
            if (random.nextInt(12) == 0) {
                int width = 1010 + random.nextInt(500);
                int height = 700 + random.nextInt(200);
                step(width + " × " + height, () -> resize(width, height));
            } else if (random.nextInt(3) == 0 && session().viewProperty().get() != MainView.HANDOVER) {
                dragSomewhere(random, robot);
            } else {
                Command command = commands.get(random.nextInt(commands.size()));
                step(command.name(), () -> press(command));
            }
            judge(bench);
        }
        takeAllBack(before, already);
    }

    @AfterEach
    void mishapsAreOthersAgain() throws Exception {
        onFx(() -> Thread.currentThread().setUncaughtExceptionHandler(null));
    }

    private void step(String name, Runnable action) throws Exception {
        done.add(name);
        onFx(action);
        afterPulse(window.scene().getRoot());
    }

    /** On the view, or a click where it is short. */
    private void dragSomewhere(Random random, FxRobot robot) throws Exception {
        Bounds scene = WaitForAsyncUtils.asyncFx(() -> window.scene()
                        .getRoot()
                        .localToScreen(window.scene().getRoot().getLayoutBounds()))
                .get();
        Point2D from = new Point2D(
                scene.getMinX() + 190 + random.nextInt((int) scene.getWidth() - 210),
                scene.getMinY() + 70 + random.nextInt((int) scene.getHeight() - 190));
        Point2D to = from.add(random.nextInt(200) - 100, random.nextInt(160) - 80);
        done.add("drag " + from + " " + to);
        drag(robot, from, to);
        afterPulse(window.scene().getRoot());
    }

    private void resize(int width, int height) {
        window.scene().getWindow().setWidth(width);
        window.scene().getWindow().setHeight(height);
    }

    private void press(Command command) {
        KeyPress press = command.usual().getFirst();
        Node at = Optional.ofNullable(window.scene().getFocusOwner())
                .orElse(window.scene().getRoot());
        for (var type : List.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_RELEASED)) {
            Event.fireEvent(
                    at, new KeyEvent(type, "", "", press.code(), press.shift(), press.shortcut(), false, false));
        }
    }

    private void judge(BenchView bench) throws Exception {
        onFx(() -> {
            mishap.ifPresent(thrown -> {
                throw new AssertionError(told(), thrown);
            });
            window.scene().getRoot().layout(); // what came from another thread since the last pulse is laid out too
            parents(window.scene().getRoot())
                    .filter(BorderPane.class::isInstance)
                    .forEach(pane -> assertEquals(
                            Math.min(
                                    window.scene().getWidth(),
                                    pane.getLayoutBounds().getWidth()),
                            pane.getLayoutBounds().getWidth(),
                            1,
                            this::told));
            parents(window.scene().getRoot())
                    .filter(DrawnPane.class::isInstance)
                    .forEach(pane -> assertFilled((DrawnPane) pane));
            if (session().viewProperty().get() == MainView.BENCH && bench.getScene() != null) {
                session().frame().ifPresent(frame -> assertHandlesOn(bench, frame));
            }
        });
    }

    private void assertFilled(DrawnPane pane) {
        Canvas canvas = (Canvas) pane.getChildrenUnmodifiable().getFirst();
        assertEquals(Math.floor(pane.getWidth()), canvas.getWidth(), () -> pane + told());
        assertEquals(Math.floor(pane.getHeight()), canvas.getHeight(), () -> pane + told());
    }

    private void assertHandlesOn(BenchView bench, Frame frame) {
        List<Circle> handles = parents(bench)
                .filter(FrameLines.class::isInstance)
                .flatMap(lines -> lines.getChildrenUnmodifiable().stream())
                .filter(node -> node instanceof Circle && node.isVisible())
                .map(Circle.class::cast)
                .toList();
        for (int corner = 0; corner < handles.size(); corner++) {
            Point at = bench.toScreen(frame.at(corner % 2, corner / 2)).orElseThrow();
            assertEquals(at.x(), handles.get(corner).getCenterX(), 1, this::told);
            assertEquals(at.y(), handles.get(corner).getCenterY(), 1, this::told);
        }
    }

    private String told() {
        return "after " + done;
    }

    private void takeAllBack(List<Framing> before, int already) throws Exception {
        List<Framing> after = framings();
        onFx(() -> {
            int steps = session().shoot().history().done().size() - already;
            for (int step = 0; step < steps; step++) {
                session().shoot().undo();
            }
            assertEquals(before, framings(), this::told);
            for (int step = 0; step < steps; step++) {
                session().shoot().redo();
            }
            assertEquals(after, framings(), this::told);
        });
        reopen();
        assertEquals(after, framings(), this::told);
    }

    private List<Framing> framings() {
        return session().shoot().photos().stream()
                .map(photo -> session().shoot().framing(photo))
                .toList();
    }
}
