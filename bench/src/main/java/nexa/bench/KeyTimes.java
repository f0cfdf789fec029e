package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventTarget;
import javafx.scene.Scene;
import javafx.scene.input.KeyEvent;
import nexa.bench.base.Figures;
import nexa.bench.base.Fx;
import nexa.bench.base.Scrolling;
import nexa.bench.base.SmallPhotos;
import nexa.core.shape.Shape;
import nexa.desktop.MainWindow;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.KeyPress;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;

/**
 * How long each key holds the usual window: until what it does is done and the window is laid out; its drawing comes on
 * top. Each is pressed in each view, with some steps behind, and left again.
 */
final class KeyTimes {
    private static final int USUAL = 200;
    private static final int ROUNDS = 4;
    private static final int LONGEST = 12;
    private static final int STEPS = 40;

    /** They end what is measured: the window as large as the screen, and a second one. */
    private static final Set<Command> LEFT_OUT = EnumSet.of(Command.FULL_SCREEN, Command.RESULT_WINDOW);

    private record Press(MainView view, Command command, int round, double milliseconds) {}

    private final Session session;
    private final Scene scene;
    private final List<Press> presses = new ArrayList<>();

    private KeyTimes(Session session, Scene scene) {
        this.session = session;
        this.scene = scene;
    }

    /** @param count of photos; 0 = as many as a usual shoot has */
    static void run(int count) throws IOException {
        Fx.prepare();
        Path base = Files.createTempDirectory("nexa-keys");
        Path folder = Files.createDirectory(base.resolve("shoot"));
        SmallPhotos.write(folder, count == 0 ? USUAL : count);
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        try (Shoot shoot = Shoot.open(folder, locations)) {
            for (String shape : List.of("4:5", "16:9", "1:1")) {
                shoot.apply(
                        Edit.brief("edit.brief", shoot.brief(), shoot.brief().with(shape, Shape.parse(shape))));
            }
        }
        MainWindow window = Fx.opened(folder, locations);
        KeyTimes times = new KeyTimes(Fx.on(() -> window.session().orElseThrow()), Fx.on(window::scene));
        Scrolling.awaitPictures(times.scene);
        times.measure();
        times.say();
        Fx.run(window::close);
        Platform.exit();
    }

    private void measure() {
        Fx.run(() -> session.viewProperty().set(MainView.BENCH));
        for (int i = 0; i < STEPS; i++) {
            timed(Command.MIRROR);
        }
        for (int round = 0; round < ROUNDS; round++) {
            for (MainView view : MainView.values()) {
                for (Command command : Command.values()) {
                    if (!command.isHeld() && !LEFT_OUT.contains(command)) {
                        Fx.run(() -> session.viewProperty().set(view));
                        Fx.layout(scene);
                        presses.add(new Press(view, command, round, timed(command)));
                        timed(Command.LEAVE);
                    }
                }
            }
        }
    }

    private double timed(Command command) {
        KeyPress key = command.usual().getFirst();
        long begun = System.nanoTime();
        Fx.run(() -> {
            EventTarget target = scene.getFocusOwner() == null ? scene.getRoot() : scene.getFocusOwner();
            Event.fireEvent(
                    target,
                    new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key.code(), key.shift(), key.shortcut(), false, false));
            scene.getRoot().applyCss();
            scene.getRoot().layout();
        });
        return Figures.since(begun);
    }

    private void say() {
        say(
                "pressed the first time",
                presses.stream().filter(press -> press.round == 0).toList());
        say("pressed again", presses.stream().filter(press -> press.round > 0).toList());
    }

    private static void say(String what, List<Press> presses) {
        double[] sorted =
                presses.stream().mapToDouble(Press::milliseconds).sorted().toArray();
        Figures.say(what + ", p50", sorted[sorted.length / 2]);
        Figures.say(what + ", p95", sorted[sorted.length * 95 / 100]);
        Figures.say(what + ", longest", Arrays.stream(sorted).max().orElseThrow());
        presses.stream()
                .sorted(Comparator.comparingDouble(Press::milliseconds).reversed())
                .limit(LONGEST)
                .forEach(press -> Figures.say("    " + press.command + " in " + press.view, press.milliseconds));
    }
}
