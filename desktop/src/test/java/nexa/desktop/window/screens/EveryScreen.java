package nexa.desktop.window.screens;

import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.desk.DeskView;
import nexa.desktop.desk.DeskView.DeskPane;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.HelpRecord;
import nexa.words.Words;
import org.junit.jupiter.api.AfterEach;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Goes through all views, panes and modes, dressed as the program is. */
abstract class EveryScreen extends WindowTest {
    private static final List<KeyCode[]> BY_KEYS = List.of(
            new KeyCode[] {KeyCode.F1},
            new KeyCode[] {KeyCode.F3},
            new KeyCode[] {KeyCode.F4},
            new KeyCode[] {KeyCode.ADD},
            new KeyCode[] {KeyCode.SHORTCUT, KeyCode.COMMA},
            new KeyCode[] {KeyCode.SHIFT, KeyCode.W},
            new KeyCode[] {KeyCode.SHIFT, KeyCode.U},
            new KeyCode[] {KeyCode.SHORTCUT, KeyCode.T},
            new KeyCode[] {KeyCode.SHORTCUT, KeyCode.D},
            new KeyCode[] {KeyCode.SHORTCUT, KeyCode.U},
            new KeyCode[] {KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.I},
            new KeyCode[] {KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L});

    @AfterEach
    void undressed() throws Exception {
        undress();
    }

    final void begin(FxRobot robot) throws Exception {
        dress();
        onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        onFx(() -> session().frameEdits().keep("wide"));
    }

    /** Looks at a screen that shows, on the interface's thread. */
    abstract void look(String screen);

    final void walk(FxRobot robot) throws Exception {
        for (MainView view : MainView.values()) {
            onFx(() -> session().viewProperty().set(view));
            settled(view.toString());
        }
        onFx(() -> session().viewProperty().set(MainView.BENCH));
        for (DeskPane pane : DeskPane.values()) {
            onFx(() -> open(robot, pane));
            settled(pane.toString());
            press(robot, KeyCode.ESCAPE);
            onFx(() -> session().viewProperty().set(MainView.BENCH));
        }
        modes(robot);
        byButtons(robot);
        byMenu(robot);
        besideMarks(robot);
        lists(robot);
        together();
        for (KeyCode[] keys : BY_KEYS) {
            press(robot, keys);
            settled(List.of(keys).toString());
            press(robot, KeyCode.ESCAPE);
        }
    }

    static void open(FxRobot robot, DeskPane pane) {
        robot.lookup(".desk").queryAs(DeskView.class).open(pane);
    }

    private void modes(FxRobot robot) throws Exception {
        for (BenchMode mode : BenchMode.values()) {
            onFx(() -> robot.lookup(".bench")
                    .queryAs(BenchView.class)
                    .modeProperty()
                    .set(mode));
            settled(mode.toString());
        }
        press(robot, KeyCode.ESCAPE);
    }

    private void byButtons(FxRobot robot) throws Exception {
        String files = "#files-" + session().format().orElseThrow().id();
        byButtons(robot, MainView.HANDOVER, files, "#handover-kept", "#handover-paper", "#handover-exchange");
        byButtons(robot, MainView.BENCH, "#shelf");
    }

    private void byButtons(FxRobot robot, MainView view, String... buttons) throws Exception {
        onFx(() -> session().viewProperty().set(view));
        for (String button : buttons) {
            until(() -> !robot.lookup(button).queryAll().isEmpty());
            onFx(() -> robot.lookup(button).queryAs(ButtonBase.class).fire());
            settled(button);
            press(robot, KeyCode.ESCAPE);
        }
    }

    /** What is found on several photos, listed, with all that help did before. */
    private void lists(FxRobot robot) throws Exception {
        onFx(() -> {
            session().viewProperty().set(MainView.WALL);
            session().selection().selectAll();
            recordHelp();
        });
        for (KeyCode[] keys : List.of(
                new KeyCode[] {KeyCode.SHIFT, KeyCode.L}, new KeyCode[] {KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.T})) {
            press(robot, keys);
            until(() -> robot.lookup(".level-review").tryQuery().isPresent());
            settled("the list of " + List.of(keys));
            press(robot, KeyCode.ESCAPE);
        }
        onFx(() -> session().selection().property().set(Set.of()));
        byButtons(robot, MainView.WALL, "#prepare");
        onFx(() -> {
            session().viewProperty().set(MainView.BENCH);
            open(robot, DeskPane.LENS);
        });
        byButtons(robot, MainView.BENCH, "#lens-all");
        onFx(() -> session().viewProperty().set(MainView.BENCH));
    }

    /** One photo that stands as it was proposed, one that was changed since, and one that was left. */
    private void recordHelp() {
        Shoot shoot = session().shoot();
        List<Photo> photos = shoot.photos();
        Framing changed = shoot.framing(photos.get(1)).withPose(Pose.AS_SHOT.withTilt(new Tilt(9)));
        new HelpRecord(Map.of())
                .with(photos.get(0), shoot.framing(photos.get(0)), false)
                .with(photos.get(1), changed, false)
                .with(photos.get(2), shoot.framing(photos.get(2)), true)
                .keep(shoot);
    }

    private void byMenu(FxRobot robot) throws Exception {
        robot.rightClickOn(".format-card");
        robot.clickOn(Words.of("rail.edit"));
        settled("a format's pane");
        press(robot, KeyCode.ESCAPE);
    }

    /** A pane that a view makes room for, and results that lie far from each other. */
    private void besideMarks(FxRobot robot) throws Exception {
        onFx(() -> {
            for (Photo photo : session().list().photos()) {
                session().choose(photo);
                window.models().orElseThrow().marking().click(new Point(-0.11 * photo.id(), -0.2));
                window.models().orElseThrow().marking().click(new Point(0.03, 0.12));
            }
        });
        for (MainView view : List.of(MainView.WALL, MainView.LINEUP)) {
            onFx(() -> {
                session().viewProperty().set(view);
                open(robot, DeskPane.MARKS);
            });
            settled("marks beside " + view);
            press(robot, KeyCode.ESCAPE);
        }
        onFx(() -> session().viewProperty().set(MainView.BENCH));
    }

    /** Several photos selected, and tilted: then the desk says other things. */
    private void together() throws Exception {
        onFx(() -> {
            session().viewProperty().set(MainView.WALL);
            session().selection().selectAll();
            session().poseEdits().tiltBy(-2.4);
        });
        settled("several photos");
        onFx(() -> {
            session().shoot().undo();
            session().selection().property().set(Set.of());
            session().viewProperty().set(MainView.BENCH);
        });
    }

    private void settled(String screen) throws Exception {
        WaitForAsyncUtils.waitForFxEvents();
        onFx(() -> {
            window.scene().getRoot().applyCss();
            window.scene().getRoot().layout();
            look(screen);
        });
    }
}
