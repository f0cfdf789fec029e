package nexa.desktop.pane;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.Executor;
import java.util.stream.Stream;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.review.Proposals;
import nexa.desktop.review.Proposals.Item;
import nexa.desktop.review.Proposals.State;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.FramePicture;
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
    private final PhotoLoader loader;
    private final Executor fx;
    private final Label summary = new Label();
    private final ProgressBar progress = new ProgressBar(0);
    private final Map<Photo, FramePicture> pictures = new HashMap<>();

    /** @param title key of its words */
    PhotoReviewFrame(
            String title, Session session, Proposals<F> proposals, PhotoLoader loader, Executor fx, Runnable done) {
        super(title, "review-done", done);
        this.session = session;
        this.proposals = proposals;
        this.loader = loader;
        this.fx = fx;
        summary.getStyleClass().add("note");
        addFacts(summary, progress);
    }

    /** To be called when the list is ready to make rows. @param promise key of what is said beside the button that closes it */
    final void start(String promise, Node... actions) {
        Label promised = new Label(Words.of(promise));
        promised.getStyleClass().add("note");
        addActions(Stream.concat(Stream.of(promised), Arrays.stream(actions)).toArray(Node[]::new));
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
        progress.setVisible(open > 0);
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

    /** What is drawn on a photo. */
    @FunctionalInterface
    interface Drawing {
        void draw(GraphicsContext canvas, LevelView view, double width, double height);
    }

    /** A photo as it would be held, and what is drawn on it; as wide for every photo, so that pictures stand in columns. */
    final StackPane picture(Photo photo, PhotoSpace space, Drawing drawing) {
        return slot(
                new DrawnPane() {
                    @Override
                    public void draw(GraphicsContext canvas, double width, double height) {
                        LevelView view = LevelView.fitting(space.upright().aspect(), 0, 0, width, height);
                        canvas.setFill(Color.gray(0.82));
                        canvas.fillRect(0, 0, width, height);
                        pixels(photo).corrected(space).ifPresent(p -> new PhotoPainter(canvas, view).photo(p, space));
                        drawing.draw(canvas, view, width, height);
                    }
                },
                space.upright().aspect());
    }

    /** Nothing in place of a picture. */
    final StackPane noPicture() {
        return slot(
                new DrawnPane() {
                    @Override
                    public void draw(GraphicsContext canvas, double width, double height) {}
                },
                1);
    }

    private static StackPane slot(DrawnPane pane, double aspect) {
        pane.getStyleClass().add("review-picture");
        pane.fit(PICTURE, aspect);
        StackPane slot = new StackPane((Region) pane);
        slot.setMinWidth(PICTURE);
        slot.setMaxWidth(PICTURE);
        return slot;
    }

    private FramePicture pixels(Photo photo) {
        return pictures.computeIfAbsent(photo, p -> {
            FramePicture picture = new FramePicture(session.shoot(), loader, fx, () -> redraw(p));
            picture.show(p, PhotoLoader.SMALL);
            return picture;
        });
    }

    private void redraw(Photo photo) {
        for (int i = 0; i < proposals.items().size(); i++) {
            if (proposals.items().get(i).photo().equals(photo)) {
                HBox row = (HBox) rows().getChildren().get(i);
                row.lookupAll(".review-picture").forEach(node -> ((DrawnPane) node).redraw());
            }
        }
    }

    @Override
    public void dispose() {
        proposals.cancel();
        pictures.values().forEach(FramePicture::clear);
    }
}
