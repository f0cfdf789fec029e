package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.carry.Part;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.lens.Lens;
import nexa.core.lens.LensUse;
import nexa.core.lens.Straightening;
import nexa.core.lens.data.LensProfile;
import nexa.core.lens.measure.ChartFit;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** A shoot of which two photos were taken with a measured lens. */
class LensStoryTest extends WindowTest {
    @Override
    protected String[] photos() {
        return new String[] {"kiln_0201.jpg", "kiln_0224.jpg", "kiln_0225.jpg"};
    }

    private Lens lens(String name) {
        return session().shoot().framing(photo(name)).pose().lens();
    }

    private Photo photo(String name) {
        return session().shoot().photos().stream()
                .filter(photo -> photo.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void listOfLenses_correctsAllFoundInOneStep(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0224.jpg", Pose.AS_SHOT);
        place(0.8);
        Frame before = frame();
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        until(() -> window.models().orElseThrow().lens().offerProperty().get().isPresent());
        assertEquals(
                "Aldermoor 18-35mm f/4", ((Labeled) robot.lookup("#lens-name").query()).getText());
        click(robot, "#lens-all");
        until(() -> window.models().orElseThrow().lens().groupsProperty().get().isPresent());
        assertEquals(
                2,
                window.models()
                        .orElseThrow()
                        .lens()
                        .groupsProperty()
                        .get()
                        .orElseThrow()
                        .size());
        click(robot, "#lens-accept-all");
        assertEquals(LensUse.FOUND, lens("kiln_0224.jpg").use());
        assertEquals(LensUse.FOUND, lens("kiln_0225.jpg").use());
        assertEquals(LensUse.OFF, lens("kiln_0201.jpg").use());
        assertTrue(robot.lookup("#lens-accept-all").queryAs(Button.class).isDisabled(), "all are");
        click(robot, "#lens-list-done");
        assertTrue(session().space().orElseThrow().outline().holds(frame()));
        onFx(() -> session().shoot().undo());
        assertEquals(Lens.OFF, lens("kiln_0224.jpg"));
        assertEquals(Lens.OFF, lens("kiln_0225.jpg"));
        assertEquals(before, frame(), "to the last bit");
    }

    @Test
    void anotherLens_isChosenByTyping_andRemembered(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        until(() -> window.models().orElseThrow().lens().offerProperty().get().isPresent());
        assertTrue(robot.lookup("#lens-use-found").query().isDisabled(), "no measures of this lens");
        click(robot, "#lens-use-chosen");
        type(robot, "#lens-search", "aldermoor 18");
        ListView<LensProfile> list = robot.lookup("#lens-list").queryListView();
        assertEquals(1, list.getItems().size());
        press(robot, KeyCode.ENTER);
        assertEquals(LensUse.CHOSEN, lens("kiln_0201.jpg").use());
        click(robot, "#lens-use-off");
        assertEquals(LensUse.OFF, lens("kiln_0201.jpg").use());
        until(() -> window.models().orElseThrow().lens().offerProperty().get().isPresent());
        assertFalse(robot.lookup("#lens-use-found").query().isDisabled(), "it is remembered for the camera");
    }

    /** A shelf near the top of a barrel photo, whose lens is known: what is drawn along it finds about that lens. */
    @Test
    void lineAlongSomethingStraight_findsTheBendByHand(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0224.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        until(() -> window.models().orElseThrow().lens().offerProperty().get().isPresent());
        click(robot, "#lens-use-found");
        until(() -> lens("kiln_0224.jpg").use() == LensUse.FOUND);
        Mapping asShot = lens("kiln_0224.jpg").distortion();
        List<Point> shelf = shelf(asShot, -0.26);
        click(robot, "#lens-use-by-hand");
        click(robot, "#lens-straighten");
        assertEquals(BenchMode.STRAIGHTENING, bench.modeProperty().get());
        press(robot, KeyCode.ESCAPE); // the pane lies over the shelf
        onFx(() -> bench.modeProperty().set(BenchMode.STRAIGHTENING));
        robot.moveTo(onScreen(bench, shelf.getFirst())).press(MouseButton.PRIMARY);
        shelf.forEach(place -> robot.moveTo(onScreen(bench, place)));
        robot.release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        Straightening found = window.models()
                .orElseThrow()
                .bendByLine()
                .drawnProperty()
                .get()
                .orElseThrow()
                .found()
                .orElseThrow();
        assertTrue(found.after() < found.before() / 4, found::toString);
        assertEquals(LensUse.BY_HAND, lens("kiln_0224.jpg").use());
        assertEquals(found.bend(), lens("kiln_0224.jpg").hand().bend());
        List<Point> otherShelf = shelf(asShot, 0.28);
        Mapping corrected = lens("kiln_0224.jpg").distortion().inverse();
        List<Point> straightened = otherShelf.stream().map(corrected::apply).toList();
        assertTrue(
                ChartFit.straightness(List.of(straightened)) < ChartFit.straightness(List.of(otherShelf)) / 3,
                "the photo's other side is straighter too");
        onFx(() -> session().shoot().undo());
        assertEquals(0, lens("kiln_0224.jpg").hand().bend());
        assertTrue(
                window.models().orElseThrow().bendByLine().drawnProperty().get().isEmpty());
    }

    /** What is straight, as shot. */
    private static List<Point> shelf(Mapping asShot, double height) {
        return IntStream.rangeClosed(-12, 12)
                .mapToObj(i -> asShot.apply(new Point(i * 0.03, height)))
                .toList();
    }

    @Test
    void lensAndPlumb_areCarried_eachByItself(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0224.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        until(() -> window.models().orElseThrow().lens().offerProperty().get().isPresent());
        click(robot, "#lens-use-found");
        until(() -> lens("kiln_0224.jpg").use() == LensUse.FOUND);
        press(robot, KeyCode.ESCAPE);
        onFx(() -> window.models().orElseThrow().plumbing().edit(plumb -> plumb.withAngles(5, 0)));
        onFx(() -> session().settings().carryPartsProperty().set(Set.of(Part.LENS)));
        onFx(() -> session().viewProperty().set(MainView.WALL));
        press(robot, KeyCode.SHIFT, KeyCode.B);
        until(() -> session().carry().planProperty().get().size() == 2);
        click(robot, "#carry-apply");
        assertEquals(LensUse.FOUND, lens("kiln_0225.jpg").use());
        assertFalse(lens("kiln_0225.jpg").terms().equals(lens("kiln_0224.jpg").terms()), "each its own focal length");
        assertEquals(LensUse.OFF, lens("kiln_0201.jpg").use(), "of which there are no measures");
        assertEquals(
                0,
                session().shoot().framing(photo("kiln_0225.jpg")).pose().plumb().pitch());
    }
}
