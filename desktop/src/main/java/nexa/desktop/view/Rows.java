package nexa.desktop.view;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;

/** Things side by side as the small panes have them. */
final class Rows {
    private Rows() {}

    static HBox of(Node... parts) {
        HBox row = new HBox(8, parts);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
