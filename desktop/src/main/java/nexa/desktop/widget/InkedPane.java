package nexa.desktop.widget;

import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;

/** A drawn pane whose colours are those that the stylesheet gives words, and what is active, on its ground. */
public abstract class InkedPane extends DrawnPane {
    private final Text words = colour("drawn-words");
    private final Text active = colour("drawn-active");

    /** Drawn by nobody; a node is all that a stylesheet can give a colour to. */
    private Text colour(String style) {
        Text text = new Text();
        text.getStyleClass().add(style);
        text.setManaged(false);
        text.setMouseTransparent(true);
        text.setTextOrigin(VPos.TOP); // within the pane, which else would reach beyond itself
        text.fillProperty().subscribe((before, now) -> redraw());
        getChildren().add(text);
        return text;
    }

    /** The colour of words on the ground that the pane lies on. */
    protected final Color ink() {
        return (Color) words.getFill();
    }

    /** The colour of what is active on that ground. */
    protected final Color accent() {
        return (Color) active.getFill();
    }
}
