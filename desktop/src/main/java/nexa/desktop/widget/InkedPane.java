package nexa.desktop.widget;

import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;

/** A drawn pane whose words have the colour that the stylesheet gives words there. */
public abstract class InkedPane extends DrawnPane {
    /** Drawn by nobody; a node is all that a stylesheet can give a colour to. */
    private final Text words = new Text();

    protected InkedPane() {
        words.getStyleClass().add("drawn-words");
        words.setManaged(false);
        words.setMouseTransparent(true);
        words.setTextOrigin(VPos.TOP); // within the pane, which else would reach beyond itself
        words.fillProperty().subscribe((before, now) -> redraw());
        getChildren().add(words);
    }

    /** The colour of words on the ground that the pane lies on. */
    protected final Color ink() {
        return (Color) words.getFill();
    }
}
