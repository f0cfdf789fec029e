package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.model.Levelling;
import nexa.desktop.session.MainView;
import nexa.desktop.wall.PhotoTile;
import nexa.desktop.widget.Looks;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Every way to level. */
class LevellingTest extends WindowTest {
    /** 0206 leans by 2.1°, 0219 has no lines to speak of, 0235 some that differ. */
    @Override
    protected String[] photos() {
        return new String[] {"kiln_0201.jpg", "kiln_0206.jpg", "kiln_0219.jpg", "kiln_0235.jpg"};
    }

    static Stream<Pose> poses() {
        return Stream.of(
                Pose.AS_SHOT, new Pose(Turn.CLOCKWISE, new Tilt(1)), new Pose(new Turn(0, true), new Tilt(-3)));
    }

    private double tilt() {
        return session().framing().pose().tilt().degrees();
    }

    /** The truly level line of a demo photo, turned as the photo is. */
    private LevelLine trueLine(String photo) throws IOException {
        String[] cells = Files.readAllLines(DEMO.resolve("../truth.csv")).stream()
                .filter(line -> line.startsWith(photo))
                .findFirst()
                .orElseThrow()
                .split(",");
        LevelLine line = new LevelLine(
                new Point(Double.parseDouble(cells[2]), Double.parseDouble(cells[3])),
                new Point(Double.parseDouble(cells[4]), Double.parseDouble(cells[5])));
        PhotoSpace space = session().space().orElseThrow();
        return line.turned(space.pose().turn(), space.asShot());
    }

    private void drawLine(FxRobot robot, BenchView bench, LevelLine line) {
        PhotoSpace space = session().space().orElseThrow();
        drag(robot, onScreen(bench, space.toLevel(line.from())), onScreen(bench, space.toLevel(line.to())));
    }

    @ParameterizedTest
    @MethodSource("poses")
    void levelLineAlongATrueLine_levelsThePhoto(Pose pose, FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", pose);
        press(robot, KeyCode.L);
        drawLine(robot, bench, trueLine("kiln_0206.jpg"));
        double expected = pose.turn().mirrored() ? 2.1 : -2.1;
        assertEquals(expected, tilt(), 0.3);
        assertEquals(BenchMode.FRAMING, bench.modeProperty().get());
    }

