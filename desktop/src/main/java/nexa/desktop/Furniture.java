package nexa.desktop;

import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import nexa.desktop.brief.RailView;
import nexa.desktop.desk.DeskView;
import nexa.desktop.hint.FirstSteps;
import nexa.desktop.pane.HeaderView;
import nexa.desktop.pane.NoticeBar;
import nexa.desktop.widget.Nodes;

/** What stands around the middle: header, notices and hints above it, the rail beside it, the desk below. */
final class Furniture {
    private final RailView rail;
    private final DeskView desk;
    private final VBox hints;
    private final VBox top;
    private final VBox bottom;

    Furniture(HeaderView header, NoticeBar notices, FirstSteps steps, RailView rail, DeskView desk) {
        this.rail = rail;
        this.desk = desk;
        hints = new VBox(steps.high());
        top = new VBox(header, notices, hints);
        bottom = new VBox(steps.low(), desk);
        bottom.setViewOrder(-1); // what is in the middle comes later, and would lie over what is pointed out
    }

    void putInto(BorderPane layout) {
        layout.setTop(top);
        layout.setLeft(rail);
        layout.setBottom(bottom);
    }

    /**
     * @param bare whether the photo is alone
     * @param desked whether photos are worked on in the middle
     * @param hinted whether first steps are pointed out
     */
    void show(boolean bare, boolean desked, boolean hinted) {
        show(!bare, top, rail);
        show(!bare && desked, bottom, desk);
        show(hinted, hints);
    }

    /**
     * Takes the keyboard from a field beside or in a view; what was typed into the rail or the desk and not entered is gone.
     *
     * @param to who has it then
     * @param layout the furniture and the view between it
     * @return false if no field had it
     */
    boolean leaveField(Node to, Parent layout) {
        Node owner = to.getScene().getFocusOwner();
        boolean left = owner instanceof TextInputControl && Nodes.isWithin(owner, layout);
        if (left) {
            rail.endTyping(owner);
            to.requestFocus();
        }
        return left;
    }

    private static void show(boolean shows, Node... some) {
        for (Node node : some) {
            node.setVisible(shows);
            node.setManaged(shows);
        }
    }
}
