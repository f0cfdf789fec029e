package nexa.desktop.pane;

import java.util.List;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.told.Told;
import nexa.desktop.widget.Buttons;
import nexa.shoot.Shoot;
import nexa.words.Words;

/** What one must know of the open shoot: what was mended when it was opened, and why something is not stored. */
public final class NoticeBar extends VBox {
    private final Shoot shoot;
    private final Label trouble = label();
    private final VBox told = new VBox();
    private int said;

    /**
     * @param passing what goes on or came of something; empty for nothing
     * @param understood called when that was read
     */
    public NoticeBar(Shoot shoot, ReadOnlyStringProperty passing, Runnable understood) {
        this.shoot = shoot;
        setId("notices");
        getChildren().addAll(told, trouble, passing(passing, understood));
        refresh();
    }

    private static Label label() {
        Label label = new Label();
        label.getStyleClass().add("notice");
        label.setWrapText(true);
        label.setMaxWidth(Double.MAX_VALUE);
        return label;
    }

    /** Stays until somebody says that it is understood. */
    private HBox row(Told said) {
        Label label = label();
        label.setText(Words.of(said));
        HBox row = new HBox();
        fill(row, label, () -> told.getChildren().remove(row));
        return row;
    }

    private static HBox passing(ReadOnlyStringProperty said, Runnable understood) {
        Label label = label();
        label.setId("passing");
        label.textProperty().bind(said);
        HBox row = new HBox();
        fill(row, label, understood);
        List<Node> parts = List.copyOf(row.getChildren());
        row.visibleProperty().bind(said.isNotEmpty());
        row.managedProperty().bind(row.visibleProperty());
        row.visibleProperty().subscribe(visible -> row.getChildren()
                .setAll(visible ? parts : List.of())); // no button that nobody sees
        return row;
    }

    private static void fill(HBox row, Label label, Runnable closed) {
        label.getStyleClass().remove("notice"); // the row has it
        HBox.setHgrow(label, Priority.ALWAYS);
        Button close = Buttons.text("notice.close", closed);
        close.setMinWidth(USE_PREF_SIZE);
        close.getStyleClass().add("small");
        row.getChildren().addAll(label, close);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("notice");
    }

    /** Says how it is now. */
    public void refresh() {
        List<Told> all = shoot.told();
        all.stream().skip(said).map(this::row).forEach(told.getChildren()::add);
        said = all.size();
        String words = words(all);
        trouble.setText(words);
        trouble.setVisible(!words.isEmpty());
        trouble.setManaged(!words.isEmpty());
    }

    private String words(List<Told> said) {
        if (!shoot.mayEdit()) {
            return said.isEmpty() ? Words.of("notice.readonly") : "";
        }
        return shoot.savingTrouble()
                .map(reason -> Words.of("notice.saving", reason))
                .orElse("");
    }
}