    @Test
    void severalLines_areAveragedByLengthAndEachRemovable(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.L);
        drawLine(robot, bench, new LevelLine(new Point(300, 300), new Point(1500, 321))); // leans 1.0°
        assertEquals(-1, tilt(), 0.15);
        click(robot, "#level");
        drawLine(robot, bench, new LevelLine(new Point(900, 200), new Point(858, 1000))); // leans 3.0°, shorter
        assertEquals(-(1.0 * 1200 + 3.0 * 801) / 2001, tilt(), 0.2);
        PhotoSpace space = session().space().orElseThrow();
        LevelLine first = lines().getFirst();
        robot.clickOn(onScreen(bench, space.toLevel(first.to())));
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(-3, tilt(), 0.25, "without the first only the second counts");
        LevelLine second = lines().getFirst();
        robot.clickOn(onScreen(bench, session().space().orElseThrow().toLevel(second.to())));
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(0, tilt(), "without any it is as it was");
        assertTrue(lines().isEmpty());
    }

    private List<LevelLine> lines() {
        return window.models().orElseThrow().levelling().linesProperty().get();
    }

    @Test
    void ruler_scrubbedOutAndBackHundredTimes_leavesTheFrameBitIdentical(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.93);
        Frame start = frame();
        onFx(() -> {
            for (int i = 0; i < 100; i++) {
                for (int tenth = -100; tenth <= 100; tenth++) {
                    session().gestures().preview(session().poseEdits().tilted(new Tilt(tenth / 10.0)));
                    frame();
                }
                session().poseEdits().tilt(Tilt.NONE, "edit.tilt");
            }
        });
        assertEquals(start, frame(), "by values");
        var ruler = robot.lookup("#tilt-ruler").query();
        for (int i = 0; i < 3; i++) {
            robot.moveTo(ruler).press(MouseButton.PRIMARY);
            robot.moveBy(-280, 0).moveBy(560, 0).moveBy(-280, 0).release(MouseButton.PRIMARY);
        }
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(0, tilt());
        assertEquals(start, frame(), "by hand");
    }

    @Test
    void automaticLevel_tiltsAndShowsWhatItRestsOn(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.SHIFT, KeyCode.L);
        until(() -> tilt() != 0);
        assertEquals(-2.1, tilt(), 0.3);
        assertTrue(window.models()
                .orElseThrow()
                .levelling()
                .verdictProperty()
                .get()
                .isPresent());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(0, tilt());
        assertTrue(
                window.models()
                        .orElseThrow()
                        .levelling()
                        .verdictProperty()
                        .get()
                        .isEmpty(),
                "what was taken back no longer shows");
    }

    @Test
    void automaticLevel_thatIsNotSure_isOffered_andTakenByTheSameKey(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0235.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.SHIFT, KeyCode.L);
        until(() -> found().filter(Finding::offered).isPresent());
        assertEquals(0, tilt(), "not by itself");
        assertTrue(Looks.words(found().orElseThrow(), "Shift L").contains("Shift L again"));
        press(robot, KeyCode.SHIFT, KeyCode.L);
        assertEquals(found().orElseThrow().tilt().degrees(), tilt());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(0, tilt());
    }

    private Optional<Finding> found() {
        return window.models()
                .orElseThrow()
                .levelling()
                .verdictProperty()
                .get()
                .filter(Levelling.Verdict.Found.class::isInstance)
                .map(said -> ((Levelling.Verdict.Found) said).finding());
    }

    @Test
    void automaticLevel_withoutLines_changesNothingAndSaysWhy(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0219.jpg", Pose.AS_SHOT);
        click(robot, "#auto-level");
        until(() -> window.models()
                .orElseThrow()
                .levelling()
                .verdictProperty()
                .get()
                .filter(v -> v instanceof Levelling.Verdict.Found)
                .isPresent());
        assertEquals(0, tilt());
        var found = (Levelling.Verdict.Found) window.models()
                .orElseThrow()
                .levelling()
                .verdictProperty()
                .get()
                .orElseThrow();
        assertTrue(Looks.words(found.finding(), "Shift L").startsWith("Not levelled"));
    }

    @Test
    void automaticLevelOfASelection_isAListToDecideOneByOne(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        press(robot, KeyCode.SHORTCUT, KeyCode.A);
        assertEquals(4, session().selection().property().get().size());
        press(robot, KeyCode.SHIFT, KeyCode.L);
        until(() -> robot.lookup("#accept-kiln_0235")
                .tryQuery()
                .filter(n -> n.isVisible() && ((Button) n).getText().equals("Level it anyway"))
                .isPresent());
        until(() -> robot.lookup("#accept-kiln_0206")
                .tryQuery()
                .filter(n -> n.isVisible())
                .isPresent());
        assertTrue(
                session().shoot().photos().stream()
                        .allMatch(
                                p -> session().shoot().framing(p).pose().tilt().isNone()),
                "nothing changed by itself");
        click(robot, "#accept-kiln_0206");
        assertEquals(
                -2.1,
                session()
                        .shoot()
                        .framing(session().shoot().photos().get(1))
                        .pose()
                        .tilt()
                        .degrees(),
                0.3);
        click(robot, "#review-done");
        assertEquals(MainView.WALL, session().viewProperty().get());
        assertTrue(robot.lookup("#level-review").tryQuery().isEmpty());
        assertEquals(
                1,
                session().shoot().history().done().stream()
                        .filter(edit -> edit.label().equals("edit.level.auto"))
                        .count());
    }

    @Test
    void clicksOnTheWall_selectByControlAndShift(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        PhotoTile first = tile(robot, "kiln_0201.jpg");
        PhotoTile last = tile(robot, "kiln_0219.jpg");
        click(robot, first).press(KeyCode.CONTROL).clickOn(last).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(
                Set.of(first.photo(), last.photo()),
                session().selection().property().get());
        click(robot, first).press(KeyCode.SHIFT).clickOn(last).release(KeyCode.SHIFT);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(3, session().selection().property().get().size());
        press(robot, KeyCode.ESCAPE);
        assertTrue(session().selection().property().get().isEmpty());
    }

    private static PhotoTile tile(FxRobot robot, String file) {
        return robot.lookup(".photo-tile")
                .match((PhotoTile t) -> t.photo().file().equals(file))
                .queryAs(PhotoTile.class);
    }

    @Test
    void flipKey_mirrorsTopAndBottom(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0206.jpg", new Pose(Turn.NONE, new Tilt(2)));
        press(robot, KeyCode.SHIFT, KeyCode.M);
        assertEquals(Turn.FLIP, session().framing().pose().turn());
        assertEquals(-2, tilt());
        click(robot, "#more-turn");
        click(robot, "#seldom-FLIP");
        assertEquals(Turn.NONE, session().framing().pose().turn());
    }
}
