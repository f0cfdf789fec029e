package nexa.desktop.widget;

import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import nexa.words.Words;

/** Labels as the small panes have them. */
public final class Labels {
    private Labels() {}

    /** What stands beside a field, never cut. */
    public static Label field(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("field-label");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }
}
