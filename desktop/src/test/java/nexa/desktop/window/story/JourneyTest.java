package nexa.desktop.window.story;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.paint.Color;
import javax.imageio.ImageIO;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Overlay;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** A photographer's way through the real window, with mouse and keys, on photos of the demo shoot. */
class JourneyTest extends WindowTest {
    @Test
    void wholeStory(FxRobot robot) throws Exception {
        Map<String, String> before = hashes();
        until(() -> robot.lookup(".photo-tile").queryAll().size() == 3);
        addFormat(robot, "4:5");
        assertEquals("4:5", session().format().orElseThrow().name());

        openInBench(robot, "kiln_0201.jpg");
        Frame fitted = session().frame().orElseThrow();
        assertEquals(1.25, fitted.aspect(), 1e-9);
        BenchView bench = bench(robot);
        drag(robot, onScreen(bench, fitted.at(1, 1)), onScreen(bench, fitted.at(0.8, 0.8)));
        Frame resized = session().frame().orElseThrow();
        assertEquals(fitted.left(), resized.left(), 0.003);
        assertEquals(fitted.width() * 0.8, resized.width(), 0.01);
        assertEquals(1.25, resized.aspect(), 1e-9);
        drag(
                robot,
                onScreen(bench, resized.centre()),
                onScreen(bench, resized.centre().plus(new Point(0.05, 0.02))));
        Frame moved = session().frame().orElseThrow();
        assertEquals(resized.centreX() + 0.05, moved.centreX(), 0.003);
        assertEquals(
                FrameState.PLACED, session().framing().state(session().format().orElseThrow()));

        press(robot, KeyCode.G);
        press(robot, KeyCode.G);
        press(robot, KeyCode.G);
        assertEquals(
                Optional.of(Overlay.GOLDEN_SPIRAL),
                session().overlayProperty().get().overlay());
        press(robot, KeyCode.SHIFT, KeyCode.G);
        assertEquals(1, session().overlayProperty().get().orientation());

        press(robot, KeyCode.N);
        press(robot, KeyCode.N);
        assertEquals("kiln_0230.jpg", session().photo().orElseThrow().file());
        levelAlong(robot, bench, trueLevel("kiln_0230.jpg"));
        assertEquals(-3.2, session().framing().pose().tilt().degrees(), 0.25);

        press(robot, KeyCode.PAGE_UP);
        assertEquals("kiln_0206.jpg", session().photo().orElseThrow().file());
        reopen();
        assertEquals("kiln_0206.jpg", session().photo().orElseThrow().file());
        assertEquals(MainView.BENCH, session().viewProperty().get());
        assertEquals(1, session().overlayProperty().get().orientation());
        Photo first = session().shoot().photos().getFirst();
        Frame again =
                session().shoot().frame(first, session().format().orElseThrow()).orElseThrow();
        assertEquals(0, again.centre().distance(moved.centre()), 1e-12);

        handOver(robot, folder.resolveSibling("out"));
        assertDelivered(folder.resolveSibling("out").resolve("kiln_0201_4-5.jpg"), moved);
        assertEquals(before, hashes());
    }

    private Point[] trueLevel(String name) throws IOException {
        String[] cells = Files.readAllLines(DEMO.resolve("../truth.csv")).stream()
                .filter(line -> line.startsWith(name))
                .findFirst()
                .orElseThrow()
                .split(",");
        return new Point[] {
            session()
                    .space()
                    .orElseThrow()
                    .toLevel(new Point(Double.parseDouble(cells[2]), Double.parseDouble(cells[3]))),
            session()
                    .space()
                    .orElseThrow()
                    .toLevel(new Point(Double.parseDouble(cells[4]), Double.parseDouble(cells[5])))
        };
    }

    private static void levelAlong(FxRobot robot, BenchView bench, Point[] line) {
        press(robot, KeyCode.L);
        drag(robot, onScreen(bench, line[0]), onScreen(bench, line[1]));
    }

    private void handOver(FxRobot robot, Path out) throws Exception {
        press(robot, KeyCode.V);
        type(robot, "#handover-folder", out.toString());
        click(robot, "#handover-start");
        until(() -> robot.lookup("#handover-status").queryLabeled().getText().startsWith("3 files are in"));
    }

    private static void assertDelivered(Path file, Frame frame) throws IOException {
        try (Picture picture = Decoder.decode(file, Reduction.NONE)) {
            PixelSize size = picture.size();
            assertEquals(frame.width() * 1800, size.width(), 1);
            assertEquals(1.25, size.aspect(), 0.002);
        }
    }

