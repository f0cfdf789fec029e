package nexa.desktop.window.screens;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import nexa.desktop.paint.Surround;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** All words of all screens can be read on what they stand on, whatever surrounds the photos (WCAG 2.2, 1.4.3). */
class ContrastTest extends EveryScreen {
    private static final double LEAST = 4.5;

    private final TreeSet<String> faint = new TreeSet<>();

    private String surroundings = "";

    @Test
    void wordsCanBeRead_inAllSurrounds(FxRobot robot) throws Exception {
        begin(robot);
        for (Surround surround : Surround.values()) {
            surroundings = surround.toString();
            walk(robot);
            press(robot, KeyCode.U);
        }
        assertEquals("", String.join("\n", faint));
    }

    @Override
    void look(String screen) {
        texts(window.scene().getRoot(), 1).forEach(text -> judge(surroundings + ", " + screen, text));
    }

    private void judge(String screen, Text text) {
        Color ground = ground(text);
        double contrast = contrast((Color) text.getFill(), ground);
        if (contrast < LEAST) {
            faint.add(String.format(
                    "%s: \"%s\" in %s on %s: %.1f", screen, text.getText(), text.getFill(), ground, contrast));
        }
    }

    /** Those in sight; what is disabled need not be read. */
    private static Stream<Text> texts(Node node, double opacity) {
        double seen = opacity * node.getOpacity();
        if (!node.isVisible() || seen < 0.5 || node instanceof Control control && control.isDisabled()) {
            return Stream.of();
        }
        if (node instanceof Text text) {
            boolean hasWords = !text.getText().isBlank() && text.getFill() instanceof Color;
            return hasWords && !text.getStyleClass().contains("ikonli-font-icon") ? Stream.of(text) : Stream.of();
        }
        return node instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream().flatMap(child -> texts(child, seen))
                : Stream.of();
    }

    /** What the regions around a node paint, one over the other. */
    private static Color ground(Node node) {
        List<Color> fills = new ArrayList<>();
        for (Parent at = node.getParent(); at != null; at = at.getParent()) {
            if (at instanceof Region region && region.getBackground() != null) {
                List<BackgroundFill> own = region.getBackground().getFills();
                for (int i = own.size() - 1; i >= 0; i--) {
                    if (own.get(i).getFill() instanceof Color colour) {
                        fills.add(colour);
                    }
                }
            }
        }
        Color ground = (Color) node.getScene().getFill();
        for (Color over : fills.reversed()) {
            ground = ground.interpolate(Color.color(over.getRed(), over.getGreen(), over.getBlue()), over.getOpacity());
        }
        return ground;
    }

    private static double contrast(Color one, Color other) {
        double first = luminance(one);
        double second = luminance(other);
        return (Math.max(first, second) + 0.05) / (Math.min(first, second) + 0.05);
    }

    private static double luminance(Color colour) {
        return 0.2126 * light(colour.getRed()) + 0.7152 * light(colour.getGreen()) + 0.0722 * light(colour.getBlue());
    }

    private static double light(double value) {
        return value <= 0.04045 ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
    }
}
