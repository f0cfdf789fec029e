package nexa.desktop.widget;

import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** One of several states to choose from: a small picture of it, and words. */
public final class PictureRow extends Button {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");

    private boolean active;

    /**
     * @param picture of how it looks; its place is left empty without one
     * @param side of the picture's place
     * @param note below the words; may be empty
     */
    public PictureRow(Optional<Region> picture, double side, String words, String note) {
        StackPane place = new StackPane();
        place.setMinSize(side, side);
        place.setPrefSize(side, side);
        picture.ifPresent(place.getChildren()::add);
        dress(new HBox(10, place, said(words, note)), note.isEmpty() ? words : words + ", " + note);
    }

    /** Without a picture. */
    public PictureRow(String words) {
        dress(new HBox(new Label(words)), words);
    }

    private static VBox said(String words, String note) {
        VBox said = new VBox(1, new Label(words));
        if (!note.isEmpty()) {
            Label below = new Label(note);
            below.getStyleClass().add("note");
            said.getChildren().add(below);
        }
        said.setAlignment(Pos.CENTER_LEFT);
        return said;
    }

    private void dress(HBox shown, String spoken) {
        shown.setAlignment(Pos.CENTER_LEFT);
        getStyleClass().setAll("picture-row");
        setGraphic(shown);
        setAlignment(Pos.CENTER_LEFT);
        setMaxWidth(Double.MAX_VALUE);
        setAccessibleRole(AccessibleRole.RADIO_BUTTON);
        setAccessibleText(spoken);
    }

    /**
     * Offers the state.
     *
     * @param active whether this is how things are now
     * @param chosen takes it
     */
    public void offer(boolean active, Runnable chosen) {
        this.active = active;
        pseudoClassStateChanged(ACTIVE, active);
        notifyAccessibleAttributeChanged(AccessibleAttribute.SELECTED);
        setOnAction(event -> chosen.run());
    }

    public boolean isActive() {
        return active;
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return attribute == AccessibleAttribute.SELECTED
                ? (Object) active
                : super.queryAccessibleAttribute(attribute, parameters);
    }
}