    @Test
    void frameEdgesAndMat_sitOnTheModelsFrame(FxRobot robot) throws Exception {
        addFormat(robot, "1:1");
        openInBench(robot, "kiln_0201.jpg");
        BenchView bench = bench(robot);
        Frame frame = session().frame().orElseThrow();
        untilDrawn(bench, frame.at(0.3, 0.25));
        WritableImage picture = picture(bench);
        Point left = bench.toScreen(frame.at(0, 0.2)).orElseThrow();
        int row = (int) left.y();
        int edge = (int) Math.round(left.x()) - 1;
        Color line = picture.getPixelReader().getColor(edge, row);
        assertTrue(line.getBrightness() > 0.85, "the frame's line is the pixel just outside the frame: " + line);
        Color inside = picture.getPixelReader().getColor(edge + 12, row);
        Color outside = picture.getPixelReader().getColor(edge - 12, row);
        assertTrue(
                inside.getBrightness() > outside.getBrightness() + 0.2,
                inside + " inside, " + outside + " under the mat");
    }

    @Test
    void keys_turnMirrorTiltClearAndStepBack(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        openInBench(robot, "kiln_0206.jpg");
        press(robot, KeyCode.Q);
        assertEquals(Turn.CLOCKWISE, session().framing().pose().turn());
        press(robot, KeyCode.PERIOD);
        press(robot, KeyCode.SHIFT, KeyCode.PERIOD);
        assertEquals(1.1, session().framing().pose().tilt().degrees(), 1e-9);
        press(robot, KeyCode.M);
        assertEquals(-1.1, session().framing().pose().tilt().degrees(), 1e-9);
        press(robot, KeyCode.ENTER);
        assertEquals("kiln_0230.jpg", session().photo().orElseThrow().file());
        Photo checked = session().shoot().photos().get(1);
        assertEquals(
                FrameState.CHECKED,
                session().framing(checked).state(session().format().orElseThrow()));
        for (int i = 0; i < 5; i++) {
            press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        }
        assertEquals(Turn.NONE, session().framing(checked).pose().turn());
        assertEquals(
                FrameState.DERIVED,
                session().framing(checked).state(session().format().orElseThrow()));
    }

    @Test
    void ruler_scrubbedAndLetGo_isOneStepBack(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        openInBench(robot, "kiln_0201.jpg");
        robot.moveTo("#tilt-ruler")
                .press(MouseButton.PRIMARY)
                .moveBy(-28, 0)
                .moveBy(-28, 0)
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(2, session().framing().pose().tilt().degrees(), 0.05);
        click(robot, "#undo");
        assertEquals(0, session().framing().pose().tilt().degrees());
    }

    @Test
    void typedTilt_andNonsense(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        openInBench(robot, "kiln_0201.jpg");
        click(robot, "#tilt-value")
                .push(KeyCode.SHORTCUT, KeyCode.A)
                .write("-1,25")
                .push(KeyCode.ENTER);
        assertEquals(-1.25, session().framing().pose().tilt().degrees());
        click(robot, "#tilt-value")
                .push(KeyCode.SHORTCUT, KeyCode.A)
                .write("level")
                .push(KeyCode.ENTER);
        assertEquals(-1.25, session().framing().pose().tilt().degrees());
    }

    @Test
    void formats_chosenByDigitRefusedInWordsRemovedAndBroughtBack(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        addFormat(robot, "1:1");
        press(robot, KeyCode.DIGIT1);
        assertEquals("4:5", session().format().orElseThrow().name());
        press(robot, KeyCode.DIGIT2);
        assertEquals("1:1", session().format().orElseThrow().name());
        addFormat(robot, "0:7");
        assertTrue(robot.lookup(".refusal").queryLabeled().getText().contains("positive"));
        press(robot, KeyCode.ESCAPE);
        robot.moveTo("#format-2").clickOn("#remove-2");
        assertEquals("4:5", session().brief().names());
        click(robot, "#undo");
        assertEquals("4:5, 1:1", session().brief().names());
    }

    @Test
    void unreadablePhotos_showTheirReasonsOnTheWall(FxRobot robot) throws Exception {
        BufferedImage noise = new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB);
        Path png = folder.resolve("a.png");
        ImageIO.write(noise, "png", png.toFile());
        byte[] bytes = Files.readAllBytes(png);
        java.util.Arrays.fill(bytes, 50, bytes.length - 20, (byte) 7);
        Files.write(png, bytes);
        Files.writeString(folder.resolve("b.jpg"), "text");
        reopen();
        until(() -> reasons(robot).equals(List.of("damaged", "not an image")));
    }

    private static List<String> reasons(FxRobot robot) {
        return robot.lookup(".tile-trouble").queryAll().stream()
                .filter(Node::isVisible)
                .map(label -> ((Label) label).getText())
                .sorted()
                .toList();
    }

    @Test
    void open_whatIsNoFolder_saysSoOnTheFirstStart(FxRobot robot) throws Exception {
        WaitForAsyncUtils.asyncFx(() -> window.open(folder.resolve("kiln_0201.jpg")))
                .get();
        until(() -> robot.lookup("#start-message").queryLabeled().getText().contains("not a folder"));
    }

    private Map<String, String> hashes() throws Exception {
        Map<String, String> hashes = new TreeMap<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : (Iterable<Path>) files.filter(Files::isRegularFile)::iterator) {
                byte[] digest = MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file));
                hashes.put(
                        file.getFileName().toString(), java.util.HexFormat.of().formatHex(digest));
            }
        }
        return hashes;
    }
}
