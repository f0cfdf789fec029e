package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.repair.Trimming;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** Scans with borders, among photos without, on their way to frames inside. */
class TrimStoryTest extends WindowTest {
    private static final int DEPTH = 60;

    @Override
    protected String[] photos() {
        return new String[] {"kiln_0201.jpg"};
    }

    @Override
    protected void prepare(Path shoot) throws IOException {
        scan(shoot.resolve("scan_white.png"), "kiln_0206.jpg", Color.WHITE, 0);
        bed(shoot.resolve("bed.png"));
        cut(shoot.resolve("cut.png"));
        scan(shoot.resolve("scan_crooked.png"), "kiln_0230.jpg", new Color(226, 224, 220), 2);
    }

    /** A demo photo with a border around it. @param lean degrees by which it lies crooked */
    private static void scan(Path to, String photo, Color border, double lean) throws IOException {
        BufferedImage whole = ImageIO.read(DEMO.resolve(photo).toFile());
        double scale = 900.0 / Math.max(whole.getWidth(), whole.getHeight());
        int width = (int) Math.round(whole.getWidth() * scale);
        int height = (int) Math.round(whole.getHeight() * scale);
        BufferedImage scan = new BufferedImage(width + 2 * DEPTH, height + 2 * DEPTH, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = scan.createGraphics();
        canvas.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        canvas.setColor(border);
        canvas.fillRect(0, 0, scan.getWidth(), scan.getHeight());
        AffineTransform place =
                AffineTransform.getRotateInstance(Math.toRadians(lean), scan.getWidth() / 2.0, scan.getHeight() / 2.0);
        place.translate(DEPTH, DEPTH);
        place.scale(scale, scale);
        canvas.drawImage(whole, place, null);
        canvas.dispose();
        ImageIO.write(scan, "png", to.toFile());
    }

    /** A demo photo cut in two, with white between. */
    private static void cut(Path to) throws IOException {
        BufferedImage whole = ImageIO.read(DEMO.resolve("kiln_0201.jpg").toFile());
        BufferedImage scan = new BufferedImage(940, 600, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = scan.createGraphics();
        canvas.setColor(Color.WHITE);
        canvas.fillRect(0, 0, 940, 600);
        canvas.drawImage(whole, 0, 0, 900, 600, null);
        BufferedImage right = new BufferedImage(400, 600, BufferedImage.TYPE_INT_RGB);
        right.createGraphics().drawImage(scan, -500, 0, null);
        canvas.drawImage(right, 540, 0, null);
        canvas.fillRect(500, 0, 40, 600);
        canvas.dispose();
        ImageIO.write(scan, "png", to.toFile());
    }

    @Test
    void aPictureThatWasCut_isClosedUp_openedByItsKnob_andClosedByADrag(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "as photo", "cut.png", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.T);
        click(robot, "#trim-close");
        until(() -> session().framing().pose().bands().count() == 1);
        until(() -> Math.abs(frame().aspect() - 1.5) < 0.001);
        javafx.scene.paint.Color seam = at(bench, new Point(0.05, -0.1));
        assertTrue(seam.getBrightness() < 0.95, "nothing white is left where they meet: " + seam);

        robot.clickOn(onScreen(bench, knob()));
        until(() -> session().framing().pose().bands().isNone());
        assertEquals(940.0 / 600, frame().aspect(), 0.01);

        drag(robot, onScreen(bench, asShot(500, 200)), onScreen(bench, asShot(540, 210)));
        until(() -> session().framing().pose().bands().count() == 1);
        assertEquals(900.0 / 940, frame().width(), 0.01);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        until(() -> session().framing().pose().bands().isNone());
        click(robot, "#trim-done");
    }

    /** What is not there, or would leave hardly anything, is said and is no step. */
    @Test
    void closingUp_whereThereIsNothing_orNothingWouldBeLeft_isSaid(FxRobot robot) throws Exception {
        onBench(robot, "as photo", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.T);
        int edits = session().editsProperty().get();
        click(robot, "#trim-close");
        until(() -> trimming().verdictProperty().get().equals(Optional.of(new Trimming.Verdict.ClosedUp(0))));
        assertEquals(edits, session().editsProperty().get());

        Bands.Band wide = new Bands.Band(true, new Gaps.Gap(-0.49, 0.3));
        Bands.Band more = new Bands.Band(true, new Gaps.Gap(0.31, 0.49));
        onFx(() -> trimming().closeUp(wide));
        onFx(() -> trimming().closeUp(more));
        assertEquals(
                Optional.of(new Trimming.Verdict.ClosedUp(0)),
                trimming().verdictProperty().get());
        assertEquals(1, session().framing().pose().bands().count());
        assertEquals(edits + 1, session().editsProperty().get());

        PixelSize size = session().moment().asShot().orElseThrow();
        double half = 0.5 * Math.min(size.width(), size.height()) / size.longEdge();
        Bands.Band shortSide = new Bands.Band(size.width() < size.height(), new Gaps.Gap(-half, half));
        onFx(() -> trimming().closeUp(shortSide));
        assertEquals(
                Optional.of(new Trimming.Verdict.ClosedUp(0)),
                trimming().verdictProperty().get());
        assertEquals(edits + 1, session().editsProperty().get(), "nor all of its shorter side");
    }

    private Trimming trimming() {
        return window.models().orElseThrow().trimming();
    }

    private static Point asShot(double x, double y) {
        return new Point((x - 470) / 940, (y - 300) / 940);
    }

    /** A third down where the two sides meet: in sixteen pieces, the fifth's end. */
    private static Point knob() {
        return new Point(50.0 / 940, (-300 + 600 * 5 / 16.0) / 940);
    }

    private static javafx.scene.paint.Color at(BenchView bench, Point level) throws Exception {
        Point2D on = bench.screenToLocal(onScreen(bench, level));
        return colour(picture(bench), on.getX(), on.getY());
    }

    @Test
    void severalPicturesInOneScan_getACropEach(FxRobot robot) throws Exception {
        onBench(robot, "as photo", "bed.png", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.T);
        click(robot, "#trim-split");
        until(() ->
                session().framing().alternates(session().format().orElseThrow()).size() == 2);
        assertEquals(1.5, frame().aspect(), 0.01);
        assertEquals(400.0 / 900, frame().width(), 0.005);
        assertTrue(frame().right() < 0, "the first is the one on the left");
        click(robot, "#trim-done");
        assertEquals(
                List.of(true, false),
                session().framing().alternates(session().format().orElseThrow()).stream()
                        .map(alternate -> alternate.crop().wish().centreX() < 0)
                        .toList(),
                "the alternates are the two pictures");

        press(robot, KeyCode.V);
        until(() -> robot.lookup("#handover-alternates").query().isVisible());
        click(robot, "#handover-alternates");
        click(robot, "#handover-start");
        Path delivered = folder.resolve("delivered");
        until(() -> Files.exists(delivered.resolve("bed-1_as photo.jpg"))
                && Files.exists(delivered.resolve("bed-2_as photo.jpg")));
    }

    /** Two prints side by side on a scanner's bed. */
    private static void bed(Path to) throws IOException {
        BufferedImage bed = new BufferedImage(900, 400, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = bed.createGraphics();
        canvas.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        canvas.setColor(new Color(240, 240, 238));
        canvas.fillRect(0, 0, 900, 400);
        canvas.drawImage(ImageIO.read(DEMO.resolve("kiln_0230.jpg").toFile()), 30, 60, 400, 267, null);
        canvas.drawImage(ImageIO.read(DEMO.resolve("kiln_0201.jpg").toFile()), 470, 70, 400, 267, null);
        canvas.dispose();
        ImageIO.write(bed, "png", to.toFile());
    }

    private Trim trim(String file) {
        Photo photo = session().shoot().photos().stream()
                .filter(each -> each.file().equals(file))
                .findFirst()
                .orElseThrow();
        return session().shoot().framing(photo).pose().trim();
    }

    @Test
    void bordersOfASelection_areAListToDecide_andAllFoundIsOneStep(FxRobot robot) throws Exception {
        byte[] before = Files.readAllBytes(folder.resolve("scan_white.png"));
        addFormat(robot, "4:5");
        press(robot, KeyCode.SHORTCUT, KeyCode.A);
        press(robot, KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.T);
        until(() -> robot.lookup("#accept-scan_white")
                .tryQuery()
                .filter(n -> n.isVisible())
                .isPresent());
        until(() -> robot.lookup("#accept-scan_crooked")
                .tryQuery()
                .filter(n -> n.isVisible())
                .isPresent());
        assertFalse(robot.lookup("#accept-kiln_0201").query().isVisible(), "it has no border");
        assertTrue(trim("scan_white.png").isNone(), "nothing changed by itself");

        click(robot, "#trim-all");

        assertEquals(0.5 - DEPTH / 1020.0, trim("scan_white.png").bottom(), 1.0 / 1020, "it stands upright");
        assertEquals(2, trim("scan_crooked.png").lean().degrees(), 0.15);
        assertTrue(trim("kiln_0201.jpg").isNone());
        click(robot, "#review-done");
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertTrue(trim("scan_white.png").isNone() && trim("scan_crooked.png").isNone(), "one step back");
        assertTrue(Arrays.equals(before, Files.readAllBytes(folder.resolve("scan_white.png"))));
    }

    @Test
    void crookedScan_isFoundOnTheBench_andItsFrameShowsNothingOfTheBorder(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "scan_crooked.png", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.T);
        until(() -> !session().framing().pose().trim().isNone());

        assertEquals(BenchMode.TRIM, bench.modeProperty().get());
        assertEquals(-2, session().framing().pose().tilt().degrees(), 0.15, "laid straight");
        PhotoSpace space = session().space().orElseThrow();
        assertTrue(space.outline().holds(frame()));
        assertEquals(4.0 / 5, frame().aspect() > 1 ? 1 / frame().aspect() : frame().aspect(), 1e-9);
    }

    @Test
    void sides_areDraggedAndTyped_andAtThePhotosEdgeThereIsNone(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "1:1", "scan_white.png", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.T);
        double half = session().space().orElseThrow().halfSides().x();
        Point edge = new Point(-half, 0);
        Point inner = new Point(-half + 0.1, 0);

        drag(robot, onScreen(bench, edge), onScreen(bench, inner));
        assertEquals(-half + 0.1, trim("scan_white.png").left(), 0.004);
        assertEquals(BenchMode.TRIM, bench.modeProperty().get(), "one goes on with the other sides");

        type(robot, "#trim-right", "60");
        assertEquals(half - 60.0 / 1020, trim("scan_white.png").right(), 1e-9);
        assertTrue(frame().right() <= half - 60.0 / 1020 + 1e-9);

        Point2D beyond = onScreen(bench, new Point(-half - 0.05, 0));
        drag(robot, onScreen(bench, new Point(trim("scan_white.png").left(), 0)), beyond);
        assertEquals(-1, trim("scan_white.png").left(), "dragged back to the edge there is no border");

        click(robot, "#trim-clear");
        assertTrue(trim("scan_white.png").isNone());
        click(robot, "#trim-done");
        assertEquals(BenchMode.FRAMING, bench.modeProperty().get());
    }
}
