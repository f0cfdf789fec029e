package nexa.desktop.widget;

import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Control;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.util.Duration;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.words.Words;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;

/** Buttons as the whole window has them: an icon has a tooltip, and words for those who can't see it. */
public final class Buttons {
    private static final Duration TOOLTIP_DELAY = Duration.millis(350);

    /** The property of a control that holds what its tooltip says. */
    private static final Object EXPLANATION = new Object();

    private Buttons() {}

    public static Button icon(Ikon icon, String words, Runnable action) {
        Button button = new Button(null, new FontIcon(icon));
        button.setOnAction(event -> action.run());
        return dress(button, words);
    }

    /** A button for a command: its tooltip says what it does and which key does it for this user. */
    public static Button command(Ikon icon, Command command, Keys keys, Runnable action) {
        Button button = new Button(null, new FontIcon(icon));
        button.setOnAction(event -> action.run());
        return dress(button, command, keys);
    }

    public static ToggleButton toggle(Ikon icon, Command command, Keys keys) {
        return dress(new ToggleButton(null, new FontIcon(icon)), command, keys);
    }

    /** With a word below its sign. */
    public static <B extends ButtonBase> B labelled(B button, String words) {
        button.setText(Words.of(words));
        button.setContentDisplay(ContentDisplay.TOP);
        button.getStyleClass().add("sign");
        return button;
    }

    private static <B extends ButtonBase> B dress(B button, Command command, Keys keys) {
        button.getStyleClass().add("icon-button");
        explain(button, command, keys);
        return button;
    }

    /** What a command does, and which key does it for this user. */
    public static void explain(Control control, Command command, Keys keys) {
        explain(control, Words.of("command", command), () -> keys.words(command));
    }

    /** The same in words of one's own. */
    public static void explain(Control control, String words, Command command, Keys keys) {
        explain(control, words, () -> keys.words(words, command));
    }

    private static <B extends ButtonBase> B dress(B button, String words) {
        button.getStyleClass().add("icon-button");
        button.setFocusTraversable(true);
        explain(button, Words.of(words));
        return button;
    }

    public static Button text(String words, Runnable action) {
        Button button = new Button(Words.of(words));
        button.setOnAction(event -> action.run());
        return button;
    }

    /** By a tooltip, and for those who can't see it. */
    public static void explain(Control control, String text) {
        explain(control, text, () -> text);
    }

    private static void explain(Control control, String spoken, Supplier<String> shown) {
        control.setAccessibleText(spoken);
        if (control.getProperties().put(EXPLANATION, shown) == null) {
            control.addEventHandler(MouseEvent.MOUSE_ENTERED, event -> explainInTooltip(control));
        }
    }

    /** Made when the pointer comes by for the first time: each is a window of its own, and there are a hundred. */
    private static void explainInTooltip(Control control) {
        if (control.getTooltip() == null) {
            Tooltip tooltip = new Tooltip();
            tooltip.setShowDelay(TOOLTIP_DELAY);
            tooltip.setOnShowing(event -> tooltip.setText(explanation(control)));
            control.setTooltip(tooltip);
        }
    }

    private static String explanation(Control control) {
        return control.getProperties().get(EXPLANATION) instanceof Supplier<?> shown
                ? String.valueOf(shown.get())
                : control.getAccessibleText();
    }
}
