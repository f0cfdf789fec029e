package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import javafx.scene.Scene;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import nexa.desktop.bench.BenchView;
import nexa.desktop.beside.SideCell;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** Two or four results at once, zoomed and moved together. */
class SideBySideTest extends WindowTest {
    private static List<SideCell> cells(FxRobot robot) {
        return List.copyOf(robot.lookup(".side-cell").queryAllAs(SideCell.class));
    }

    private static boolean open(FxRobot robot) {
        return robot.lookup("#side-by-side").tryQuery().isPresent();
    }

    /** How many colours a cell shows; grey alone is none. */
    private static long colours(SideCell cell) {
        WritableImage picture = cell.snapshot(null, null);
        PixelReader pixels = picture.getPixelReader();
        Set<Integer> seen = new HashSet<>();
        for (int y = 0; y < picture.getHeight(); y += 7) {
            for (int x = 0; x < picture.getWidth(); x += 7) {
                seen.add(pixels.getArgb(x, y));
            }
        }
        return seen.size();
    }

    private void beside(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F4);
        until(() -> cells(robot).size() == 2);
    }

    @Test
    void photos_showTheirResults_andAClickMakesOneCurrent(FxRobot robot) throws Exception {
        beside(robot);
        until(() -> cells(robot).stream().allMatch(cell -> colours(cell) > 100));
        assertEquals("kiln_0201.jpg", session().photo().orElseThrow().file());
        SideCell second = cells(robot).get(1);
        untilAtRest(second);
        click(robot, second);
        until(() -> session().photo().orElseThrow().file().equals("kiln_0206.jpg"));
        assertEquals(2, cells(robot).size(), "they stay while one goes between them");
        press(robot, KeyCode.S);
        until(() -> session().framing().setAside());
        press(robot, KeyCode.ESCAPE);
        until(() -> !open(robot));
        assertTrue(robot.lookup(".bench").queryAs(BenchView.class).isVisible());
    }

    @Test
    void wheelAndKey_zoomAllAlike(FxRobot robot) throws Exception {
        beside(robot);
        until(() -> cells(robot).stream().allMatch(cell -> colours(cell) > 100));
        AtomicReference<WritableImage> taken = new AtomicReference<>();
        onFx(() -> taken.set(cells(robot).getFirst().snapshot(null, null)));
        WritableImage whole = taken.get();
        press(robot, KeyCode.Z);
        until(() -> differ(whole, cells(robot).getFirst().snapshot(null, null)));
        press(robot, KeyCode.Z);
        until(() -> !differ(whole, cells(robot).getFirst().snapshot(null, null)));
    }

    private static boolean differ(WritableImage one, WritableImage other) {
        int far = 0;
        for (int y = 20; y < Math.min(one.getHeight(), other.getHeight()) - 40; y += 5) {
            for (int x = 20; x < Math.min(one.getWidth(), other.getWidth()) - 20; x += 5) {
                int a = one.getPixelReader().getArgb(x, y);
                int b = other.getPixelReader().getArgb(x, y);
                far += Math.abs((a >> 8 & 255) - (b >> 8 & 255)) > 24 ? 1 : 0;
            }
        }
        return far > 50;
    }

    @Test
    void formats_ofOnePhoto_andFour(FxRobot robot) throws Exception {
        beside(robot);
        onFx(() -> session().briefEdits().add("Square", Shape.parse("1:1")));
        click(robot, "#beside-TWO_FORMATS");
        until(() -> cells(robot).size() == 2);
        until(() -> cells(robot).stream()
                .map(SideCell::getAccessibleText)
                .allMatch(words -> words.startsWith("kiln_0201")));
        assertEquals(
                Set.of("4:5", "Square"),
                cells(robot).stream()
                        .map(cell -> cell.getAccessibleText().split(" · ")[1])
                        .collect(Collectors.toSet()));
        robot.doubleClickOn(cells(robot).getFirst());
        until(() -> !open(robot));
        assertEquals(MainView.BENCH, session().viewProperty().get());
        assertFalse(open(robot));
    }

    @Test
    void withoutResults_itIsSaidWhatIsMissing(FxRobot robot) throws Exception {
        press(robot, KeyCode.F4);
        until(() -> robot.lookup("With a format, results show here side by side.")
                .tryQuery()
                .isPresent());
        press(robot, KeyCode.ESCAPE);
        beside(robot);
        onFx(() -> session()
                .list()
                .filterProperty()
                .set(session().list().filterProperty().get().named("nothing")));
        until(() -> cells(robot).isEmpty()
                && robot.lookup("No photo is let through.").tryQuery().isPresent());
    }

    @Test
    void result_standsAloneInASecondWindow_andFollows(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        press(robot, KeyCode.F6);
        until(() -> second() != null);
        until(() -> middle() != background());
        AtomicReference<Integer> before = new AtomicReference<>(0);
        onFx(() -> before.set(middle()));
        onFx(() -> session().going().step(1));
        until(() -> middle() != before.get() && middle() != background());
        press(robot, KeyCode.F6);
        until(() -> second() == null);
    }

    @Test
    void resultAlone_isThePhotoWhileThereIsNoFormat_onTheGroundOfPhotos(FxRobot robot) throws Exception {
        press(robot, KeyCode.F6);
        until(() -> second() != null);
        until(() -> background() == 0xFFE8E8E8 && middle() != background());
        press(robot, KeyCode.F6);
        until(() -> second() == null);
    }

    private static Scene second() {
        return Window.getWindows().stream()
                .filter(each -> each instanceof Stage stage && "Result".equals(stage.getTitle()))
                .map(Window::getScene)
                .findFirst()
                .orElse(null);
    }

    private static int middle() {
        WritableImage picture = second().snapshot(null);
        return picture.getPixelReader().getArgb((int) picture.getWidth() / 2, (int) picture.getHeight() / 2);
    }

    private static int background() {
        return second().snapshot(null).getPixelReader().getArgb(3, 3);
    }
}
