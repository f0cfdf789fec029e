package nexa.desktop.window.story;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.input.KeyCode;
import nexa.core.brief.FrameState;
import nexa.core.carry.Part;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.lens.LensUse;
import nexa.core.plumb.Plumb;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.model.Plumbing;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Eight photos of shelves, upright and lying, taken with a camera that leaned: the lens for all, each one stood up, a format
 * carried, checked and handed over.
 */
class FacadeStoryTest extends WindowTest {
    /** How the camera of each photo leaned, degrees: those of the demo's scenes, and one that is made up. */
    private record Lean(String photo, double pitch, double yaw) {}

    private static final List<Lean> BY_LINES = List.of(
            new Lean("kiln_0201.jpg", -7.6, 0),
            new Lean("kiln_0202.jpg", -5.2, 0),
            new Lean("kiln_0204.jpg", -2.9, 0),
            new Lean("kiln_0206.jpg", -5, 0),
            new Lean("kiln_0224.jpg", 3, 0),
            new Lean("kiln_0239.jpg", -8, 10));

    private static final List<Lean> BY_THEMSELVES =
            List.of(new Lean("kiln_0237.jpg", 12, 0), new Lean("kiln_0238.jpg", 9, -6));

    @Override
    protected String[] photos() {
        return Stream.concat(BY_LINES.stream(), BY_THEMSELVES.stream())
                .map(Lean::photo)
                .sorted()
                .toArray(String[]::new);
    }

    private Plumbing plumbing() {
        return window.models().orElseThrow().plumbing();
    }

    @Test
    void setOfEight_isCorrectedFramedAndDelivered(FxRobot robot) throws Exception {
        byte[] original = Files.readAllBytes(folder.resolve("kiln_0201.jpg"));
        addFormat(robot, "4:5");
        openInBench(robot, "kiln_0201.jpg");
        BenchView bench = bench(robot);
        lensForAll(robot);
        for (Lean lean : BY_THEMSELVES) {
            show(lean);
            press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.U);
            until(() -> plumbing()
                    .verdictProperty()
                    .get()
                    .filter(Plumbing.Verdict.Found.class::isInstance)
                    .isPresent());
            assertStands(lean, 0.5);
        }
        for (Lean lean : BY_LINES) {
            show(lean);
            standByLines(robot, bench, lean);
            assertStands(lean, 0.7); // a pixel of the screen is a third of a degree
        }
        carryFrame(robot);
        onFx(() -> session().selection().selectAll());
        press(robot, KeyCode.CONTROL, KeyCode.ENTER);
        for (Photo photo : session().shoot().photos()) {
            assertEquals(
                    FrameState.CHECKED,
                    session().framing(photo).state(session().format().orElseThrow()));
        }
        handOver(robot, folder.resolveSibling("out"));
        assertArrayEquals(original, Files.readAllBytes(folder.resolve("kiln_0201.jpg")));
    }

    private void lensForAll(FxRobot robot) throws Exception {
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        until(() -> window.models().orElseThrow().lens().offerProperty().get().isPresent());
        click(robot, "#lens-all");
        until(() -> window.models().orElseThrow().lens().groupsProperty().get().isPresent());
        click(robot, "#lens-accept-all");
        click(robot, "#lens-list-done");
        assertTrue(session().shoot().photos().stream()
                .anyMatch(photo -> session().framing(photo).pose().lens().use() == LensUse.FOUND));
    }

    private void show(Lean lean) throws Exception {
        Photo photo = session().shoot().photos().stream()
                .filter(each -> each.file().equals(lean.photo))
                .findFirst()
                .orElseThrow();
        onFx(() -> session().choose(photo));
        until(() -> plumbing().isFocalKnown());
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Along two uprights, left and right, as a camera that leaned so has them. */
    private void standByLines(FxRobot robot, BenchView bench, Lean lean) throws Exception {
        onFx(() -> bench.modeProperty().set(BenchMode.PLUMB));
        Locations own = new Locations(folder.resolveSibling("own"), folder.resolveSibling("own"));
        double focal = new Lenses(own, Preferences.open(own))
                .focal(session().photo().flatMap(Photo::facts).orElseThrow());
        Mapping leaned = Plumb.of(lean.pitch, lean.yaw, focal)
                .mapping(session().framing().pose().lens().reach())
                .inverse();
        Point far = session().space().orElseThrow().halfSides().times(0.85);
        for (double x : new double[] {-far.x(), far.x()}) {
            drag(
                    robot,
                    onScreen(bench, leaned.apply(new Point(x, far.y()))),
                    onScreen(bench, leaned.apply(new Point(x, -far.y()))));
            WaitForAsyncUtils.waitForFxEvents();
        }
        assertEquals(2, plumbing().linesProperty().get().size(), lean::toString);
        press(robot, KeyCode.ESCAPE);
    }

    private void assertStands(Lean lean, double within) {
        assertEquals(lean.pitch, plumbing().shown().pitch(), within, lean::toString);
        assertTrue(session().space().orElseThrow().outline().holds(frame()), "no blank is shown");
    }

    private void carryFrame(FxRobot robot) throws Exception {
        place(0.8);
        onFx(() -> session().settings().carryPartsProperty().set(Set.of(Part.SHAPE, Part.PLACE)));
        onFx(() -> session().viewProperty().set(MainView.WALL));
        press(robot, KeyCode.SHIFT, KeyCode.B);
        until(() -> session().carry().planProperty().get().size() == 7);
        click(robot, "#carry-apply");
        press(robot, KeyCode.ESCAPE);
    }

    private void handOver(FxRobot robot, Path out) throws Exception {
        press(robot, KeyCode.V);
        type(robot, "#handover-folder", out.toString());
        click(robot, "#handover-start");
        until(() -> robot.lookup("#handover-status").queryLabeled().getText().startsWith("8 files are in"));
        try (Stream<Path> files = Files.list(out)) {
            for (Path file :
                    files.filter(each -> each.toString().endsWith(".jpg")).toList()) {
                try (Picture picture = Decoder.decode(file, Reduction.NONE)) {
                    PixelSize size = picture.size();
                    assertEquals(1.25, Math.max(size.aspect(), 1 / size.aspect()), 0.003, file::toString);
                }
            }
        }
    }
}
