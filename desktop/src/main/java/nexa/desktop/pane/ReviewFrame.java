package nexa.desktop.pane;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Nodes;
import nexa.words.Words;

/** A list to be gone through, in place of a view: what it is on top, a row for each thing, and a button when one is through. */
public abstract class ReviewFrame extends BorderPane {
    private final VBox rows = new VBox(10);
    private final ScrollPane scroll = new ScrollPane();
    private final HBox actions = new HBox(16);
    private final FlowPane facts = new FlowPane(16, 4);

    /**
     * @param words of the title
     * @param finish id of the button that closes it
     * @param done called when the user is through
     */
    protected ReviewFrame(String words, String finish, Runnable done) {
        this(words, "review.done", finish, done);
    }

    /** @param closes words of the button that closes it */
    protected ReviewFrame(String words, String closes, String finish, Runnable done) {
        getStyleClass().add("level-review");
        Label title = new Label(Words.of(words));
        title.getStyleClass().add("sheet-title");
        Button close = Buttons.text(closes, done);
        close.setId(finish);
        actions.getChildren().add(close);
        actions.setAlignment(Pos.CENTER_RIGHT);
        actions.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new HBox(16, title, filling(), actions);
        line.setAlignment(Pos.CENTER_LEFT);
        VBox head = new VBox(6, line, facts);
        head.getStyleClass().add("review-head");
        rows.getStyleClass().add("review-rows");
        scroll.setContent(rows);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("review-scroll");
        setTop(head);
        setCenter(scroll);
    }

    /** Does what a key stands for here; false if it stands for nothing. */
    public boolean pressed(KeyEvent event) {
        return false;
    }

    /** Scrolls so that a row is seen. */
    protected final void reveal(Node row) {
        Nodes.reveal(scroll, row);
    }

    /** Lets go of what it shows. */
    public abstract void dispose();

    protected final VBox rows() {
        return rows;
    }

    /** Below the title, side by side where they fit. */
    protected final void addFacts(Node... more) {
        facts.getChildren().addAll(more);
    }

    /** Before the button that closes it. */
    protected final void addActions(Node... more) {
        actions.getChildren().addAll(0, List.of(more));
    }

    /** Words in a column as wide in each row. */
    protected static VBox texts(double width, Label... labels) {
        VBox text = new VBox(4, labels);
        text.setAlignment(Pos.CENTER_LEFT);
        text.setPrefWidth(width);
        return text;
    }

    /** Buttons at a row's end, never cut. */
    protected static HBox actions(Node... nodes) {
        HBox actions = new HBox(8, nodes);
        actions.setAlignment(Pos.CENTER_RIGHT);
        actions.setMinWidth(Region.USE_PREF_SIZE);
        return actions;
    }

    /** What one sees and reads, and then what one can do. */
    protected static HBox row(HBox actions, Node... shown) {
        HBox row = new HBox(18, shown);
        row.getChildren().addAll(filling(), actions);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("review-row");
        return row;
    }

    private static Region filling() {
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        return space;
    }
}
