package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.stage.Window;
import javax.imageio.ImageIO;
import nexa.desktop.wall.PhotoTile;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoOrder;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** More photos than a screen shows: the Wall's ends, its place when photos hang otherwise, and a header with large numbers. */
class LargeWallTest extends WindowTest {
    private static final int READABLE = 1200;
    private static final int PHOTOS = READABLE + 40;

    @BeforeEach
    void dressed() throws Exception {
        dress();
    }

    @AfterEach
    void undressed() throws Exception {
        undress();
    }

    @Override
    protected String[] photos() {
        return new String[0];
    }

    @Override
    protected void prepare(Path shoot) throws IOException {
        int[][] sizes = {{3, 2}, {2, 3}, {2, 2}};
        for (int i = READABLE; i < PHOTOS; i++) {
            Files.writeString(shoot.resolve("broken_" + i + ".jpg"), "no photo");
        }
        for (int i = 0; i < READABLE; i++) {
            int[] size = sizes[i % sizes.length];
            BufferedImage tiny = new BufferedImage(size[0], size[1], BufferedImage.TYPE_INT_RGB);
            ImageIO.write(
                    tiny, "png", shoot.resolve("kiln_%04d.png".formatted(i)).toFile());
        }
    }

    private boolean isInSight(FxRobot robot, Photo photo) {
        Bounds wall = onScene(robot.lookup(".wall").query());
        return robot.lookup(".photo-tile").queryAllAs(PhotoTile.class).stream()
                .filter(PhotoTile::isUsed)
                .filter(tile -> tile.photo().equals(photo))
                .anyMatch(tile ->
                        wall.contains(onScene(tile).getCenterX(), onScene(tile).getCenterY()));
    }

    private static Bounds onScene(Node node) {
        return node.localToScene(node.getLayoutBounds());
    }

    private Photo photo(int place) {
        return session().shoot().photos().get(place);
    }

    private void resize(FxRobot robot, double size) throws Exception {
        onFx(() -> robot.lookup(".wall-size").queryAs(Slider.class).setValue(size));
    }

    @Test
    void theEndIsShown_andTheCurrentPhotoStaysInSight(FxRobot robot) throws Exception {
        until(() -> session().shoot().photos().size() == PHOTOS);
        robot.press(KeyCode.END).release(KeyCode.END);
        Photo last = photo(PHOTOS - 1);
        until(() -> isInSight(robot, last));
        for (double size : new double[] {90, 300, 50, 176}) {
            resize(robot, size);
            until(() -> isInSight(robot, last));
        }
        Photo middle = photo(PHOTOS / 2);
        onFx(() -> session().choose(middle));
        until(() -> isInSight(robot, middle));
        for (double size : new double[] {90, 300, 176}) {
            resize(robot, size);
            until(() -> isInSight(robot, middle));
        }
        Scene scene = robot.lookup(".wall").query().getScene();
        Window stage = Objects.requireNonNull(scene.getWindow());
        onFx(() -> stage.setWidth(1010));
        until(() -> scene.getWidth() < 1020 && isInSight(robot, middle));
        onFx(() -> stage.setWidth(1280));
        until(() -> scene.getWidth() > 1200 && isInSight(robot, middle));
    }

    @Test
    void whereOneWas_isInSight_whenTheShootIsOpenedAgain_andWhenItIsOrderedOtherwise(FxRobot robot) throws Exception {
        until(() -> session().shoot().photos().size() == PHOTOS);
        Photo middle = photo(PHOTOS / 2);
        onFx(() -> session().choose(middle));
        until(() -> isInSight(robot, middle));
        reopen();
        Photo again = photo(PHOTOS / 2);
        until(() -> isInSight(robot, again));
        onFx(() -> session().list().orderProperty().set(PhotoOrder.WARNINGS));
        afterPulse(robot.lookup(".wall").query());
        assertTrue(isInSight(robot, again));
        onFx(() -> session().list().orderProperty().set(PhotoOrder.NAME));
        afterPulse(robot.lookup(".wall").query());
        assertTrue(isInSight(robot, again));
    }

    /** Large numbers need more room than small ones; what the filter's pane has too makes way. */
    @Test
    void theHeaderFitsWhateverItCounts(FxRobot robot) throws Exception {
        until(() ->
                robot.lookup("#chip-square").queryAs(Labeled.class).getText().endsWith("400"));
        robot.press(KeyCode.END).release(KeyCode.END);
        until(() -> session().list().place() == PHOTOS - 1);
        Region header = robot.lookup(".header").queryAs(Region.class);
        Window stage = Objects.requireNonNull(header.getScene().getWindow());
        for (double width : new double[] {1280, 1245, 1100, 1010, 1600}) {
            onFx(() -> stage.setWidth(width));
            until(() -> Math.abs(header.getWidth() - width) < 1);
            assertEquals(0, onScene(header).getMinX(), "all begins at the window's left");
            assertTrue(header.minWidth(-1) <= width, () -> header.minWidth(-1) + " of " + width);
        }
        until(() -> robot.lookup("#chip-square").query().getParent().isVisible());
        onFx(() -> stage.setWidth(1010));
        until(() -> !robot.lookup("#chip-square").query().getParent().isVisible());
        assertFalse(robot.lookup("#chip-square").query().getParent().isManaged());
    }
}
