package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import nexa.core.carry.Part;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.geometry.Point;
import nexa.core.neutral.Neutral;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.setting.CarryTo;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** Photos under a lamp, and one of eyes that a flash made glow, on their way to true colours. */
class NeutralStoryTest extends WindowTest {
    @Override
    protected String[] photos() {
        return new String[] {"kiln_0201.jpg"};
    }

    @Override
    protected void prepare(Path shoot) throws IOException {
        card(shoot.resolve("card_1.png"));
        card(shoot.resolve("card_2.png"));
        eyes(shoot.resolve("eyes.png"));
    }

    /** A grey card in a lamp's light. */
    private static void card(Path to) throws IOException {
        BufferedImage image = new BufferedImage(900, 600, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = image.createGraphics();
        canvas.setColor(new Color(90, 60, 30));
        canvas.fillRect(0, 0, 900, 600);
        canvas.setColor(new Color(180, 150, 105));
        canvas.fillRect(300, 200, 300, 200);
        canvas.dispose();
        ImageIO.write(image, "png", to.toFile());
    }

    /** Two pupils that glow, each with its highlight. */
    private static void eyes(Path to) throws IOException {
        BufferedImage image = new BufferedImage(900, 600, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = image.createGraphics();
        canvas.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        canvas.setColor(new Color(205, 165, 140));
        canvas.fillRect(0, 0, 900, 600);
        for (int x : new int[] {300, 600}) {
            disc(canvas, x, 60, new Color(230, 228, 225));
            disc(canvas, x, 36, new Color(70, 95, 130));
            disc(canvas, x, 20, new Color(215, 45, 50));
            canvas.setColor(Color.WHITE);
            canvas.fillOval(x - 10, 290, 8, 8);
        }
        canvas.dispose();
        ImageIO.write(image, "png", to.toFile());
    }

    private static void disc(Graphics2D canvas, int x, int radius, Color colour) {
        canvas.setColor(colour);
        canvas.fillOval(x - radius, 300 - radius, 2 * radius, 2 * radius);
    }

    /** What shows at a place of level space; on the interface's thread. */
    private static javafx.scene.paint.Color shown(BenchView bench, Point level) {
        Point at = bench.toScreen(level).orElseThrow();
        return colour(bench.snapshot(null, null), at.x(), at.y());
    }

    private static boolean isGrey(javafx.scene.paint.Color colour) {
        return Math.abs(colour.getRed() - colour.getBlue()) < 0.02
                && Math.abs(colour.getRed() - colour.getGreen()) < 0.02;
    }

    private Neutral neutral(String file) {
        Photo photo = session().shoot().photos().stream()
                .filter(each -> each.file().equals(file))
                .findFirst()
                .orElseThrow();
        return session().shoot().framing(photo).pose().neutral();
    }

    @Test
    void aGreyPlace_isClicked_andTheCardShowsGrey(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "as photo", "card_1.png", Pose.AS_SHOT);
        Point card = new Point(0.05, 0.05);
        untilDrawn(bench, card);
        press(robot, KeyCode.SHORTCUT, KeyCode.D);
        assertEquals(BenchMode.NEUTRAL, bench.modeProperty().get());
        robot.clickOn(onScreen(bench, Point.ORIGIN));
        until(() -> !session().framing().pose().neutral().isNone());
        assertTrue(neutral("card_1.png").white().kelvin() < 5500);
        until(() -> isGrey(shown(bench, card)));

        type(robot, "#desk-neutral-kelvin-number", "3200");
        assertEquals(3200, neutral("card_1.png").white().kelvin(), 5);
        onFx(() -> robot.lookup("#desk-neutral-stops").queryAs(Slider.class).setValue(0.5));
        assertEquals(0.5, neutral("card_1.png").stops());
        click(robot, "#neutral-clear");
        assertTrue(neutral("card_1.png").isNone());
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(0.5, neutral("card_1.png").stops(), "one step back");
        click(robot, "#neutral-done");
        assertEquals(BenchMode.FRAMING, bench.modeProperty().get());
    }

    @Test
    void theLightOfOne_isCarried_exceptWhereAPhotoHasAGreyPlaceOfItsOwn(FxRobot robot) throws Exception {
        onBench(robot, "as photo", "card_2.png", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.D);
        robot.clickOn(onScreen(bench(robot), Point.ORIGIN));
        until(() -> !neutral("card_2.png").isNone());
        Neutral own = neutral("card_2.png");
        press(robot, KeyCode.ESCAPE);
        onBench(robot, "1:1", "card_1.png", Pose.AS_SHOT);
        press(robot, KeyCode.SHORTCUT, KeyCode.D);
        type(robot, "#desk-neutral-kelvin-number", "4000");
        press(robot, KeyCode.ESCAPE);
        onFx(() -> {
            session().settings().carryPartsProperty().set(Set.of(Part.NEUTRAL));
            session().settings().carryToProperty().set(CarryTo.ALL);
            session().carry().apply();
        });
        assertEquals(4000, neutral("kiln_0201.jpg").white().kelvin(), 5);
        assertEquals(own, neutral("card_2.png"));
    }

    @Test
    void eyes_areDrawnRound_weakened_andTakenAway(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "as photo", "eyes.png", Pose.AS_SHOT);
        Point left = new Point(-150 / 900.0, 0);
        Point pupil = left.plus(new Point(6 / 900.0, 6 / 900.0));
        until(() -> shown(bench, pupil).getRed() > 0.6);
        press(robot, KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.I);
        assertEquals(BenchMode.EYES, bench.modeProperty().get());
        drag(robot, onScreen(bench, left), onScreen(bench, left.plus(new Point(50 / 900.0, 0))));
        assertEquals(1, session().framing().pose().eyes().all().size());
        assertEquals(
                50 / 900.0, session().framing().pose().eyes().all().getFirst().radius(), 0.004);
        until(() -> shown(bench, pupil).getRed() < 0.3);
        until(() -> shown(bench, left.plus(new Point(28 / 900.0, 0))).getBlue() > 0.45); // the iris stays

        onFx(() -> robot.lookup("#desk-eyes-strength").queryAs(Slider.class).setValue(40));
        assertEquals(0.4, session().framing().pose().eyes().all().getFirst().strength(), 1e-9);
        click(robot, "#glow-BRIGHT");
        assertEquals(
                Glow.BRIGHT, session().framing().pose().eyes().all().getFirst().glow());

        click(robot, "#eyes-remove");
        assertTrue(session().framing().pose().eyes().isNone());
        until(() -> shown(bench, pupil).getRed() > 0.6);
        click(robot, "#eyes-find");
        until(() -> robot.lookup("#eyes-find").tryQuery().isPresent());
        press(robot, KeyCode.ESCAPE);
        assertEquals(BenchMode.FRAMING, bench.modeProperty().get());
    }
}
