package nexa.desktop.desk;

import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.WindowEvent;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.CommandItem;
import nexa.desktop.widget.Labels;
import org.kordamp.ikonli.materialdesign2.MaterialDesignD;

/** Signs that belong together, under a word; those that are seldom used are in a menu. */
final class DeskGroup extends VBox {
    private final Keys keys;
    private final ContextMenu seldom = new ContextMenu();
    private final Button more;

    /**
     * @param title key of its word
     * @param id of the button that opens the menu, after {@code more-}
     */
    DeskGroup(String title, String id, Keys keys, Node... signs) {
        super(5);
        this.keys = keys;
        this.more = Buttons.icon(MaterialDesignD.DOTS_HORIZONTAL, "desk.more", () -> {});
        more.setOnAction(event -> seldom.show(more, Side.TOP, 0, 0));
        more.getStyleClass().add("small");
        more.setId("more-" + id);
        HBox head = new HBox(6, Labels.title(title), more);
        head.setAlignment(Pos.CENTER_LEFT);
        HBox row = new HBox(signs);
        row.getStyleClass().add("desk-signs");
        getChildren().addAll(head, row);
        setAlignment(Pos.CENTER_LEFT);
        setMinWidth(Region.USE_PREF_SIZE);
    }

    /** Puts a command into the menu. */
    DeskGroup seldom(Command command, Runnable action) {
        CommandItem item = new CommandItem(command, keys, action);
        item.setId("seldom-" + command);
        seldom.getItems().add(item);
        seldom.addEventHandler(WindowEvent.WINDOW_SHOWING, event -> item.showKey());
        return this;
    }

    /** What panes that come from the menu open beside. */
    Button more() {
        return more;
    }
}
