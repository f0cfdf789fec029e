package nexa.desktop.desk;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.Marking;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;

/** Marks proposed for photos, and what becomes of them. */
public final class MarksPane implements PaneLayer.BesideView {
    private final Session session;
    private final Marking marking;
    private final Button suggest;
    private final ProgressBar progress = new ProgressBar();
    private final Label found = new Label();
    private final Button accept;
    private final Button acceptOne;
    private final Button declineOne;
    private final Button decline;
    private final Button clear;
    private final VBox node;
    private final Subscription subscription;

    public MarksPane(ShootModels models, Keys keys) {
        this.session = models.session();
        this.marking = models.marking();
        Label help = new Label(Words.of("marks.help", keys.label(Command.MARK)));
        help.getStyleClass().add("note");
        help.setWrapText(true);
        suggest = button("marks.suggest", "marks-suggest", marking::suggest);
        accept = button("marks.accept", "marks-accept", marking::accept);
        accept.getStyleClass().add("primary");
        decline = button("marks.decline", "marks-decline", marking::decline);
        acceptOne = button(
                "marks.accept.one", "marks-accept-one", () -> session.photo().ifPresent(marking::accept));
        declineOne = button(
                "marks.decline.one", "marks-decline-one", () -> session.photo().ifPresent(marking::decline));
        clear = button("marks.clear", "marks-clear", marking::clear);
        progress.setMaxWidth(Double.MAX_VALUE);
        progress.managedProperty().bind(progress.visibleProperty());
        node = new VBox(
                11,
                help,
                suggest,
                progress,
                found,
                new HBox(8, accept, decline),
                new HBox(8, acceptOne, declineOne),
                clear);
        node.setPrefWidth(330);
        subscription = Follow.each(
                this::refresh,
                marking.proposalsProperty(),
                marking.searchProperty(),
                session.photoProperty(),
                session.viewProperty(),
                session.lineup().shownProperty(),
                session.selection().property(),
                session.editsProperty());
    }

    private static Button button(String words, String id, Runnable action) {
        Button button = Buttons.text(words, action);
        button.setId(id);
        return button;
    }

    private void refresh() {
        Optional<Marking.Search> search = marking.searchProperty().get();
        boolean mayEdit = session.shoot().mayEdit();
        int searchable = marking.searchable().size();
        int proposed = marking.proposalsProperty().get().size();
        suggest.setText(Words.of("marks.suggest", searchable));
        suggest.setDisable(searchable == 0 || search.isPresent() || !mayEdit);
        progress.setVisible(search.isPresent());
        search.ifPresent(now -> progress.setProgress((double) now.done() / now.all()));
        found.setText(Words.of("marks.found", proposed));
        accept.setText(Words.of("marks.accept", proposed));
        boolean ours = session.photo()
                .filter(marking.proposalsProperty().get()::containsKey)
                .isPresent();
        accept.setDisable(proposed == 0 || !mayEdit);
        decline.setDisable(proposed == 0 && search.isEmpty()); // it stops a search, too
        for (Button button : new Button[] {acceptOne, declineOne}) {
            button.setDisable(!ours || !mayEdit);
        }
        long marked = session.selection().adjusted().stream()
                .filter(photo -> !session.framing(photo).marks().isEmpty())
                .count();
        clear.setText(Words.of("marks.clear", marked));
        clear.setDisable(marked == 0 || !mayEdit);
    }

    /** Whoever opens it said *propose*. */
    @Override
    public void focus() {
        boolean isBegun = marking.searchProperty().get().isPresent()
                || !marking.proposalsProperty().get().isEmpty();
        if (!isBegun && !suggest.isDisabled()) {
            marking.suggest();
        }
    }

    @Override
    public String title() {
        return Words.of("marks.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
    }
}
