package nexa.desktop.pane;

import java.util.List;
import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.repair.TrimReview;
import nexa.desktop.repair.TrimReview.Item;
import nexa.desktop.repair.TrimReview.State;
import nexa.desktop.repair.TrimWords;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.shoot.photo.Photo;
import nexa.shoot.trim.AutoTrimmer;
import nexa.words.Words;

/** What was found of several photos' borders: each as it is with the sides found, and what would be left of it. */
public final class TrimReviewView extends PhotoReviewFrame<Item> {
    private final Session session;
    private final TrimReview review;
    private final Label summary = new Label();
    private final Button all = new Button();

    /** @param done called when the user is through */
    public TrimReviewView(Session session, TrimReview review, PhotoLoader loader, Executor fx, Runnable done) {
        super("trim.review.title", session, review.items(), loader, fx, done);
        this.session = session;
        this.review = review;
        setId("trim-review");
        summary.getStyleClass().add("note");
        Label promise = new Label(Words.of("trim.review.promise"));
        promise.getStyleClass().add("note");
        all.setId("trim-all");
        all.getStyleClass().add("primary");
        all.setOnAction(event -> review.acceptAll());
        addFacts(summary, progress());
        addActions(promise, all);
        start();
    }

    @Override
    Photo photo(Item item) {
        return item.photo();
    }

    @Override
    void refresh() {
        showProgress(count(State.SEARCHING));
        summary.setText(Words.of(
                "trim.review.summary",
                review.items().size(),
                count(State.PROPOSED) + count(State.DOUBTFUL),
                count(State.LEFT) + count(State.UNREADABLE),
                count(State.NOTHING)));
        all.setText(Words.of("trim.review.all", count(State.PROPOSED)));
        all.setDisable(count(State.PROPOSED) == 0 || !session.shoot().mayEdit());
    }

    private long count(State state) {
        return review.items().stream().filter(item -> item.state() == state).count();
    }

    @Override
    HBox row(Item item) {
        Label name = new Label(Words.name(item.photo().name()));
        name.getStyleClass().add("format-name");
        Label words = new Label(words(item));
        words.setWrapText(true);
        HBox row = row(actions(item), asItIs(item), trimmed(item), texts(360, name, words));
        row.setOpacity(item.state() == State.LEFT || item.state() == State.NOTHING ? 0.5 : 1);
        return row;
    }

    private static String words(Item item) {
        return switch (item.state()) {
            case SEARCHING -> Words.of("trim.searching");
            case UNREADABLE -> Words.of("trim.unreadable");
            case PROPOSED, DOUBTFUL, NOTHING ->
                item.finding().map(TrimWords::of).orElse("");
            case ACCEPTED -> Words.of("trim.review.accepted");
            case LEFT -> Words.of("trim.review.left");
        };
    }

    private HBox actions(Item item) {
        Button accept = Buttons.text(
                item.state() == State.DOUBTFUL ? "trim.review.anyway" : "trim.review.accept",
                () -> review.accept(item));
        Button leave = Buttons.text("trim.review.leave", () -> review.leave(item));
        String stem = item.photo().stem();
        accept.setId("accept-" + stem);
        leave.setId("leave-" + stem);
        accept.setVisible(item.isOpen());
        leave.setVisible(item.isOpen());
        accept.setDisable(!session.shoot().mayEdit());
        return actions(leave, accept);
    }

    private StackPane asItIs(Item item) {
        PhotoSpace space = space(item, item.framing());
        return picture(item.photo(), space, (canvas, view, width, height) -> item.finding()
                .filter(TrimFinding::isProposed)
                .ifPresent(found -> outline(canvas, view, space, found.trim())));
    }

    /** The photo as it would lie, its borders veiled. */
    private StackPane trimmed(Item item) {
        boolean shows = item.isOpen() || item.state() == State.ACCEPTED;
        if (!shows) {
            return noPicture();
        }
        Trim trim = item.finding().orElseThrow().trim();
        PhotoSpace space = space(item, AutoTrimmer.trimmed(item.framing(), trim));
        return picture(item.photo(), space, (canvas, view, width, height) -> new PhotoPainter(canvas, view)
                .mat(space.outline(), width, height));
    }

    private static PhotoSpace space(Item item, Framing framing) {
        return new PhotoSpace(item.photo().facts().orElseThrow().asShot(), framing.pose());
    }

    private static void outline(GraphicsContext canvas, LevelView view, PhotoSpace space, Trim trim) {
        List<Point> corners = trim.corners(space.asShot()).stream()
                .map(space::fromAsShot)
                .map(view::toScreen)
                .toList();
        for (int i = 0; i < corners.size(); i++) {
            PhotoPainter.accentLine(canvas, corners.get(i), corners.get((i + 1) % corners.size()), 1.5);
        }
    }

    @Override
    public void dispose() {
        review.cancel();
        super.dispose();
    }
}
