package nexa.desktop.pane;

import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.space.PhotoSpace;
import nexa.desktop.model.LevelReview;
import nexa.desktop.model.LevelReview.Item;
import nexa.desktop.model.LevelReview.State;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Looks;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** The automatic level's proposals for several photos: each as it is with its lines, and as it would be. */
public final class LevelReviewView extends PhotoReviewFrame<Item> {
    private final Session session;
    private final LevelReview review;
    private final Label summary = new Label();

    /** @param done called when the user is through */
    public LevelReviewView(Session session, LevelReview review, PhotoLoader loader, Executor fx, Runnable done) {
        super("review.title", session, review.items(), loader, fx, done);
        this.session = session;
        this.review = review;
        setId("level-review");
        summary.getStyleClass().add("note");
        Label promise = new Label(Words.of("review.promise"));
        promise.getStyleClass().add("note");
        addFacts(summary, progress());
        addActions(promise);
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
                "review.summary",
                review.items().size(),
                count(State.PROPOSED),
                count(State.REFUSED) + count(State.UNREADABLE),
                count(State.ACCEPTED) + count(State.LEVEL)));
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
        HBox row = row(actions(item), asItIs(item), levelled(item), texts(360, name, words));
        row.setOpacity(item.state() == State.LEFT ? 0.5 : 1);
        return row;
    }

    private static String words(Item item) {
        return switch (item.state()) {
            case SEARCHING -> Words.of("bench.auto.searching");
            case UNREADABLE -> Words.of("bench.auto.unreadable");
            case PROPOSED ->
                Words.of(
                        "review.proposed",
                        Looks.degrees(item.finding().orElseThrow().tilt().degrees()),
                        percent(item),
                        item.finding().orElseThrow().lines().size());
            case REFUSED -> Looks.words(item.finding().orElseThrow());
            case ACCEPTED ->
                Words.of(
                        "review.accepted",
                        Looks.degrees(item.finding().orElseThrow().tilt().degrees()));
            case LEVEL -> Words.of("review.level", percent(item));
            case LEFT -> Words.of("review.left");
        };
    }

    private static long percent(Item item) {
        return Math.round(item.finding().orElseThrow().confidence() * 100);
    }

    private HBox actions(Item item) {
        Button accept = Buttons.text("review.accept", () -> review.accept(item));
        Button leave = Buttons.text("review.leave", () -> review.leave(item));
        String stem = item.photo().stem();
        accept.setId("accept-" + stem);
        leave.setId("leave-" + stem);
        boolean proposed = item.state() == State.PROPOSED;
        accept.setVisible(proposed);
        leave.setVisible(proposed);
        accept.setDisable(!session.shoot().mayEdit());
        return actions(leave, accept);
    }

    /** With the lines found. */
    private StackPane asItIs(Item item) {
        PhotoSpace space = space(item, item.framing().pose().tilt());
        return picture(item.photo(), space, (canvas, view, width, height) -> item.finding()
                .filter(Finding::accepted)
                .ifPresent(finding -> finding.lines().forEach(line -> line(canvas, view, space, line))));
    }

    /** Levelled as proposed, with level lines to judge it by. */
    private StackPane levelled(Item item) {
        if (!isLevel(item)) {
            return noPicture();
        }
        PhotoSpace space = space(item, item.finding().orElseThrow().tilt());
        return picture(item.photo(), space, (canvas, view, width, height) -> {
            canvas.setStroke(Color.gray(1, 0.8));
            canvas.setLineWidth(1);
            for (double part : new double[] {0.25, 0.5, 0.75}) {
                double y = Math.floor(height * part) + 0.5;
                canvas.strokeLine(0, y, width, y);
            }
        });
    }

    private static PhotoSpace space(Item item, Tilt tilt) {
        return new PhotoSpace(
                item.photo().facts().orElseThrow().asShot(),
                item.framing().pose().withTilt(tilt));
    }

    private static boolean isLevel(Item item) {
        return item.state() == State.PROPOSED || item.state() == State.ACCEPTED;
    }

    private static void line(GraphicsContext canvas, LevelView view, PhotoSpace space, LevelLine line) {
        Point from = view.toScreen(space.toLevel(line.from()));
        Point to = view.toScreen(space.toLevel(line.to()));
        PhotoPainter.accentLine(canvas, from, to, 1.5);
    }

    @Override
    public void dispose() {
        review.cancel();
        super.dispose();
    }
}
