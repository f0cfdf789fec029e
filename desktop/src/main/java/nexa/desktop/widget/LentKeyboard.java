package nexa.desktop.widget;

import java.util.Optional;
import javafx.scene.Node;

/** The keyboard, while a node borrows it from the control that began something there. */
public final class LentKeyboard {
    /**
     * @param node that had it
     * @param seen whether it showed that it did, as for somebody who works by keys
     */
    private record Owner(Node node, boolean seen) {}

    private final Node borrower;
    private Optional<Owner> owner = Optional.empty();

    public LentKeyboard(Node borrower) {
        this.borrower = borrower;
    }

    /** Gives it to the borrower. */
    public void lend() {
        Node now = borrower.getScene() == null ? null : borrower.getScene().getFocusOwner();
        if (now != null && now != borrower) {
            owner = Optional.of(new Owner(now, now.isFocusVisible()));
            borrower.requestFocus();
        }
    }

    /** Gives it back if the borrower still has it and whom it was lent from can take it. */
    public void giveBack() {
        owner.filter(from -> borrower.isFocused()).ifPresent(from -> {
            from.node().requestFocus();
            if (from.node().isFocused()) {
                Nodes.focus(from.node(), from.seen());
            }
        });
        owner = Optional.empty();
    }
}
