package nexa.desktop.pane;

import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Nodes;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;

/**
 * One small pane at a time over the views, beside the button it belongs to. It stays open while one works on, and
 * nobody is thrown out of framing by it.
 */
public final class PaneLayer extends Pane {
    private static final double GAP = 8;

    /** With less left for rail and view the rail should be a narrow one. */
    private static final double LEAST_BESIDE_RAIL = 600;

    /** With less left for a narrow rail and the view a pane lies over them: the photos would get too small. */
    private static final double LEAST_LEFT = 480;

    private final Region room = new Region();
    private final ReadOnlyBooleanWrapper crowded = new ReadOnlyBooleanWrapper();
    private Optional<Content> shown = Optional.empty();
    private Optional<Region> frame = Optional.empty();
    private Optional<Node> anchor = Optional.empty();
    private Point2D grabbed = Point2D.ZERO;
    private Point2D moved = Point2D.ZERO;

    /** What such a pane holds. */
    public interface Content {
        String title();

        Region node();

        /** No longer shown. */
        void dispose();

        /** Takes the keyboard, where typing is what one came for. */
        default void focus() {}
    }

    /** What is about that which the view shows: it stands beside that, and the view makes room. */
    public interface BesideView extends Content {}

    public PaneLayer() {
        setPickOnBounds(false);
        room.setMinWidth(0);
        room.setPrefWidth(0);
        room.layoutXProperty().subscribe(x -> requestLayout());
        widthProperty().subscribe(width -> makeRoom());
    }

    /** What takes the room beside the view that a pane about it stands in; nothing while there is none. */
    public Region room() {
        return room;
    }

    /** Whether the pane beside the view leaves so little that the rail should be a narrow one. */
    public ReadOnlyBooleanProperty crowdedProperty() {
        return crowded.getReadOnlyProperty();
    }

    /** Opens a pane beside a button; the same again closes it. */
    public void toggle(Content content, Node beside) {
        boolean same = shown.filter(open ->
                        open.getClass() == content.getClass() && open.title().equals(content.title()))
                .isPresent();
        close();
        if (same) {
            content.dispose();
            return;
        }
        Region framed = framed(content);
        shown = Optional.of(content);
        frame = Optional.of(framed);
        anchor = Optional.of(beside);
        getChildren().setAll(framed);
        applyCss();
        makeRoom();
        layout();
        framed.requestFocus(); // so that Tab leads into it
        content.focus();
    }

    private void makeRoom() {
        double wide = shown.filter(BesideView.class::isInstance)
                .flatMap(content -> frame)
                .map(framed -> framed.prefWidth(-1) + 2 * GAP)
                .filter(width -> getWidth() - width >= LEAST_LEFT)
                .orElse(0.0);
        room.setPrefWidth(wide);
        crowded.set(wide > 0 && getWidth() - wide < LEAST_BESIDE_RAIL);
    }

    /** Whether a node with the keyboard is one of an open pane's controls. */
    public boolean holdsControl(Node owner) {
        return Nodes.isWithin(owner, this) && frame.filter(owner::equals).isEmpty();
    }

    private Region framed(Content content) {
        Label title = new Label(content.title());
        title.getStyleClass().add("pane-title");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        var close = Buttons.icon(MaterialDesignC.CLOSE, "pane.close", this::close);
        close.getStyleClass().add("small");
        close.setId("pane-close");
        HBox head = new HBox(8, title, space, close);
        head.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new WholeIfThereIsRoom(content.node());
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        scroll.getStyleClass().add("sheet-scroll");
        Nodes.drawInParts(scroll);
        VBox framed = new VBox(10, head, scroll);
        framed.getStyleClass().add("small-pane");
        framed.setOnMousePressed(event -> event.consume());
        movedBy(head);
        return framed;
    }

    /** Scrolls in a low window only: it wants all the height that its content, with wrapped words, has at its width. */
    private static final class WholeIfThereIsRoom extends ScrollPane {
        private final Region content;

        WholeIfThereIsRoom(Region content) {
            super(content);
            this.content = content;
        }

        @Override
        protected double computePrefHeight(double width) {
            double wide = width < 0 ? content.prefWidth(-1) : width - snappedLeftInset() - snappedRightInset();
            return snappedTopInset() + Math.ceil(content.prefHeight(wide)) + snappedBottomInset();
        }
    }

    /** Dragged by its title, a pane goes where it is not in the way, and stays there until it is closed. */
    private void movedBy(Region head) {
        head.setCursor(Cursor.MOVE);
        head.setOnMousePressed(event -> {
            grabbed = new Point2D(event.getSceneX(), event.getSceneY()).subtract(moved);
            event.consume();
        });
        head.setOnMouseDragged(event -> {
            moved = new Point2D(event.getSceneX(), event.getSceneY()).subtract(grabbed);
            requestLayout();
        });
    }

    /** False if none was open. */
    public boolean close() {
        boolean open = shown.isPresent();
        shown.ifPresent(Content::dispose);
        shown = Optional.empty();
        frame = Optional.empty();
        moved = Point2D.ZERO;
        makeRoom();
        getChildren().clear();
        if (open && getParent() != null) {
            getParent().requestFocus();
        }
        return open;
    }

    @Override
    protected void layoutChildren() {
        frame.ifPresent(region -> anchor.ifPresent(node -> place(region, node)));
    }

    private void place(Region region, Node node) {
        double wide = region.prefWidth(-1);
        double high = Math.min(region.prefHeight(wide), getHeight() - 2 * GAP);
        Point2D at = (room.getPrefWidth() > 0 ? inRoom() : at(node, wide, high)).add(moved);
        region.resizeRelocate(
                Math.round(Math.clamp(at.getX(), GAP, Math.max(GAP, getWidth() - wide - GAP))),
                Math.round(Math.clamp(at.getY(), GAP, Math.max(GAP, getHeight() - high - GAP))),
                wide,
                high);
    }

    private Point2D inRoom() {
        return sceneToLocal(room.localToScene(GAP, GAP));
    }

    /** Above the button, or below it in the window's upper half. */
    private Point2D at(Node node, double wide, double high) {
        Bounds at = sceneToLocal(node.localToScene(node.getBoundsInLocal()));
        boolean above = at.getCenterY() > getHeight() / 2;
        return new Point2D(at.getCenterX() - wide / 2, above ? at.getMinY() - GAP - high : at.getMaxY() + GAP);
    }
}
