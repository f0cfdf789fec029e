package nexa.desktop.window.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import nexa.core.brief.Crop;
import nexa.core.brief.FrameState;
import nexa.core.carry.By;
import nexa.core.carry.Part;
import nexa.core.shape.Shape;
import nexa.desktop.pane.SettingsPane;
import nexa.desktop.session.MainView;
import nexa.desktop.wall.PhotoTile;
import nexa.desktop.window.WindowTest;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Photos that arrive, their colours, and the settings for pictures. */
class PicturesTest extends WindowTest {
    private Optional<Photo> photo(String file) {
        return session().shoot().photos().stream()
                .filter(p -> p.file().equals(file))
                .findFirst();
    }

    private static PhotoTile tile(FxRobot robot, String file) {
        return robot.lookup(".photo-tile")
                .match((PhotoTile t) -> t.photo().file().equals(file))
                .queryAs(PhotoTile.class);
    }

    private void arrive(String file) throws Exception {
        Files.copy(DEMO.resolve(file), folder.resolve(file));
        until(() -> photo(file).isPresent());
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void arrivingPhoto_hangsInOrderAndTakesTheLastCarryOver(FxRobot robot) throws Exception {
        onFx(() -> {
            session().briefEdits().add("4:5", Shape.parse("4:5"));
            session().choose(photo("kiln_0201.jpg").orElseThrow());
            session().frameEdits().place("edit.frame", frame().scaled(0.7));
            session().settings().carryPartsProperty().set(java.util.Set.of(Part.SHAPE, Part.PLACE));
            session().settings().carryByProperty().set(By.PLACE);
            session().settings().carryToArrivalsProperty().set(true);
            session().carry().apply();
        });
        arrive("kiln_0204.jpg");
        assertEquals(
                List.of("kiln_0201.jpg", "kiln_0204.jpg", "kiln_0206.jpg", "kiln_0230.jpg"),
                session().list().photos().stream().map(Photo::file).toList());
        Photo arrived = photo("kiln_0204.jpg").orElseThrow();
        assertEquals(
                FrameState.PLACED,
                session().framing(arrived).state(session().format().orElseThrow()));
        Crop crop = session()
                .framing(arrived)
                .crop(session().format().orElseThrow())
                .orElseThrow();
        assertTrue(crop.wish().width() > 0.1);
        until(() -> tile(robot, "kiln_0204.jpg").isUsed());
        assertTrue(session().arrivals().freshProperty().get().contains(arrived), "not looked at yet");
        onFx(() -> session().choose(arrived));
        assertFalse(session().arrivals().freshProperty().get().contains(arrived));
        onFx(session().shoot()::undo);
        assertEquals(
                FrameState.DERIVED,
                session().framing(arrived).state(session().format().orElseThrow()));
    }

    @Test
    void newestPhoto_becomesTheCurrentOneIfAsked(FxRobot robot) throws Exception {
        press(robot, KeyCode.SHORTCUT, KeyCode.COMMA);
        click(robot, "#follow-arrivals");
        press(robot, KeyCode.ESCAPE);
        onFx(() -> session().viewProperty().set(MainView.BENCH));
        arrive("kiln_0208.jpg");
        assertEquals("kiln_0208.jpg", session().photo().orElseThrow().file());
    }

    @Test
    void widePhotoAndItsSrgbTwin_lookTheSameOnTheWall(FxRobot robot) throws Exception {
        try (Picture twin = Decoder.decode(DEMO.resolve("kiln_0208.jpg"), Reduction.QUARTER);
                Picture wide =
                        ColourTransform.between(Profile.SRGB, Profile.WIDE).apply(twin)) {
            Files.write(folder.resolve("a_twin.jpg"), Encoder.plainJpeg(twin, 98));
            Files.write(folder.resolve("a_wide.jpg"), Encoder.plainJpeg(wide, 98, Optional.of(Profile.WIDE)));
            Files.write(folder.resolve("b_wrong.jpg"), Encoder.plainJpeg(wide, 98));
        }
        until(() -> photo("a_twin.jpg").isPresent()
                && photo("a_wide.jpg").isPresent()
                && photo("b_wrong.jpg").isPresent());
        double followed = difference(robot, "a_twin.jpg", "a_wide.jpg");
        double ignored = difference(robot, "a_twin.jpg", "b_wrong.jpg");
        assertTrue(followed < 0.005, "the profile is followed: " + followed);
        assertTrue(ignored > 2.5 * followed, "without it the colours are others: " + ignored + ", " + followed);
    }

    /** Mean difference of two tiles' photos, 0 to 1. */
    private static double difference(FxRobot robot, String a, String b) throws Exception {
        until(() -> isShown(robot, a) && isShown(robot, b));
        WritableImage first = picture(robot, a);
        WritableImage second = picture(robot, b);
        double sum = 0;
        int count = 0;
        for (int y = 12; y < 90; y++) {
            for (int x = 12; x < 150; x++) {
                Color one = first.getPixelReader().getColor(x, y);
                Color other = second.getPixelReader().getColor(x, y);
                sum += Math.abs(one.getRed() - other.getRed())
                        + Math.abs(one.getGreen() - other.getGreen())
                        + Math.abs(one.getBlue() - other.getBlue());
                count += 3;
            }
        }
        return sum / count;
    }

    private static boolean isShown(FxRobot robot, String file) {
        return robot.lookup(".photo-tile").queryAllAs(PhotoTile.class).stream()
                .filter(tile -> tile.photo().file().equals(file))
                .anyMatch(PicturesTest::coloured);
    }

    private static boolean coloured(PhotoTile tile) {
        Color middle = tile.snapshot(null, null).getPixelReader().getColor(100, 70);
        return Math.abs(middle.getRed() - middle.getBlue()) > 0.01;
    }

    private static WritableImage picture(FxRobot robot, String file) throws Exception {
        return WaitForAsyncUtils.asyncFx(() -> tile(robot, file).snapshot(null, null))
                .get();
    }

    @Test
    void settings_areChosenAndKept(FxRobot robot) throws Exception {
        Path wide = Files.write(folder.resolveSibling("screen.icc"), Profile.WIDE.bytes());
        click(robot, "#settings");
        ChoiceBox<Integer> memory = robot.lookup("#settings-memory").queryAs(ChoiceBox.class);
        ChoiceBox<Integer> cache = robot.lookup("#settings-cache").queryAs(ChoiceBox.class);
        onFx(() -> {
            memory.setValue(512);
            memory.fireEvent(new javafx.event.ActionEvent());
            cache.setValue(500);
            cache.fireEvent(new javafx.event.ActionEvent());
        });
        WritableImage before = picture(robot, "kiln_0201.jpg");
        onFx(() -> session().settings().pictures().screenProperty().set(Optional.of(wide.toString())));
        until(() -> coloured(tile(robot, "kiln_0201.jpg")));
        WritableImage after = picture(robot, "kiln_0201.jpg");
        assertTrue(
                !before.getPixelReader()
                        .getColor(100, 70)
                        .equals(after.getPixelReader().getColor(100, 70)),
                "shown for the other screen at once");
        click(robot, "#settings");
        assertTrue(
                robot.lookup("#settings-screen").queryAs(Label.class).getText().contains("Wide RGB"));
        click(robot, "#settings-srgb");
        until(() -> coloured(tile(robot, "kiln_0201.jpg")));
        assertEquals(
                before.getPixelReader().getColor(100, 70),
                picture(robot, "kiln_0201.jpg").getPixelReader().getColor(100, 70));
        onFx(() -> window.close());
        try (Preferences kept =
                Preferences.open(new Locations(folder.resolveSibling("data"), folder.resolveSibling("cache")))) {
            assertEquals(Optional.of("512"), kept.get("pictures memory"));
            assertEquals(Optional.of("500"), kept.get("pictures cache"));
        }
    }

    @Test
    void screenProfile_thatIsNone_isRefusedInWords(FxRobot robot) throws Exception {
        Path notes = Files.writeString(folder.resolveSibling("notes.icc"), "not a profile");
        SettingsPane pane = WaitForAsyncUtils.asyncFx(() -> new SettingsPane(
                        session().settings(),
                        new nexa.desktop.photo.PhotoLoader(new nexa.shoot.preview.PreviewCache(
                                folder.resolveSibling("other"), 1 << 20, new PreviewMaker(PhotoCodecs.STANDARD))),
                        Optional.empty()))
                .get();
        onFx(() -> pane.use(Optional.of(notes.toString())));
        assertEquals(
                Optional.empty(),
                session().settings().pictures().screenProperty().get());
        assertTrue(pane.node().lookupAll(".label").stream()
                .anyMatch(node -> node instanceof Label label && label.getText().contains("is not a colour profile")));
    }
}
