package nexa.desktop.pane;

import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.Executor;
import javafx.collections.ListChangeListener;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
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
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.FramePicture;
import nexa.desktop.widget.Looks;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** The automatic level's proposals for several photos: each as it is with its lines, and as it would be. */
public final class LevelReviewView extends ReviewFrame {
    private static final double PICTURE = 132;

    private final Session session;
    private final LevelReview review;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Label summary = new Label();
    private final ProgressBar progress = new ProgressBar(0);
    private final Map<Photo, FramePicture> pictures = new HashMap<>();

    /** @param done called when the user is through */
    public LevelReviewView(Session session, LevelReview review, PhotoLoader loader, Executor fx, Runnable done) {
        super("review.title", "review-done", done);
        this.session = session;
        this.review = review;
        this.loader = loader;
        this.fx = fx;
        setId("level-review");
        summary.getStyleClass().add("note");
        Label promise = new Label(Words.of("review.promise"));
        promise.getStyleClass().add("note");
        addFacts(summary, progress);
        addActions(promise);
        review.items().forEach(item -> rows().getChildren().add(row(item)));
        review.items().addListener((ListChangeListener<Item>) this::changed);
        refresh();
    }

    private void changed(ListChangeListener.Change<? extends Item> change) {
        while (change.next()) {
            for (int i = change.getFrom(); i < change.getTo(); i++) {
                rows().getChildren().set(i, row(review.items().get(i)));
            }
        }
        refresh();
    }

    private void refresh() {
        int all = review.items().size();
        long open = count(State.SEARCHING);
        progress.setVisible(open > 0);
        progress.setProgress(all == 0 ? 1 : 1 - (double) open / all);
        summary.setText(Words.of(
                "review.summary",
                all,
                count(State.PROPOSED),
                count(State.REFUSED) + count(State.UNREADABLE),
                count(State.ACCEPTED) + count(State.LEVEL)));
    }

    private long count(State state) {
        return review.items().stream().filter(item -> item.state() == state).count();
    }

    private HBox row(Item item) {
        Label name = new Label(Words.name(item.photo().name()));
        name.getStyleClass().add("format-name");
        Label words = new Label(words(item));
        words.setWrapText(true);
        HBox row = row(actions(item), slot(picture(item, false)), slot(picture(item, true)), texts(360, name, words));
        row.setOpacity(item.state() == State.LEFT ? 0.5 : 1);
        return row;
    }

    /** As wide for every photo, so that pictures and words stand in columns. */
    private static StackPane slot(Region picture) {
        StackPane slot = new StackPane(picture);
        slot.setMinWidth(PICTURE);
        slot.setMaxWidth(PICTURE);
        return slot;
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

    /** The photo with the lines found, or levelled as proposed. */
    private Region picture(Item item, boolean levelled) {
        DrawnPane pane = new DrawnPane() {
            @Override
            public void draw(GraphicsContext canvas, double width, double height) {
                LevelReviewView.this.draw(canvas, width, height, item, levelled);
            }
        };
        pane.getStyleClass().add("review-picture");
        double aspect = session.shoot()
                .space(item.photo())
                .map(space -> space.upright().aspect())
                .orElse(1.0);
        pane.fit(PICTURE, aspect);
        return pane;
    }

    private void draw(GraphicsContext canvas, double width, double height, Item item, boolean levelled) {
        if (levelled && !isLevel(item)) {
            return;
        }
        Tilt tilt = levelled
                ? item.finding().orElseThrow().tilt()
                : item.framing().pose().tilt();
        PhotoSpace space = new PhotoSpace(
                item.photo().facts().orElseThrow().asShot(),
                item.framing().pose().withTilt(tilt));
        LevelView view = LevelView.fitting(space.upright().aspect(), 0, 0, width, height);
        canvas.setFill(Color.gray(0.82));
        canvas.fillRect(0, 0, width, height);
        pixels(item.photo()).corrected(space).ifPresent(p -> new PhotoPainter(canvas, view).photo(p, space));
        if (!levelled) {
            item.finding().filter(Finding::accepted).ifPresent(finding -> finding.lines()
                    .forEach(line -> line(canvas, view, space, line)));
        } else {
            canvas.setStroke(Color.gray(1, 0.8));
            canvas.setLineWidth(1);
            for (double part : new double[] {0.25, 0.5, 0.75}) {
                double y = Math.floor(height * part) + 0.5;
                canvas.strokeLine(0, y, width, y);
            }
        }
    }

    private static boolean isLevel(Item item) {
        return item.state() == State.PROPOSED || item.state() == State.ACCEPTED;
    }

    private static void line(GraphicsContext canvas, LevelView view, PhotoSpace space, LevelLine line) {
        Point from = view.toScreen(space.toLevel(line.from()));
        Point to = view.toScreen(space.toLevel(line.to()));
        PhotoPainter.accentLine(canvas, from, to, 1.5);
    }

    private FramePicture pixels(Photo photo) {
        return pictures.computeIfAbsent(photo, p -> {
            FramePicture picture = new FramePicture(session.shoot(), loader, fx, () -> redraw(p));
            picture.show(p, PhotoLoader.SMALL);
            return picture;
        });
    }

    private void redraw(Photo photo) {
        for (int i = 0; i < review.items().size(); i++) {
            if (review.items().get(i).photo().equals(photo)) {
                HBox row = (HBox) rows().getChildren().get(i);
                row.lookupAll(".review-picture").forEach(node -> ((DrawnPane) node).redraw());
            }
        }
    }

    @Override
    public void dispose() {
        review.cancel();
        pictures.values().forEach(FramePicture::clear);
    }
}
