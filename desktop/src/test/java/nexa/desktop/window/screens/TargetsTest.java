package nexa.desktop.window.screens;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.TreeSet;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Slider;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.api.FxRobot;

/** All that is pressed is large enough to be met. */
class TargetsTest extends EveryScreen {
    private final TreeSet<String> small = new TreeSet<>();
    private double least;

    @ParameterizedTest
    @CsvSource({"false, 24", "true, 32"})
    void targetsAreLargeEnough(boolean pen, double asked, FxRobot robot) throws Exception {
        begin(robot);
        least = asked;
        onFx(() -> session().settings().penProperty().set(pen));
        walk(robot);
        onFx(() -> session().settings().penProperty().set(false));
        assertEquals("", String.join("\n", small));
    }

    @Override
    void look(String screen) {
        targets(window.scene().getRoot()).forEach(node -> {
            Bounds at = node.localToScene(node.getLayoutBounds());
            if (at.getHeight() < least - 0.01 || at.getWidth() < least - 0.01) {
                small.add("%s %s: %.0f x %.0f"
                        .formatted(node.getId(), node.getStyleClass(), at.getWidth(), at.getHeight()));
            }
        });
    }

    private static Stream<Node> targets(Node node) {
        if (!node.isVisible()) {
            return Stream.of();
        }
        if (node instanceof ButtonBase
                || node instanceof ComboBoxBase
                || node instanceof ChoiceBox
                || node instanceof Slider
                || node instanceof Spinner
                || node.getStyleClass().contains("guide-handle")
                || node instanceof TextField) {
            return Stream.of(node);
        }
        return node instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream().flatMap(TargetsTest::targets)
                : Stream.of();
    }
}
