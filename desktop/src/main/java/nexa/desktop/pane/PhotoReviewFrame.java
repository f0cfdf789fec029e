package nexa.desktop.pane;

import java.util.concurrent.Executor;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import nexa.core.space.PhotoSpace;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.review.Proposals;
import nexa.desktop.review.Proposals.Item;
import nexa.desktop.review.Proposals.State;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Nodes;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/**
 * A list of what is proposed for photos: for each the photo as it is and as it would be, words, and what one can do.
 *
 * @param <F> what is found of one photo
 */
abstract class PhotoReviewFrame<F> extends ReviewFrame {
    private static final double PICTURE = 132;

    private final Session session;
    private final Proposals<F> proposals;
    private final Label summary = new Label();
    private final ProgressBar progress = new ProgressBar(0);
    private final ReviewPictures pictures;

    /** @param title key of its words */
    PhotoReviewFrame(
            String title, Session session, Proposals<F> proposals, PhotoLoader loader, Executor fx, Runnable done) {
        super(title, "review-done", done);
        this.session = session;
        this.proposals = proposals;
        this.pictures = new ReviewPictures(session.shoot(), loader, fx);
        summary.getStyleClass().add("note");
        addFacts(summary, progress);
    }

    /** To be called when the list is ready to make rows. @param promise key of what is said of it beforehand */
    final void start(String promise, Node... actions) {
        Label promised = new Label(Words.of(promise));
        promised.getStyleClass().add("note");
        addFacts(promised);
        addActions(actions);
        proposals.items().forEach(item -> rows().getChildren().add(row(item)));
        proposals.items().addListener((ListChangeListener<Item<F>>) this::changed);
        refresh();
    }

    /** How many there are, and how they stand. */
    abstract String summary();

    /** What was found. */
    abstract String words(Item<F> item);

    /** With what was found. */
    abstract StackPane asItIs(Item<F> item);

    /** As proposed. */
    abstract StackPane asProposed(Item<F> item);

    /** Keys of the words on the buttons. */
    abstract String acceptWords(Item<F> item);

    abstract String leaveWords();

    /** Whether there is nothing more to see to. */
    abstract boolean isOver(Item<F> item);

    /** Called after the list changed. */
    void refresh() {
        long open = proposals.count(State.SEARCHING);
        int all = proposals.items().size();
        Nodes.show(progress, open > 0);
        progress.setProgress(all == 0 ? 1 : 1 - (double) open / all);
        summary.setText(summary());
    }

    private void changed(ListChangeListener.Change<? extends Item<F>> change) {
        while (change.next()) {
            for (int i = change.getFrom(); i < change.getTo(); i++) {
                rows().getChildren().set(i, row(proposals.items().get(i)));
            }
        }
        refresh();
    }

    private HBox row(Item<F> item) {
        pictures.forget(item.photo());
        Label name = new Label(Words.name(item.photo().name()));
        name.getStyleClass().add("format-name");
        Label words = new Label(words(item));
        words.setWrapText(true);
        HBox row = row(actions(item), asItIs(item), asProposed(item), texts(360, name, words));
        row.setOpacity(isOver(item) ? 0.5 : 1);
        return row;
    }

    private HBox actions(Item<F> item) {
        Button accept = Buttons.text(acceptWords(item), () -> proposals.accept(item));
        Button leave = Buttons.text(leaveWords(), () -> proposals.leave(item));
        String stem = item.photo().stem();
        accept.setId("accept-" + stem);
        leave.setId("leave-" + stem);
        accept.setVisible(item.isOpen());
        leave.setVisible(item.isOpen());
        accept.setDisable(!session.shoot().mayEdit());
        return actions(leave, accept);
    }

    /** A photo as it would be held, and what is drawn on it. */
    final StackPane picture(Photo photo, PhotoSpace space, ReviewPictures.Drawing drawing) {
        return pictures.picture(photo, space, PICTURE, drawing);
    }

    /** Nothing in place of a picture. */
    final StackPane noPicture() {
        return ReviewPictures.none(PICTURE);
    }

    @Override
    public void dispose() {
        proposals.cancel();
        pictures.dispose();
    }
}
