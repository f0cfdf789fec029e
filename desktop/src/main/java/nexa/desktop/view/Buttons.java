package nexa.desktop.view;

import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.util.Duration;
import nexa.desktop.words.Words;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;

/** Buttons as the whole window has them: an icon has a tooltip, and words for those who can't see it. */
final class Buttons {
    private static final Duration TOOLTIP_DELAY = Duration.millis(350);

    private Buttons() {}

    static Button icon(Ikon icon, String words, Runnable action) {
        Button button = new Button(null, new FontIcon(icon));
        button.setOnAction(event -> action.run());
        return dress(button, words);
    }

    static ToggleButton toggle(Ikon icon, String words) {
        return dress(new ToggleButton(null, new FontIcon(icon)), words);
    }

    private static <B extends ButtonBase> B dress(B button, String words) {
        button.getStyleClass().add("icon-button");
        button.setFocusTraversable(true);
        explain(button, Words.of(words));
        return button;
    }

    static Button text(String words, Runnable action) {
        Button button = new Button(Words.of(words));
        button.setOnAction(event -> action.run());
        return button;
    }

    static void explain(javafx.scene.control.Control control, String text) {
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
