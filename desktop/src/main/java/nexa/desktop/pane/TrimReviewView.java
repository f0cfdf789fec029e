package nexa.desktop.pane;

import java.util.List;
import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.layout.StackPane;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.repair.TrimWords;
import nexa.desktop.review.Proposals;
import nexa.desktop.review.Proposals.Item;
import nexa.desktop.review.Proposals.State;
import nexa.desktop.session.Session;
import nexa.shoot.trim.AutoTrimmer;
import nexa.words.Words;

/** What was found of several photos' borders: each as it is with the sides found, and what would be left of it. */
public final class TrimReviewView extends PhotoReviewFrame<TrimFinding> {
    private final Session session;
    private final Proposals<TrimFinding> proposals;
    private final Button all = new Button();

    /** @param done called when the user is through */
    public TrimReviewView(
            Session session, Proposals<TrimFinding> proposals, PhotoLoader loader, Executor fx, Runnable done) {
        super("trim.review.title", session, proposals, loader, fx, done);
        this.session = session;
        this.proposals = proposals;
        setId("trim-review");
        all.setId("trim-all");
        all.getStyleClass().add("primary");
        all.setOnAction(event -> proposals.acceptAll());
        start("trim.review.promise", all);
    }

    @Override
    void refresh() {
        super.refresh();
        all.setText(Words.of("trim.review.all", proposals.count(State.PROPOSED)));
        all.setDisable(proposals.count(State.PROPOSED) == 0 || !session.shoot().mayEdit());
    }

    @Override
    String summary() {
        return Words.of(
                "trim.review.summary",
                proposals.items().size(),
                proposals.count(State.PROPOSED) + proposals.count(State.DOUBTFUL),
                proposals.count(State.LEFT) + proposals.count(State.UNREADABLE),
                proposals.count(State.NOTHING));
    }

    @Override
    String acceptWords(Item<TrimFinding> item) {
        return item.state() == State.DOUBTFUL ? "trim.review.anyway" : "trim.review.accept";
    }

    @Override
    String leaveWords() {
        return "trim.review.leave";
    }

    @Override
    boolean isOver(Item<TrimFinding> item) {
        return item.state() == State.LEFT || item.state() == State.NOTHING;
    }

    @Override
    String words(Item<TrimFinding> item) {
        return switch (item.state()) {
            case SEARCHING -> Words.of("trim.searching");
            case UNREADABLE -> Words.of("trim.unreadable");
            case PROPOSED, DOUBTFUL, REFUSED, NOTHING ->
                item.finding().map(TrimWords::of).orElse("");
            case ACCEPTED -> Words.of("trim.review.accepted");
            case LEFT -> Words.of("trim.review.left");
        };
    }

    @Override
    StackPane asItIs(Item<TrimFinding> item) {
        PhotoSpace space = space(item, item.framing());
        return picture(item.photo(), space, (canvas, view, width, height) -> item.finding()
                .filter(TrimFinding::isProposed)
                .ifPresent(found -> outline(canvas, view, space, found.trim())));
    }

    /** The photo as it would lie, its borders veiled. */
    @Override
    StackPane asProposed(Item<TrimFinding> item) {
        boolean shows = item.isOpen() || item.state() == State.ACCEPTED;
        if (!shows) {
            return noPicture();
        }
        Trim trim = item.finding().orElseThrow().trim();
        PhotoSpace space = space(item, AutoTrimmer.trimmed(item.framing(), trim));
        return picture(item.photo(), space, (canvas, view, width, height) -> new PhotoPainter(canvas, view)
                .mat(space.outline(), width, height));
    }

    private static PhotoSpace space(Item<TrimFinding> item, Framing framing) {
        return item.photo().space(framing.pose());
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
}
