package nexa.desktop.window.screens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import nexa.core.space.Pose;
import nexa.desktop.brief.FormatCard;
import nexa.desktop.desk.DeskView.DeskPane;
import nexa.desktop.desk.area.AngleRuler;
import nexa.desktop.keys.Command;
import nexa.desktop.session.MainView;
import nexa.desktop.widget.Nodes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** All that can be used can be found, named and used without seeing it, and by keys alone. */
class AccessibleTest extends EveryScreen {
    private static final Set<AccessibleRole> USED = Set.of(
            AccessibleRole.SLIDER, AccessibleRole.RADIO_BUTTON, AccessibleRole.LIST_ITEM, AccessibleRole.LIST_VIEW);

    private final TreeSet<String> nameless = new TreeSet<>();

    @Test
    void everyControl_hasANameAndAState(FxRobot robot) throws Exception {
        begin(robot);
        walk(robot);
        assertEquals("", String.join("\n", nameless));
    }

    @Override
    void look(String screen) {
        used(window.scene().getRoot()).forEach(node -> judge(screen, node));
        clickedOnly(window.scene().getRoot())
                .forEach(node -> nameless.add(screen + ": " + node.getId() + " can be clicked, but not used by keys"));
    }

    /** What answers to the pointer, outside of controls. */
    private static Stream<Node> clickedOnly(Node node) {
        boolean isUsed = node.isFocusTraversable() || USED.contains(node.getAccessibleRole());
        if (!node.isVisible() || node instanceof Control && isUsed) {
            return Stream.of();
        }
        Stream<Node> within = node instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream().flatMap(AccessibleTest::clickedOnly)
                : Stream.of();
        return node.getOnMouseClicked() == null ? within : Stream.concat(Stream.of(node), within);
    }

    private void judge(String screen, Node node) {
        if (name(node).isBlank()) {
            nameless.add(screen + ": " + node.getClass().getSimpleName() + " " + node.getId() + " has no name");
        }
        boolean isValue = node.getAccessibleRole() == AccessibleRole.SLIDER;
        if (isValue && !(node.queryAccessibleAttribute(AccessibleAttribute.VALUE) instanceof Number)) {
            nameless.add(screen + ": " + node.getId() + " has no value");
        }
        boolean isChoice = node.getAccessibleRole() == AccessibleRole.RADIO_BUTTON;
        if (isChoice && !(node.queryAccessibleAttribute(AccessibleAttribute.SELECTED) instanceof Boolean)) {
            nameless.add(screen + ": " + node.getId() + " does not say whether it is chosen");
        }
    }

    private static String name(Node node) {
        if (node.getAccessibleText() != null && !node.getAccessibleText().isBlank()) {
            return node.getAccessibleText();
        }
        return switch (node) {
            case Labeled labeled when labeled.getText() != null -> labeled.getText();
            case TextInputControl field when field.getPromptText() != null -> field.getPromptText();
            default -> "";
        };
    }

    /** Of controls made of others, the whole. */
    private static Stream<Node> used(Node node) {
        if (!node.isVisible() || node.getOpacity() == 0 || node instanceof ScrollBar) {
            return Stream.of();
        }
        boolean isControl = node instanceof Control && !(node instanceof ScrollPane) && node.isFocusTraversable();
        if (isControl || USED.contains(node.getAccessibleRole())) {
            return Stream.of(node);
        }
        return node instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream().flatMap(AccessibleTest::used)
                : Stream.of();
    }

