package nexa.desktop.widget;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;

/** Things side by side as the small panes have them. */
public final class Rows {
    private Rows() {}

    public static HBox of(Node... parts) {
        HBox row = new HBox(8, parts);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
