package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.IntStream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import nexa.core.brief.Format;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import nexa.desktop.brief.RailView;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** A brief of more formats than the rail has room for, and formats that are typed with their size. */
class RailTest extends WindowTest {
    private static boolean isSeen(FxRobot robot, String part) {
        RailView rail = robot.lookup(".rail").queryAs(RailView.class);
        Bounds port = rail.localToScene(rail.getLayoutBounds());
        Node node = robot.lookup(part).query();
        Bounds place = node.localToScene(node.getLayoutBounds());
        return place.getHeight() > 0 && place.getMinY() >= port.getMinY() && place.getMaxY() <= port.getMaxY();
    }

    private void formats(FxRobot robot, int count) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        List<Format> others = IntStream.rangeClosed(2, count)
                .mapToObj(n -> Format.of(Shape.parse("1:1")).named("Square " + n))
                .toList();
        onFx(() -> session().briefEdits().addAll(others));
        onFx(() -> session().chooseFormat(1));
    }

    @Test
    void fieldsForANewFormat_areSeenWithWhatTheyRefuse(FxRobot robot) throws Exception {
        formats(robot, 12);
        press(robot, KeyCode.ADD);
        until(() -> isSeen(robot, "#add-shape") && isSeen(robot, "#add-confirm"));
        robot.write("round").push(KeyCode.ENTER);
        until(() -> isSeen(robot, ".refusal") && isSeen(robot, "#add-confirm"));
    }

    @Test
    void activeFormatsCard_isSeen(FxRobot robot) throws Exception {
        formats(robot, 12);
        until(() -> isSeen(robot, "#format-1"));
        press(robot, KeyCode.DIGIT9);
        until(() -> isSeen(robot, "#format-9"));
        press(robot, KeyCode.DIGIT1);
        until(() -> isSeen(robot, "#format-1"));
    }

    @Test
    void formatsTypedWithTheirSize_haveIt(FxRobot robot) throws Exception {
        formats(robot, 1);
        press(robot, KeyCode.ADD);
        robot.write("24x36 cm").push(KeyCode.ENTER);
        until(() -> session().brief().formats().size() == 2);
        Format typed = session().brief().formats().getLast();
        assertEquals("24×36 cm", typed.name());
        assertEquals(SizeTarget.parse("24 x 36 cm"), typed.target());

        press(robot, KeyCode.F3);
        robot.write("letter").push(KeyCode.ENTER);
        until(() -> session().brief().formats().size() == 3);
        assertTrue(session().brief().find("Letter 8.5×11 in").isPresent());
    }
}