    @Test
    void tabGoesThroughTheBench_andArrowsTurnTheRuler(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        Set<Node> reached = new LinkedHashSet<>();
        for (int i = 0; i < 60; i++) {
            press(robot, KeyCode.TAB);
            reached.add(window.scene().getFocusOwner());
        }
        assertTrue(reached.stream().allMatch(node -> node.isVisible()), "nothing unseen is reached");
        assertTrue(reached.stream().anyMatch(FormatCard.class::isInstance), "a format");
        assertTrue(reached.stream().map(Node::getId).toList().contains("check"), "check and next");
        while (!(window.scene().getFocusOwner() instanceof AngleRuler)) {
            press(robot, KeyCode.TAB);
        }
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.SHIFT, KeyCode.RIGHT);
        assertEquals(1.1, session().framing().pose().tilt().degrees(), 1e-9);
        press(robot, KeyCode.HOME);
        assertEquals(0, session().framing().pose().tilt().degrees());
    }

    /** Whoever works by keys sees where they go: every control that Tab reaches looks different then. */
    @ParameterizedTest
    @EnumSource
    void keyboardIsSeen_onEachScreen(MainView view, FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        onFx(() -> session().viewProperty().set(view));
        Set<Node> reached = new LinkedHashSet<>();
        assertEquals("", unseen(robot, reached, node -> true));
        assertTrue(reached.size() > 8, reached::toString);
    }

    @ParameterizedTest
    @EnumSource
    void keyboardIsSeen_inEachPane(DeskPane pane, FxRobot robot) throws Exception {
        begin(robot);
        onFx(() -> open(robot, pane));
        Parent shown = robot.lookup(".small-pane").query();
        assertEquals("", unseen(robot, new LinkedHashSet<>(), node -> Nodes.isWithin(node, shown)));
    }

    @ParameterizedTest
    @CsvSource({"BENCH, #shelf", "HANDOVER, #handover-kept", "HANDOVER, #handover-paper", "HANDOVER, #handover-exchange"
    })
    void keyboardIsSeen_behindButtons(MainView view, String button, FxRobot robot) throws Exception {
        begin(robot);
        onFx(() -> session().viewProperty().set(view));
        until(() -> !robot.lookup(button).queryAll().isEmpty());
        onFx(() -> robot.lookup(button).queryAs(ButtonBase.class).fire());
        Parent shown = robot.lookup(".small-pane").query();
        assertEquals("", unseen(robot, new LinkedHashSet<>(), node -> Nodes.isWithin(node, shown)));
    }

    @Test
    void keyboardIsSeen_onSheets_andNotBelowThem(FxRobot robot) throws Exception {
        begin(robot);
        press(robot, KeyCode.F1);
        Set<Node> reached = new LinkedHashSet<>();
        assertEquals("", unseen(robot, reached, node -> !"key-sheet".equals(node.getId())));
        assertTrue(reached.size() > Command.values().length, "each key is reached");
        onFx(() -> robot.lookup("#keys-about").queryButton().fire());
        reached.clear();
        assertEquals("", unseen(robot, reached, node -> !"about".equals(node.getId())));
        Parent about = robot.lookup("#about").query();
        assertTrue(reached.stream().allMatch(node -> Nodes.isWithin(node, about)), reached::toString);
        assertTrue(reached.size() >= 2, reached::toString);
    }

    private String unseen(FxRobot robot, Set<Node> reached, Predicate<Node> which) throws Exception {
        Set<String> unseen = new TreeSet<>();
        press(robot, KeyCode.TAB);
        Node owner = window.scene().getFocusOwner();
        while (reached.add(owner)) {
            Optional<int[]> with = which.test(owner) ? Optional.of(picture(owner)) : Optional.empty();
            press(robot, KeyCode.TAB);
            if (with.isPresent() && Arrays.equals(with.get(), picture(owner))) {
                unseen.add(owner + " in " + owner.getParent());
            }
            owner = window.scene().getFocusOwner();
        }
        return String.join("\n", unseen);
    }

    /** With what is around it, where its ring is. */
    private static int[] picture(Node node) throws Exception {
        Bounds at = node.localToScene(node.getLayoutBounds());
        return WaitForAsyncUtils.asyncFx(() -> {
                    WritableImage shown = node.getScene().getRoot().snapshot(null, null);
                    int left = Math.max(0, (int) at.getMinX() - 3);
                    int top = Math.max(0, (int) at.getMinY() - 3);
                    int width = Math.min((int) at.getWidth() + 6, (int) shown.getWidth() - left);
                    int height = Math.min((int) at.getHeight() + 6, (int) shown.getHeight() - top);
                    int[] pixels = new int[width * height];
                    shown.getPixelReader()
                            .getPixels(left, top, width, height, PixelFormat.getIntArgbInstance(), pixels, 0, width);
                    return pixels;
                })
                .get();
    }

    /** As a screen reader asks for it. */
    @Test
    void ownControls_areUsedBySayingWhatToDo(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0206.jpg", Pose.AS_SHOT);
        AngleRuler ruler = robot.lookup("#tilt-ruler").queryAs(AngleRuler.class);
        onFx(() -> ruler.executeAccessibleAction(AccessibleAction.INCREMENT));
        assertEquals(0.1, session().framing().pose().tilt().degrees(), 1e-9);
        assertTrue(ruler.queryAccessibleAttribute(AccessibleAttribute.VALUE_STRING)
                .toString()
                .endsWith("°"));
        onFx(() -> session().viewProperty().set(MainView.WALL));
        Node wall = robot.lookup(".wall").query();
        assertEquals(3, wall.queryAccessibleAttribute(AccessibleAttribute.ITEM_COUNT));
        until(() -> wall.queryAccessibleAttribute(AccessibleAttribute.FOCUS_ITEM) != null);
        Node tile = assertInstanceOf(Node.class, wall.queryAccessibleAttribute(AccessibleAttribute.ITEM_AT_INDEX, 2));
        assertTrue(tile.getAccessibleText().startsWith("kiln_0230"), tile::getAccessibleText);
        onFx(() -> tile.executeAccessibleAction(AccessibleAction.FIRE));
        assertEquals("kiln_0230.jpg", session().photo().orElseThrow().file());
        assertEquals(true, tile.queryAccessibleAttribute(AccessibleAttribute.SELECTED));
    }
}
