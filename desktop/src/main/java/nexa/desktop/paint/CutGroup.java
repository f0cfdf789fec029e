package nexa.desktop.paint;

import javafx.scene.Group;
import javafx.scene.shape.Rectangle;

/** Nodes over a view, in its units, that take no mouse; what goes on beyond the view is cut there. */
public abstract class CutGroup extends Group {
    private final Rectangle view = new Rectangle();

    CutGroup() {
        setClip(view);
        setManaged(false);
        setMouseTransparent(true);
    }

    /** Gives the view's size. */
    public final void cut(double width, double height) {
        view.setWidth(width);
        view.setHeight(height);
    }
}
