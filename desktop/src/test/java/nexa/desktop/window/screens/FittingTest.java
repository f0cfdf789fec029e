package nexa.desktop.window.screens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListCell;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.text.Text;
import nexa.desktop.desk.DeskView.DeskPane;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.api.FxRobot;

/** No words are cut, in any language and on any screen, in a small window and in a large one. */
class FittingTest extends EveryScreen {
    /** Names that somebody gave; how long they are is up to nobody, and a tooltip has them whole. */
    private static final Set<String> NAMES = Set.of("shoot-name", "tile-name", "format-name", "result-name");

    /** Wide enough for the sheet of all keys. */
    private static final double WHOLE_SHEET = 1280;

    private final TreeSet<String> cut = new TreeSet<>();

    @ParameterizedTest
    @CsvSource({
        "en, 1280, 800, false",
        "de, 1280, 800, false",
        "en, 1010, 700, false",
        "de, 1010, 700, false",
        "de, 1180, 760, false",
        "en, 1010, 700, true",
        "de, 1010, 700, true"
    })
    void wordsAreWhole(String language, double width, double height, boolean pen, FxRobot robot) throws Exception {
        begin(robot);
        onFx(() -> {
            window.scene().getWindow().setWidth(width);
            window.scene().getWindow().setHeight(height);
            session().settings().penProperty().set(pen);
            session().settings().languageProperty().set(language);
        });
        String bench = language.equals("de") ? "Werkbank" : "Bench";
        assertEquals(bench, robot.lookup("#view-bench").<Labeled>query().getText(), "at once");
        press(robot, KeyCode.ESCAPE);
        walk(robot);
        assertEquals("", String.join("\n", cut));
    }

    @ParameterizedTest
    @CsvSource({"en, 4", "de, 3"})
    void overlaysAreThereToChoose(String language, int several, FxRobot robot) throws Exception {
        begin(robot);
        onFx(() -> session().settings().languageProperty().set(language));
        press(robot, KeyCode.ESCAPE);
        until(() -> robot.lookup(".miniature").queryAll().size() == several);
    }

    @ParameterizedTest
    @CsvSource({"en", "de"})
    void smallWindow_foldsTheRailForPanes_soThatThePhotoIsSeen(String language, FxRobot robot) throws Exception {
        begin(robot);
        onFx(() -> {
            window.scene().getWindow().setWidth(1010);
            window.scene().getWindow().setHeight(700);
            session().settings().languageProperty().set(language);
        });
        press(robot, KeyCode.ESCAPE);
        double rail = widthOfRail(robot);
        for (DeskPane pane : DeskPane.values()) {
            onFx(() -> open(robot, pane));
            Node shown = robot.lookup(".small-pane").query();
            untilAtRest(shown);
            double view =
                    robot
                            .lookup("." + session().viewProperty().get().name().toLowerCase(Locale.ROOT))
                            .queryAll()
                            .stream()
                            .mapToDouble(node -> place(node).getMaxX())
                            .max()
                            .orElseThrow();
            assertTrue(view <= place(shown).getMinX(), () -> pane + " lies over the view, which ends at " + view);
            press(robot, KeyCode.ESCAPE);
            until(() -> widthOfRail(robot) == rail);
        }
        assertFalse(session().settings().railFoldedProperty().get());
    }

    private static double widthOfRail(FxRobot robot) {
        return robot.lookup(".rail").query().getLayoutBounds().getWidth();
    }

    @Test
    void lowWindow_scrollsPanesThatAreHigher(FxRobot robot) throws Exception {
        begin(robot);
        onFx(() -> {
            window.scene().getWindow().setWidth(1010);
            window.scene().getWindow().setHeight(600);
        });
        press(robot, KeyCode.SHORTCUT, KeyCode.COMMA);
        Node pane = robot.lookup(".small-pane").query();
        untilAtRest(pane);
        Bounds at = pane.localToScene(pane.getLayoutBounds());
        assertTrue(at.getHeight() > 300 && at.getMaxY() <= window.scene().getHeight(), at::toString);
        ScrollPane scroll = robot.from(pane).lookup(".sheet-scroll").queryAs(ScrollPane.class);
        assertTrue(scroll.getContent().getLayoutBounds().getHeight()
                > scroll.getViewportBounds().getHeight());
        onFx(() -> scroll.setVvalue(1));
        Node last = robot.lookup("#follow-arrivals").query();
        untilAtRest(last);
        assertTrue(last.localToScene(last.getBoundsInLocal()).getMaxY() <= at.getMaxY());
    }

