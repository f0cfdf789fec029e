package nexa.desktop.widget;

import javafx.scene.Node;
import javafx.scene.Parent;

/** Where nodes are in a scene. */
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

    /** The screen's pixels for each unit across; 1 while the node is in no window. */
    public static double outputScale(Node node) {
        return node.getScene() == null || node.getScene().getWindow() == null
                ? 1
                : node.getScene().getWindow().getOutputScaleX();
    }
}
