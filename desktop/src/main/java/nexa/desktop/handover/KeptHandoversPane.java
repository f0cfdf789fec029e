package nexa.desktop.handover;

import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.brief.Format;
import nexa.desktop.delivering.HandoverChoice;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.KeptRow;
import nexa.shoot.exchange.KeptHandover;
import nexa.shoot.exchange.Shelf;
import nexa.words.Words;

/** Whole handovers kept under names: folder, names and formats, for any shoot. */
public final class KeptHandoversPane implements PaneLayer.Content {
    private final Session session;
    private final HandoverChoice choice;
    private final Shelf shelf;
    private final Runnable done;
    private final VBox rows = new VBox(6);
    private final TextField name = new TextField();
    private final Label message = new Label();
    private final VBox node;

    /** @param done closes the pane */
    public KeptHandoversPane(Session session, HandoverChoice choice, Shelf shelf, Runnable done) {
        this.session = session;
        this.choice = choice;
        this.shelf = shelf;
        this.done = done;
        name.setId("kept-name");
        name.setPromptText(Words.of("handover.kept.name"));
        name.setAccessibleText(Words.of("handover.kept.name"));
        name.setOnAction(event -> keep());
        HBox.setHgrow(name, Priority.ALWAYS);
        Button keep = Buttons.text("shelf.keep", this::keep);
        keep.setId("kept-keep");
        message.setWrapText(true);
        message.managedProperty().bind(message.textProperty().isNotEmpty());
        node = new VBox(10, rows, new HBox(8, name, keep), message);
        node.setPrefWidth(380);
        fill();
    }

    private void fill() {
        rows.getChildren().setAll(shelf.handovers().stream().map(this::row).toList());
        if (rows.getChildren().isEmpty()) {
            Label none = new Label(Words.of("handover.kept.none"));
            none.getStyleClass().add("note");
            none.setWrapText(true);
            rows.getChildren().add(none);
        }
    }

    private Node row(KeptHandover kept) {
        Button use = Buttons.text("handover.kept.use", () -> use(kept));
        use.setId("kept-use-" + KeptRow.id(kept.name()));
        String formats = kept.brief().formats().stream().map(Format::name).collect(Collectors.joining(", "));
        return KeptRow.of(kept.name(), formats + " → " + kept.folder(), new VBox(1), use, () -> {
            shelf.drop(kept);
            fill();
        });
    }

    /** Formats that the brief lacks are added to it, in a step of their own that can be taken back. */
    private void use(KeptHandover kept) {
        session.briefEdits().addAll(kept.brief().formats());
        choice.take(kept);
        done.run();
    }

    private void keep() {
        try {
            shelf.keep(choice.kept(name.getText()));
            message.setText(Words.of("handover.kept.kept", name.getText().strip()));
            message.getStyleClass().setAll("label", "note");
            name.clear();
            fill();
        } catch (IllegalArgumentException refused) {
            message.setText(Words.of(refused));
            message.getStyleClass().setAll("label", "refusal");
        }
    }

    @Override
    public String title() {
        return Words.of("handover.kept.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {}

    @Override
    public void focus() {
        if (shelf.handovers().isEmpty()) {
            name.requestFocus();
        }
    }
}
