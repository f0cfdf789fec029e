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
    private final Button again;
    private final HBox troubled = new HBox();
    private final VBox told = new VBox();
    private int said;

    /**
     * @param passing what goes on or came of something; empty for nothing
     * @param understood called when that was read
     * @param openAgain opens the shoot once more
     */
    public NoticeBar(Shoot shoot, ReadOnlyStringProperty passing, Runnable understood, Runnable openAgain) {
        this.shoot = shoot;
        this.again = small(Buttons.text("notice.again", openAgain));
        setId("notices");
        again.setId("notice-again");
        Buttons.explain(again, Words.of("notice.again.tip"));
        fill(troubled, trouble, again);
        getChildren().addAll(told, troubled, passing(passing, understood));
        refresh();
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
        HBox row = new HBox();
        fill(row, label, understood(() -> told.getChildren().remove(row)));
        return row;
    }

    private static HBox passing(ReadOnlyStringProperty said, Runnable understood) {
        Label label = label();
        label.setId("passing");
        label.textProperty().bind(said);
        HBox row = new HBox();
        fill(row, label, understood(understood));
        List<Node> parts = List.copyOf(row.getChildren());
        row.visibleProperty().bind(said.isNotEmpty());
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

    private static void fill(HBox row, Label label, Button button) {
        HBox.setHgrow(label, Priority.ALWAYS);
        row.getChildren().addAll(label, button);
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
        troubled.setVisible(!words.isEmpty());
        troubled.setManaged(!words.isEmpty());
        boolean helps = !words.isEmpty() && !shoot.mayEdit();
        troubled.getChildren().setAll(helps ? List.of(trouble, again) : List.of(trouble)); // no button that nobody sees
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
