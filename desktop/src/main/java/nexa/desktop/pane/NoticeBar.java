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
     * @param openAgain opens the shoot once more
     */
    public NoticeBar(Shoot shoot, ReadOnlyStringProperty passing, Runnable understood, Runnable openAgain) {
        this.shoot = shoot;
        setId("notices");
        HBox troubled = shoot.mayEdit() ? whileSaid(trouble) : whileSaid(trouble, again(openAgain));
        getChildren().addAll(told, troubled, passing(passing, understood));
        refresh();
    }

    private static Button again(Runnable openAgain) {
        Button again = small(Buttons.text("notice.again", openAgain));
        again.setId("notice-again");
        Buttons.explain(again, Words.of("notice.again.tip"));
        return again;
    }

    private static Label label() {
        Label label = new Label();
        label.setWrapText(true);
        label.setMaxWidth(Double.MAX_VALUE);
        return label;
    }

    /** Stays until somebody says that it is understood. */
    private HBox row(Told said) {
        Label label = label();
        label.setText(Words.of(said));
        HBox row = row(label);
        row.getChildren().add(understood(() -> told.getChildren().remove(row)));
        return row;
    }

    private static HBox passing(ReadOnlyStringProperty said, Runnable understood) {
        Label label = label();
        label.setId("passing");
        label.textProperty().bind(said);
        return whileSaid(label, understood(understood));
    }

    /** Takes no room while the label says nothing. */
    private static HBox whileSaid(Label label, Button... buttons) {
        HBox row = row(label);
        row.getChildren().addAll(buttons);
        List<Node> parts = List.copyOf(row.getChildren());
        row.visibleProperty().bind(label.textProperty().isNotEmpty());
        row.managedProperty().bind(row.visibleProperty());
        row.visibleProperty().subscribe(visible -> row.getChildren()
                .setAll(visible ? parts : List.of())); // no button that nobody sees
        return row;
    }

    private static Button understood(Runnable closed) {
        return small(Buttons.text("notice.close", closed));
    }

    private static Button small(Button button) {
        button.setMinWidth(USE_PREF_SIZE);
        button.getStyleClass().add("small");
        return button;
    }

    private static HBox row(Label label) {
        HBox row = new HBox(label);
        HBox.setHgrow(label, Priority.ALWAYS);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("notice");
        return row;
    }

    /** Says how it is now. */
    public void refresh() {
        List<Told> all = shoot.told();
        all.stream().skip(said).map(this::row).forEach(told.getChildren()::add);
        said = all.size();
        trouble.setText(words(all));
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
