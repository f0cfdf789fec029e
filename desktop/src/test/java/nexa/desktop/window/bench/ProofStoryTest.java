package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import javafx.geometry.Point2D;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import nexa.core.brief.Format;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.geometry.Point;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.window.WindowTest;
import nexa.imaging.InkMaker;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** A catalogue that goes to a press: its profile is chosen, the photo looked at as it will be printed. */
class ProofStoryTest extends WindowTest {
    private Path press;

    @Override
    protected void prepare(Path shoot) throws IOException {
        press = Files.write(shoot.resolveSibling("press.icc"), InkMaker.profile());
    }

    private Format format() {
        return session().format().orElseThrow();
    }

    /** Of the photo's middle, once it is as it should be. */
    private static Color middle(BenchView bench) throws Exception {
        WritableImage picture = picture(bench);
        Point2D centre = bench.screenToLocal(onScreen(bench, new Point(0, 0)));
        return colour(picture, centre.getX() + 40, centre.getY() + 10);
    }

    private static double distance(Color one, Color other) {
        return Math.hypot(
                Math.hypot(one.getRed() - other.getRed(), one.getGreen() - other.getGreen()),
                one.getBlue() - other.getBlue());
    }

    @Test
    void pressIsChosen_andThePhotoLookedAtAsPrinted_whileAKeyIsHeld(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        Color screen = awaited(bench, seen -> seen.getSaturation() > 0.3); // the vase is there
        onFx(() -> session()
                .briefEdits()
                .change("edit.brief.edit", session().brief().changed(format().filed(printed()))));

        robot.press(KeyCode.F2);
        Color proofed = awaited(bench, seen -> distance(seen, screen) > 0.03);
        assertTrue(proofed.getBrightness() > screen.getBrightness(), "darkness is lifted to what the press reaches");
        robot.release(KeyCode.F2);
        awaited(bench, seen -> distance(seen, screen) < 0.005);
    }

    private FileSettings printed() {
        return format().files().coloured(DeliveredColour.profile(press.toString()));
    }

    private static Color awaited(BenchView bench, Predicate<Color> condition) throws Exception {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        Color seen = middle(bench);
        while (!condition.test(seen)) {
            assertTrue(System.nanoTime() < end, "waited in vain, it is " + seen);
            seen = middle(bench);
        }
        return seen;
    }
}