    @Override
    void look(String screen) {
        Scene scene = window.scene();
        if (scene.getWidth() < WHOLE_SHEET && scene.lookup("#key-sheet") != null) {
            return; // it scrolls
        }
        labels(scene.getRoot()).forEach(label -> judge(screen, label, scene));
        parents(scene.getRoot()).forEach(parent -> judgeApart(screen, parent));
        parents(scene.getRoot())
                .filter(TextInputControl.class::isInstance)
                .forEach(field -> judgeField(screen, (TextInputControl) field));
        parents(scene.getRoot())
                .filter(node -> node.getStyleClass().contains("desk"))
                .forEach(desk -> judgeDesk(screen, desk));
        parents(scene.getRoot()).filter(BorderPane.class::isInstance).forEach(pane -> judgeInside(screen, pane, scene));
    }

    /** Nothing of the desk stands out of it, also above or below. */
    private void judgeDesk(String screen, Parent desk) {
        Bounds at = place(desk);
        parents(desk)
                .filter(part -> part instanceof Control && part.isVisible())
                .filter(part -> !at.contains(place(part)))
                .forEach(part -> cut.add(screen + ": " + part + " stands out of the desk"));
    }

    /** What wants more room than there is stands out on both sides, and all of it moves. */
    private void judgeInside(String screen, Parent pane, Scene scene) {
        Bounds at = place(pane);
        if (at.getMinX() < -0.5 || at.getMaxX() > scene.getWidth() + 0.5) {
            cut.add(screen + ": " + pane + " is " + at.getWidth() + " wide");
        }
    }

    /** What is written in a field, or what it asks for; a text that somebody typed may be longer. */
    private void judgeField(String screen, TextInputControl field) {
        Insets edge = field.getInsets();
        written(field).forEach(written -> {
            Text text = written.text();
            boolean isLow =
                    text.getLayoutBounds().getHeight() > field.getHeight() - edge.getTop() - edge.getBottom() + 1;
            boolean isLong = text.getText().equals(field.getPromptText())
                    && text.getLayoutBounds().getWidth() > field.getWidth() - edge.getLeft() - edge.getRight() + 1;
            if (isLow || isLong) {
                cut.add(screen + ": \"" + text.getText() + "\" does not fit into its field");
            }
        });
    }

    /** Words of controls that lie in one place do not meet. */
    private void judgeApart(String screen, Parent parent) {
        List<Written> words = parent.getChildrenUnmodifiable().stream()
                .filter(child -> child.isVisible() && (child instanceof Labeled || child instanceof TextInputControl))
                .flatMap(FittingTest::written)
                .toList();
        for (int i = 0; i < words.size(); i++) {
            for (Written other : words.subList(i + 1, words.size())) {
                if (words.get(i).at().intersects(other.at())) {
                    cut.add(screen + ": \"" + words.get(i).words() + "\" meets \"" + other.words() + "\"");
                }
            }
        }
    }

    /** @param at where the words are, in the scene */
    private record Written(Text text, BoundingBox at) {
        String words() {
            return text.getText();
        }
    }

    /** What shows of a control's words. */
    private static Stream<Written> written(Node control) {
        Bounds whole = place(control);
        return control.lookupAll(".text").stream()
                .filter(Text.class::isInstance)
                .map(Text.class::cast)
                .filter(text -> text.isVisible() && !text.getText().isBlank())
                .map(text -> {
                    Bounds at = place(text);
                    double left = Math.max(at.getMinX(), whole.getMinX());
                    double right = Math.min(at.getMaxX(), whole.getMaxX());
                    return new Written(text, new BoundingBox(left, at.getMinY(), right - left, at.getHeight()));
                });
    }

    private static Bounds place(Node node) {
        return node.localToScene(node.getLayoutBounds());
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
