package nexa.desktop.pane;

import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.review.Proposals;
import nexa.desktop.review.Proposals.Item;
import nexa.desktop.review.Proposals.State;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Looks;
import nexa.words.Words;

/** The automatic level's proposals for several photos: each as it is with its lines, and as it would be. */
public final class LevelReviewView extends PhotoReviewFrame<Finding> {
    private final Proposals<Finding> proposals;

    /** @param done called when the user is through */
    public LevelReviewView(
            Session session, Proposals<Finding> proposals, PhotoLoader loader, Executor fx, Runnable done) {
        super("review.title", session, proposals, loader, fx, done);
        this.proposals = proposals;
        setId("level-review");
        start("review.promise");
    }

    @Override
    String summary() {
        return Words.of(
                "review.summary",
                proposals.items().size(),
                proposals.count(State.PROPOSED) + proposals.count(State.DOUBTFUL),
                proposals.count(State.REFUSED) + proposals.count(State.UNREADABLE),
                proposals.count(State.ACCEPTED) + proposals.count(State.NOTHING));
    }

    @Override
    String acceptWords(Item<Finding> item) {
        return item.state() == State.DOUBTFUL ? "review.anyway" : "review.accept";
    }

    @Override
    String leaveWords() {
        return "review.leave";
    }

    @Override
    boolean isOver(Item<Finding> item) {
        return item.state() == State.LEFT;
    }

    @Override
    String words(Item<Finding> item) {
        return switch (item.state()) {
            case SEARCHING -> Words.of("bench.auto.searching");
            case UNREADABLE -> Words.of("bench.auto.unreadable");
            case PROPOSED ->
                Words.of(
                        "review.proposed",
                        Looks.degrees(item.finding().orElseThrow().tilt().degrees()),
                        percent(item),
                        item.finding().orElseThrow().lines().size());
            case DOUBTFUL ->
                Words.of(
                        "review.doubtful",
                        Looks.degrees(item.finding().orElseThrow().tilt().degrees()),
                        percent(item));
            case REFUSED -> Looks.refused(item.finding().orElseThrow());
            case ACCEPTED ->
                Words.of(
                        "review.accepted",
                        Looks.degrees(item.finding().orElseThrow().tilt().degrees()));
            case NOTHING -> Words.of("review.level", percent(item));
            case LEFT -> Words.of("review.left");
        };
    }

    private static long percent(Item<Finding> item) {
        return Math.round(item.finding().orElseThrow().confidence() * 100);
    }

    /** With the lines found. */
    @Override
    StackPane asItIs(Item<Finding> item) {
        PhotoSpace space = space(item, item.framing().pose().tilt());
        return picture(item.photo(), space, (canvas, view, width, height) -> item.finding()
                .filter(finding -> finding.accepted() || finding.offered())
                .ifPresent(finding -> finding.lines().forEach(line -> line(canvas, view, space, line))));
    }

    /** Levelled as proposed, with level lines to judge it by. */
    @Override
    StackPane asProposed(Item<Finding> item) {
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

    private static PhotoSpace space(Item<Finding> item, Tilt tilt) {
        return item.photo().space(item.framing().pose().withTilt(tilt));
    }

    private static boolean isLevel(Item<Finding> item) {
        return item.isOpen() || item.state() == State.ACCEPTED;
    }

    private static void line(GraphicsContext canvas, LevelView view, PhotoSpace space, LevelLine line) {
        Point from = view.toScreen(space.toLevel(line.from()));
        Point to = view.toScreen(space.toLevel(line.to()));
        PhotoPainter.accentLine(canvas, from, to, 1.5);
    }
}
