package nexa.desktop.pane;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.shape.Shape;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.ResultPicture;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Nodes;
import nexa.desktop.widget.PictureRow;
import nexa.shoot.edit.Step;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** Every action in words and a small picture, newest first; a click goes back to it, or forward again. */
public final class StepsPane implements PaneLayer.BesideView {
    private static final double PICTURE = 44;
    private static final int MOST_SHOWN = 60;
    private static final Format WHOLE = Format.of(Shape.AS_PHOTO);

    private final Session session;
    private final PhotoLoader loader;
    private final Executor fx;
    private final VBox list = new VBox(2);
    private final ScrollPane node = new ScrollPane(list);
    private final Subscription subscription;

    public StepsPane(Session session, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.loader = loader;
        this.fx = fx;
        node.setFitToWidth(true);
        node.setPrefSize(310, 420);
        node.getStyleClass().add("steps");
        node.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        subscription = session.editsProperty().subscribe(count -> refresh());
    }

    private void refresh() {
        Optional<Node> focused =
                list.getChildren().stream().filter(Node::isFocused).findFirst();
        boolean seen = focused.filter(Node::isFocusVisible).isPresent();
        List<Step> undone = session.shoot().history().undone();
        List<Step> done = session.shoot().history().done();
        List<PictureRow> rows = new ArrayList<>();
        for (int i = Math.min(undone.size(), MOST_SHOWN) - 1; i >= 0; i--) {
            rows.add(row(undone.get(i), -(i + 1), "step-forward-" + (i + 1)));
        }
        for (int i = 0; i < Math.min(done.size(), MOST_SHOWN); i++) {
            rows.add(row(done.get(i), i, "step-" + i));
        }
        rows.add(start(done.size()));
        list.getChildren().setAll(rows);
        focused.flatMap(before -> rows.stream().filter(PictureRow::isActive).findFirst())
                .ifPresent(active -> Nodes.focus(active, seen));
    }

    /** @param back how many actions to step back so that this one is the last done; negative = forward */
    private PictureRow row(Step step, int back, String id) {
        Optional<Photo> photo = photo(step);
        Optional<Region> picture = photo.flatMap(p -> picture(p, step));
        PictureRow row = new PictureRow(
                picture,
                PICTURE,
                Words.begun(Words.of(step.label())),
                where(step, photo),
                back == 0,
                () -> session.stepBack(back));
        row.setOpacity(back < 0 ? 0.5 : 1);
        row.setId(id);
        return row;
    }

    private PictureRow start(int back) {
        PictureRow row = new PictureRow(Words.of("steps.start"), back == 0, () -> session.stepBack(back));
        row.setId("step-start");
        return row;
    }

    private Optional<Photo> photo(Step step) {
        return step.first().flatMap(change -> session.shoot().photos().stream()
                .filter(photo -> photo.id() == change.photo())
                .findFirst());
    }

    private static String where(Step step, Optional<Photo> photo) {
        int photos = step.photoCount();
        return photos > 1
                ? Words.of("steps.photos", photos)
                : photo.map(Photo::name).map(Words::name).orElse(Words.of("steps.brief"));
    }

    /** Of all that can be seen of the photo, where there is no format. */
    private Optional<Region> picture(Photo photo, Step step) {
        Framing after = step.first().orElseThrow().after();
        Format format = session.format().orElse(WHOLE);
        return photo.isReadable()
                ? Optional.of(new ResultPicture(session, photo, after, format, loader, fx, PICTURE))
                : Optional.empty();
    }

    @Override
    public String title() {
        return Words.of("steps.title");
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
