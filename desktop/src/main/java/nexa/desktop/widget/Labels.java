package nexa.desktop.widget;

import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import nexa.words.Words;

/** Labels as the small panes have them. */
public final class Labels {
    private Labels() {}

    /** What a part of the desk is about. */
    public static Label title(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("desk-title");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    /** What stands beside a field, never cut. */
    public static Label field(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("field-label");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    /** The same, beside the first of several rows. */
    public static Label besideRows(String words) {
        Label label = field(words);
        label.setPadding(new Insets(5, 0, 0, 0));
        GridPane.setValignment(label, VPos.TOP);
        return label;
    }
}
