package nexa.desktop.wall;

import javafx.scene.control.Slider;
import javafx.scene.control.Tooltip;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.setting.Settings;
import nexa.words.Words;

/** How large photos are on the Wall; kept as soon as it changes. */
final class WallSize extends Slider {
    private static final double SMALLEST = 40;
    private static final double LARGEST = 420;

    WallSize(Settings settings, Keys keys) {
        super(SMALLEST, LARGEST, settings.wallSizeProperty().get());
        getStyleClass().add("wall-size");
        setAccessibleText(Words.of("wall.size"));
        Tooltip tooltip = new Tooltip();
        tooltip.setOnShowing(event -> tooltip.setText(explained(keys)));
        setTooltip(tooltip);
        setFocusTraversable(false);
        valueProperty()
                .addListener((value, before, now) -> settings.wallSizeProperty().set(now.doubleValue()));
    }

    private static String explained(Keys keys) {
        return Words.of("wall.size.tip", keys.label(Command.CLOSER), keys.label(Command.FARTHER), Words.of("key.ctrl"));
    }

    void multiply(double factor) {
        setValue(Math.clamp(getValue() * factor, SMALLEST, LARGEST));
    }
}
