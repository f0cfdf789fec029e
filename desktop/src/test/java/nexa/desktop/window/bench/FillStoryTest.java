package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import javax.imageio.ImageIO;
import nexa.core.brief.Crop;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.space.Pose;
import nexa.core.trim.Side;
import nexa.desktop.bench.BenchView;
import nexa.desktop.repair.Filling;
import nexa.desktop.session.MainView;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** Room beyond the photo, how it will look, and the delivered file. */
class FillStoryTest extends WindowTest {
    @Override
    protected String[] photos() {
        return new String[] {"kiln_0201.jpg"};
    }

    private Filling filling() {
        return window.models().orElseThrow().filling();
    }

    private Crop crop() {
        return session().framing().crop(session().format().orElseThrow()).orElseThrow();
    }

    @Test
    void roomAbove_isMadeWithItsFillInOneStep_andShownAsItWillBe(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        Frame before = frame();
        press(robot, KeyCode.SHIFT, KeyCode.S);
        onFx(() -> filling().choose(Optional.of(new Fill.Surroundings())));
        click(robot, "#room-TOP");

        assertEquals(before.centreY() - 0.1 * before.height(), frame().centreY(), 1e-9);
        assertEquals(before.width(), frame().width(), 1e-9);
        assertTrue(crop().outside());
        assertEquals(Optional.of(new Fill.Surroundings()), crop().fill());

        until(() -> filling().current().filter(shown -> !shown.draft()).isPresent());
        Filling.Shown shown = filling().current().orElseThrow();
        assertEquals(0.1, shown.look().blank(), 0.005);
        assertTrue(picture(bench).getWidth() > 0);

        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(before.centreY(), frame().centreY(), 1e-9, "one step back");
    }

    @Test
    void whatWasLookedAt_isWhatIsDelivered(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        onFx(() -> filling().makeRoom(Side.TOP, 0.12, new Fill.Colour(20, 120, 60)));
        Path out = folder.resolveSibling("out");
        press(robot, KeyCode.V);
        type(robot, "#handover-folder", out.toString());
        click(robot, "#handover-start");
        until(() -> Files.exists(out)
                && Files.list(out).anyMatch(file -> file.toString().endsWith(".jpg")));

        BufferedImage delivered = ImageIO.read(Files.list(out)
                .filter(file -> file.toString().endsWith(".jpg"))
                .findFirst()
                .orElseThrow()
                .toFile());
        int rgb = delivered.getRGB(delivered.getWidth() / 2, delivered.getHeight() / 30);
        assertEquals(20, rgb >> 16 & 255, 6);
        assertEquals(120, rgb >> 8 & 255, 6);
        assertEquals(60, rgb & 255, 6);
    }

    @Test
    void smallPictures_showTheFillToo(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        onFx(() -> filling().makeRoom(Side.TOP, 0.3, new Fill.Colour(20, 120, 60)));
        until(() -> green(drawn(robot, ".format-card")));
        onFx(() -> session().viewProperty().set(MainView.LINEUP));
        until(() -> green(drawn(robot, ".result-tile")));
    }

    private static Node drawn(FxRobot robot, String within) {
        return robot.from(robot.lookup(within))
                .lookup((Node node) -> node instanceof DrawnPane)
                .query();
    }

    /** Whether a node is of the fill's colour just below its upper edge, where the photo is not. */
    private static boolean green(Node node) {
        WritableImage picture = node.snapshot(null, null);
        Color colour = picture.getPixelReader()
                .getColor((int) picture.getWidth() / 2, Math.max(8, (int) picture.getHeight() / 10));
        return Math.abs(colour.getRed() * 255 - 20) < 8 && Math.abs(colour.getGreen() * 255 - 120) < 8;
    }
}
