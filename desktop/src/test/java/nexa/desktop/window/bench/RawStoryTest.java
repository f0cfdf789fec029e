package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import nexa.core.geometry.Frame;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.window.WindowTest;
import nexa.imaging.RawMaker;
import nexa.imaging.file.FileKind;
import nexa.imaging.system.SystemLibrary;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.scan.PairShown;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** A raw file among photos: the camera's picture of it, and its data developed. */
class RawStoryTest extends WindowTest {
    private byte[] raw;

    @Override
    protected String[] photos() {
        return new String[] {"kiln_0206.jpg"};
    }

    @Override
    protected void prepare(Path shoot) throws IOException {
        Path photo = DEMO.resolve("kiln_0201.jpg");
        BufferedImage picture = ImageIO.read(photo.toFile());
        raw = RawMaker.of(1824, 1216).preview(Files.readAllBytes(photo)).bytes(RawMaker.of(picture));
        Files.write(shoot.resolve("kiln_0101.dng"), raw);
        assumeTrue(SystemLibrary.raw().isPresent(), "LibRaw is not installed");
    }

    private Photo rawPhoto() {
        return session().shoot().photos().stream()
                .filter(photo -> photo.file().endsWith(".dng"))
                .findFirst()
                .orElseThrow();
    }

    private FileKind kind() {
        return rawPhoto().facts().orElseThrow().kind();
    }

    @Test
    void dataOfTheCurrentPhoto_isShownByAKey_andCropsStay(FxRobot robot) throws Exception {
        BenchView bench = onBench(robot, "4:5", "kiln_0101.dng", Pose.AS_SHOT);
        assertEquals(FileKind.RAW, kind());
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.RIGHT);
        Frame before = frame();

        press(robot, KeyCode.SHIFT, KeyCode.V);
        until(() -> kind() == FileKind.RAW_DATA && session().photo().equals(Optional.of(rawPhoto())));
        Frame after = frame();
        assertEquals(before.centreX(), after.centreX(), 1e-3);
        assertEquals(before.height(), after.height(), 2e-3);
        untilDrawn(bench, after.at(0.4, 0.4));
        until(() -> robot.lookup("#passing").queryAs(Label.class).getText().contains("developed"));

        press(robot, KeyCode.SHIFT, KeyCode.V);
        until(() -> kind() == FileKind.RAW);
        assertEquals(before, frame(), "the camera's picture has the very same frame again");
        assertArrayEquals(raw, Files.readAllBytes(folder.resolve("kiln_0101.dng")));
    }

    @Test
    void photoThatIsNoRawFile_isNamed_untilOneGoesOn(FxRobot robot) throws Exception {
        Path broken = folder.resolve("kiln_0102.dng");
        Files.write(broken, Arrays.copyOf(raw, 300));
        until(() -> session().shoot().photos().stream().anyMatch(photo -> !photo.isReadable()));
        onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.SHIFT, KeyCode.V);
        String said = robot.lookup("#passing").queryAs(Label.class).getText();
        assertEquals("kiln_0206.jpg is not a raw file", said);
        onFx(() -> session()
                .choose(session().shoot().photos().stream()
                        .filter(photo -> photo.file().equals("kiln_0102.dng"))
                        .findFirst()
                        .orElseThrow()));
        assertFalse(robot.lookup("#passing").tryQuery().isPresent());
        press(robot, KeyCode.SHIFT, KeyCode.V);
        String why = robot.lookup("#passing").queryAs(Label.class).getText();
        assertTrue(why.startsWith("kiln_0102.dng can't be shown:"), why);
    }

    @Test
    void wholeShoot_isChosenInTheSettings(FxRobot robot) throws Exception {
        press(robot, KeyCode.SHORTCUT, KeyCode.COMMA);
        until(() -> robot.lookup("#settings-raw").tryQuery().isPresent());
        onFx(() -> {
            @SuppressWarnings("unchecked")
            ChoiceBox<RawPicture> box = robot.lookup("#settings-raw").queryAs(ChoiceBox.class);
            box.setValue(RawPicture.DATA);
        });
        until(() -> kind() == FileKind.RAW_DATA);
        assertEquals(RawPicture.DATA, RawPicture.of(session().shoot().setting(RawPicture.SETTING)));
        until(() -> robot.lookup("#settings-raw-said")
                .queryAs(Label.class)
                .getText()
                .contains("One photo"));
        assertTrue(session().shoot().photos().stream().allMatch(Photo::isReadable));
    }

    @Test
    void pair_isOnePhoto_andItsFilesAreTwoIfWanted(FxRobot robot) throws Exception {
        Files.copy(DEMO.resolve("kiln_0201.jpg"), folder.resolve("kiln_0101.jpg"));
        until(() -> session().shoot().photos().stream()
                .anyMatch(photo -> photo.file().equals("kiln_0101.jpg")));
        assertEquals(2, session().shoot().photos().size(), "the raw file and the picture that came are one");
        press(robot, KeyCode.SHORTCUT, KeyCode.COMMA);
        until(() -> robot.lookup("#settings-pairs").tryQuery().isPresent());
        onFx(() -> {
            @SuppressWarnings("unchecked")
            ChoiceBox<PairShown> box = robot.lookup("#settings-pairs").queryAs(ChoiceBox.class);
            box.setValue(PairShown.APART);
        });
        until(() -> window.session()
                .filter(session -> session.shoot().photos().size() == 3)
                .isPresent());
    }
}
