package nexa.desktop.widget;

import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.util.Duration;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.words.Words;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;

/** Buttons as the whole window has them: an icon has a tooltip, and words for those who can't see it. */
public final class Buttons {
    private static final Duration TOOLTIP_DELAY = Duration.millis(350);

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

    public static void explain(javafx.scene.control.Control control, Command command, Keys keys) {
        explain(control, Words.of("command", command));
        control.getTooltip().setOnShowing(event -> control.getTooltip().setText(keys.words(command)));
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

    public static void explain(javafx.scene.control.Control control, String text) {
        Tooltip tooltip = control.getTooltip();
        if (tooltip == null) {
            tooltip = new Tooltip();
            tooltip.setShowDelay(TOOLTIP_DELAY);
            control.setTooltip(tooltip);
        }
        tooltip.setText(text);
        control.setAccessibleText(text);
    }
}
