package nexa.desktop.window;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListCell;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import nexa.core.space.Pose;
import nexa.desktop.desk.DeskView;
import nexa.desktop.desk.DeskView.DeskPane;
import nexa.desktop.session.MainView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** No words are cut, in any language and on any screen, in a small window and in a large one. */
class FittingTest extends WindowTest {
    /** Names that somebody gave; how long they are is up to nobody, and a tooltip has them whole. */
    private static final Set<String> NAMES = Set.of("shoot-name", "tile-name", "format-name", "result-name");

    private final TreeSet<String> cut = new TreeSet<>();

    @AfterEach
    void undressed() throws Exception {
        undress();
    }

    @ParameterizedTest
    @CsvSource({"en, 1280, 800", "de, 1280, 800", "en, 1010, 700", "de, 1010, 700", "de, 1180, 760"})
    void wordsAreWhole(String language, double width, double height, FxRobot robot) throws Exception {
        dress();
        onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        onFx(() -> {
            window.scene().getWindow().setWidth(width);
            window.scene().getWindow().setHeight(height);
            session().settings().languageProperty().set(language);
        });
        String bench = language.equals("de") ? "Werkbank" : "Bench";
        assertEquals(bench, robot.lookup("#view-bench").<Labeled>query().getText(), "at once");
        press(robot, KeyCode.ESCAPE);
        for (MainView view : MainView.values()) {
            onFx(() -> session().viewProperty().set(view));
            look(view.toString());
        }
        onFx(() -> session().viewProperty().set(MainView.BENCH));
        for (DeskPane pane : DeskPane.values()) {
            onFx(() -> robot.lookup(".desk").queryAs(DeskView.class).open(pane));
            look(pane.toString());
            press(robot, KeyCode.ESCAPE);
            onFx(() -> session().viewProperty().set(MainView.BENCH));
        }
        for (KeyCode[] keys : new KeyCode[][] {
            {KeyCode.F3},
            {KeyCode.SHORTCUT, KeyCode.COMMA},
            {KeyCode.SHIFT, KeyCode.W},
            {KeyCode.SHIFT, KeyCode.U},
            {KeyCode.SHORTCUT, KeyCode.T},
            {KeyCode.SHORTCUT, KeyCode.D},
            {KeyCode.SHORTCUT, KeyCode.U}
        }) {
            press(robot, keys);
            look(List.of(keys).toString());
            press(robot, KeyCode.ESCAPE);
        }
        assertEquals("", String.join("\n", cut));
    }

    private void look(String screen) throws Exception {
        WaitForAsyncUtils.waitForFxEvents();
        onFx(() -> {
            Scene scene = window.scene();
            scene.getRoot().applyCss();
            scene.getRoot().layout();
            labels(scene.getRoot()).forEach(label -> judge(screen, label, scene));
        });
    }

    private void judge(String screen, Labeled label, Scene scene) {
        String shown = label.lookupAll(".text").stream()
                .filter(Text.class::isInstance)
                .map(text -> ((Text) text).getText())
                .findFirst()
                .orElse(label.getText());
        Bounds at = label.localToScene(label.getBoundsInLocal());
        boolean isOutside = at.getMaxX() > scene.getWidth() + 1 || at.getMinX() < -1;
        if (!shown.equals(label.getText()) && !label.isWrapText() || isOutside) {
            cut.add(screen + ": \"" + label.getText() + "\" shows as \"" + shown + "\""
                    + (isOutside ? ", outside" : ""));
        }
    }

    private static Stream<Labeled> labels(Node node) {
        if (!node.isVisible() || node instanceof ListCell || NAMES.stream().anyMatch(node.getStyleClass()::contains)) {
            return Stream.of();
        }
        Stream<Labeled> own = node instanceof Labeled label
                        && label.getText() != null
                        && !label.getText().isBlank()
                ? Stream.of(label)
                : Stream.of();
        return node instanceof Parent parent
                ? Stream.concat(own, parent.getChildrenUnmodifiable().stream().flatMap(FittingTest::labels))
                : own;
    }
}
