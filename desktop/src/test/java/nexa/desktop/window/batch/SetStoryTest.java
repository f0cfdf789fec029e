package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.carry.Carried;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.lineup.Deviation;
import nexa.core.space.PhotoSpace;
import nexa.desktop.bench.BenchView;
import nexa.desktop.lineup.ResultTile;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Twelve pots of one catalogue, horizontal and vertical, made to belong together: with mouse and keys in the window. */
class SetStoryTest extends WindowTest {
    private static final String EXEMPLAR = "kiln_0207.jpg";

    /** Nine single pots, then three near-repeats. */
    private static final List<String> POTS = List.of(
            "kiln_0202.jpg",
            "kiln_0206.jpg",
            EXEMPLAR,
            "kiln_0208.jpg",
            "kiln_0209.jpg",
            "kiln_0216.jpg",
            "kiln_0232.jpg",
            "kiln_0233.jpg",
            "kiln_0236.jpg",
            "kiln_0211.jpg",
            "kiln_0212.jpg",
            "kiln_0213.jpg");

    @Override
    protected String[] photos() {
        return POTS.toArray(String[]::new);
    }

    private Photo photo(String file) {
        return session().shoot().photos().stream()
                .filter(photo -> photo.file().equals(file))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void twelvePots_becomeASet(FxRobot robot) throws Exception {
        briefOfFour(robot);
        markAll(robot);
        composeExemplar(robot);
        carryByMarks(robot);
        Map<Photo, Framing> carried = framings();
        lineUp(robot);
        fixTwoTogether(robot);
        checkAllAndStepBack(robot, carried.keySet());
    }

    private void briefOfFour(FxRobot robot) throws Exception {
        for (String chip : List.of("#add-4-5", "#add-1-1", "#add-16-9")) {
            click(robot, chip);
        }
        addFormat(robot, "5:7");
        assertEquals("4:5, 1:1, 16:9, 5:7", session().brief().names());
        press(robot, KeyCode.DIGIT1);
        assertEquals("4:5", session().format().orElseThrow().name());
    }

    /** Every pot from its top to its foot, one after the other: marking stays on. */
    private void markAll(FxRobot robot) throws Exception {
        openInBench(robot, session().shoot().photos().getFirst().file());
        press(robot, KeyCode.SHIFT, KeyCode.K);
        for (int i = 0; i < POTS.size(); i++) {
            PhotoSpace space = session().space().orElseThrow();
            Point[] ends = truth(session().photo().orElseThrow().file());
            BenchView bench = bench(robot);
            drag(robot, onScreen(bench, space.toLevel(ends[0])), onScreen(bench, space.toLevel(ends[1])));
            List<Point> marks = session().framing().marks().in(space);
            assertEquals(2, marks.size(), session().photo().orElseThrow().file());
            assertEquals(0, marks.getFirst().distance(space.toLevel(ends[0])), 0.003);
            press(robot, KeyCode.N);
        }
        press(robot, KeyCode.SHIFT, KeyCode.K);
    }

    private static Point[] truth(String file) throws IOException {
        String[] cells = Files.readAllLines(DEMO.resolve("../truth.csv")).stream()
                .filter(line -> line.startsWith(file))
                .findFirst()
                .orElseThrow()
                .split(",");
        return new Point[] {
            new Point(Double.parseDouble(cells[10]), Double.parseDouble(cells[11])),
            new Point(Double.parseDouble(cells[12]), Double.parseDouble(cells[13]))
        };
    }

    /** The pot in the middle, with air around it. */
    private void composeExemplar(FxRobot robot) throws Exception {
        onFx(() -> session().choose(photo(EXEMPLAR)));
        List<Point> marks = session().framing().marks().in(session().space().orElseThrow());
        Point middle = marks.getFirst().plus(marks.getLast()).times(0.5);
        BenchView bench = bench(robot);
        press(robot, KeyCode.D);
        drag(
                robot,
                onScreen(bench, middle.minus(new Point(0.32, 0.26))),
                onScreen(bench, middle.plus(new Point(0.32, 0.26))));
        Frame frame = frame();
        assertEquals(0, frame.centre().distance(middle), 0.03);
        assertEquals(FrameState.PLACED, state(photo(EXEMPLAR)));
    }

    private FrameState state(Photo photo) {
        return session().framing(photo).state(session().format().orElseThrow());
    }

    private void carryByMarks(FxRobot robot) throws Exception {
        press(robot, KeyCode.SHIFT, KeyCode.B);
        assertEquals(MainView.WALL, session().viewProperty().get());
        click(robot, "#by-MARKS");
        Map<Photo, Carried> plan = session().carry().planProperty().get();
        assertEquals(POTS.size() - 1, plan.size());
        assertTrue(plan.keySet().stream().allMatch(photo -> state(photo) == FrameState.DERIVED), "nothing changed yet");
        Set<Photo> whole = plan.entrySet().stream()
                .filter(entry -> entry.getValue().losses().isEmpty())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        assertTrue(whole.size() >= 7, "the outlines of most allow it: " + whole.size());
        click(robot, "#carry-apply");
        press(robot, KeyCode.ESCAPE);
        assertTrue(plan.keySet().stream().allMatch(photo -> state(photo) == FrameState.PLACED));
        allowed = whole;
    }

    private Set<Photo> allowed = Set.of();

    private Map<Photo, Framing> framings() {
        Map<Photo, Framing> framings = new LinkedHashMap<>();
        session()
                .shoot()
                .photos()
                .forEach(photo -> framings.put(photo, session().framing(photo)));
        return framings;
    }

    /** Where the outline allows, places differ by less than 1 % of the frame and sizes by less than 2 %. */
    private void lineUp(FxRobot robot) throws Exception {
        press(robot, KeyCode.CONTROL, KeyCode.L);
        assertEquals(MainView.LINEUP, session().viewProperty().get());
        until(() -> robot.lookup(".result-tile").queryAll().size() == POTS.size());
        assertEquals(
                EXEMPLAR,
                session()
                        .lineup()
                        .shownProperty()
                        .get()
                        .exemplar()
                        .orElseThrow()
                        .file());
        Map<Photo, Deviation> deviations =
                session().lineup().shownProperty().get().deviations();
        assertEquals(POTS.size(), deviations.size());
        allowed.forEach(photo -> {
            Deviation deviation = deviations.get(photo);
            assertTrue(deviation.offset().length() < 0.01, photo.file() + " " + deviation);
            assertEquals(1, deviation.sizeRatio().orElseThrow(), 0.02, photo.file());
        });
    }

    /** Two are moved by one drag on the Line-up, by the same share of their frames, and back by stepping back. */
    private void fixTwoTogether(FxRobot robot) throws Exception {
        List<Photo> two = allowed.stream()
                .sorted((a, b) -> a.file().compareTo(b.file()))
                .limit(2)
                .toList();
        Map<Photo, Point> before = offsets();
        clickHolding(robot, tile(robot, two.get(0)));
        clickHolding(robot, tile(robot, two.get(1)));
        assertEquals(Set.copyOf(two), session().selection().property().get());
        Node result = tile(robot, two.get(0));
        var from = result.localToScreen(60, 60);
        robot.moveTo(from).press(javafx.scene.input.MouseButton.PRIMARY);
        robot.moveTo(from.add(3, 1)).moveTo(from.add(5, 2));
        robot.release(javafx.scene.input.MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        Map<Photo, Point> after = offsets();
        Point first = after.get(two.get(0)).minus(before.get(two.get(0)));
        Point second = after.get(two.get(1)).minus(before.get(two.get(1)));
        assertTrue(first.x() > 0.005 && first.y() > 0, "the subjects went with the pointer: " + first);
        assertEquals(0, first.distance(second), 1e-9, "both by as much");
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertEquals(0, offsets().get(two.get(1)).distance(before.get(two.get(1))), 1e-12);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertEquals(after, offsets());
    }

    private static void clickHolding(FxRobot robot, Node node) {
        robot.press(KeyCode.CONTROL).clickOn(node).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static ResultTile tile(FxRobot robot, Photo photo) {
        return robot.lookup(".result-tile")
                .match((ResultTile tile) -> tile.isVisible() && tile.photo().equals(photo))
                .queryAs(ResultTile.class);
    }

    private Map<Photo, Point> offsets() {
        return session().lineup().shownProperty().get().deviations().entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().offset()));
    }

    private void checkAllAndStepBack(FxRobot robot, Set<Photo> all) throws Exception {
        press(robot, KeyCode.CONTROL, KeyCode.A);
        press(robot, KeyCode.CONTROL, KeyCode.ENTER);
        assertTrue(all.stream().allMatch(photo -> state(photo) == FrameState.CHECKED));
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertTrue(all.stream().allMatch(photo -> state(photo) == FrameState.PLACED), "one step takes all back");
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertTrue(all.stream().allMatch(photo -> state(photo) == FrameState.CHECKED), "and one does all again");
        reopen();
        assertTrue(session().shoot().photos().stream().allMatch(photo -> state(photo) == FrameState.CHECKED));
        assertEquals(2, session().framing(photo(EXEMPLAR)).marks().count());
    }
}
