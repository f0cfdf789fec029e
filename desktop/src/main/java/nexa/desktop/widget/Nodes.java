package nexa.desktop.widget;

import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.TraversalDirection;
import javafx.scene.control.ScrollPane;

/** Where nodes are in a scene, whether they show, and which has the keyboard. */
public final class Nodes {
    private Nodes() {}

    /** Whether a node is another one or lies in it, however deep. */
    public static boolean isWithin(Node node, Parent ancestor) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (at == ancestor) {
                return true;
            }
        }
        return false;
    }

    /**
     * Gives a node the keyboard.
     *
     * @param seen whether that shows, as for somebody who works by keys
     */
    public static void focus(Node node, boolean seen) {
        node.requestFocus();
        if (seen) { // shown only where one came by going from another
            node.requestFocusTraversal(TraversalDirection.NEXT);
            node.getScene().getFocusOwner().requestFocusTraversal(TraversalDirection.PREVIOUS);
        }
    }

    /** Shows a node or not; one that is not shown takes no room. */
    public static void show(Node node, boolean shows) {
        node.setVisible(shows);
        node.setManaged(shows);
    }

    /** Scrolls no further than is needed for a part of what is scrolled to be seen, or its top if it is higher than what shows. */
    public static void reveal(ScrollPane scroll, Node part) {
        Node all = scroll.getContent();
        double seen = scroll.getViewportBounds().getHeight();
        double beyond = all.getLayoutBounds().getHeight() - seen;
        if (beyond > 0 && isWithin(part, scroll)) { // it may be gone again
            Bounds place = all.sceneToLocal(part.localToScene(part.getLayoutBounds()));
            double top = scroll.getVvalue() * beyond;
            double moved = Math.clamp(top, Math.min(place.getMinY(), place.getMaxY() - seen), place.getMinY());
            scroll.setVvalue(moved / beyond);
        }
    }

    /** Has only the part drawn anew that changes. Else all that shows is kept as one picture: quicker to scroll, slow to type in. */
    public static void drawInParts(ScrollPane scroll) {
        scroll.skinProperty().subscribe(skin -> Optional.ofNullable(scroll.lookup(".viewport"))
                .ifPresent(shown -> shown.setCache(false)));
    }

    /** The screen's pixels for each unit across; 1 while the node is in no window. */
    public static double outputScale(Node node) {
        return node.getScene() == null || node.getScene().getWindow() == null
                ? 1
                : node.getScene().getWindow().getOutputScaleX();
    }
}
