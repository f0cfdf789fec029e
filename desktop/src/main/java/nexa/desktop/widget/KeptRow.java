package nexa.desktop.widget;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;

/** Something that was kept under a name: what it is, a button that uses it and one that drops it. */
public final class KeptRow {
    private KeptRow() {}

    /**
     * @param words holds the name and what is said of it, side by side or below each other
     * @param use not narrower than its words
     */
    public static HBox of(String title, String note, Pane words, Button use, Runnable drop) {
        Label name = new Label(title);
        name.getStyleClass().add("format-name");
        Label said = new Label(note);
        said.getStyleClass().add("note");
        words.getChildren().addAll(name, said);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        use.setMinWidth(Region.USE_PREF_SIZE);
        Button remove = Buttons.icon(MaterialDesignC.CLOSE, "shelf.drop", drop);
        remove.getStyleClass().add("small");
        return Rows.of(words, use, remove);
    }

    /** The end of a button's name, made of what it is for. */
    public static String id(String title) {
        return title.replaceAll("[^A-Za-z0-9]+", "-");
    }
}
