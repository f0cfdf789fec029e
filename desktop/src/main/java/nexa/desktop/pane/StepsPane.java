package nexa.desktop.pane;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
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

    private static final int IN_SIGHT = 10;
    private static final double NEAR_THE_END = 0.6;

    private static final Format WHOLE = Format.of(Shape.AS_PHOTO);

    private final Session session;
    private final PhotoLoader loader;
    private final Executor fx;
    private final VBox list = new VBox(2);
    private final ScrollPane node = new ScrollPane(list);
    private final Subscription subscription;
    private Map<Step, PictureRow> made = Map.of();
    private Optional<Format> madeIn = Optional.empty();
    private int wanted;

    public StepsPane(Session session, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.loader = loader;
        this.fx = fx;
        node.setFitToWidth(true);
        node.setPrefSize(310, 420);
        node.getStyleClass().add("steps");
        node.setId("step-list");
        node.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        wanted = session.shoot().history().undone().size() + IN_SIGHT; // with the one that is done last
        node.vvalueProperty().subscribe(how -> scrolled(how.doubleValue()));
        subscription = session.editsProperty().subscribe(count -> refresh());
    }

    /** A step where it stands. @param back how many actions to step back so that it is the last done; negative = forward */
    private record Place(Step step, int back) {}

    private List<Place> places() {
        List<Step> undone = session.shoot().history().undone();
        List<Step> done = session.shoot().history().done();
        List<Place> places = new ArrayList<>();
        for (int i = Math.min(undone.size(), MOST_SHOWN) - 1; i >= 0; i--) {
            places.add(new Place(undone.get(i), -(i + 1)));
        }
        for (int i = 0; i < Math.min(done.size(), MOST_SHOWN); i++) {
            places.add(new Place(done.get(i), i));
        }
        return places;
    }

    private void refresh() {
        Optional<Node> focused =
                list.getChildren().stream().filter(Node::isFocused).findFirst();
        boolean seen = focused.filter(Node::isFocusVisible).isPresent();
        List<Place> places = places();
        List<PictureRow> shown = rows(places.subList(0, Math.min(wanted, places.size())));
        if (shown.size() == places.size()) {
            shown.add(start(session.shoot().history().done().size()));
        }
        show(shown);
        focused.flatMap(row -> shown.stream().filter(PictureRow::isActive).findFirst())
                .ifPresent(active -> Nodes.focus(active, seen));
    }

    /** Those that were made stay. */
    private List<PictureRow> rows(List<Place> places) {
        Map<Step, PictureRow> before = madeIn.equals(session.format()) ? made : Map.of();
        made = new IdentityHashMap<>();
        madeIn = session.format();
        List<PictureRow> rows = new ArrayList<>();
        for (Place place : places) {
            PictureRow row = before.get(place.step);
            rows.add(offered(row == null ? row(place.step) : row, place.back));
            made.put(place.step, rows.getLast());
        }
        return rows;
    }

    /** More of them before the last one is come to: few people look far back. */
    private void scrolled(double how) {
        if (how > NEAR_THE_END && wanted < places().size()) {
            wanted += IN_SIGHT;
            refresh();
        }
    }

    /** What stays is left in place: it would be dressed anew when it came anew. */
    private void show(List<PictureRow> shown) {
        List<Node> nodes = list.getChildren();
        nodes.retainAll(shown);
        for (int i = 0; i < shown.size(); i++) {
            if (i == nodes.size() || nodes.get(i) != shown.get(i)) {
                nodes.add(i, shown.get(i));
            }
        }
    }

    private PictureRow row(Step step) {
        Optional<Photo> photo = photo(step);
        Optional<Region> picture = photo.flatMap(p -> picture(p, step));
        return new PictureRow(picture, PICTURE, Words.begun(Words.of(step.label())), where(step, photo));
    }

    private PictureRow offered(PictureRow row, int back) {
        row.offer(back == 0, () -> session.stepBack(back));
        row.setOpacity(back < 0 ? 0.5 : 1);
        row.setId(back < 0 ? "step-forward-" + -back : "step-" + back);
        return row;
    }

    private PictureRow start(int back) {
        PictureRow row = new PictureRow(Words.of("steps.start"));
        row.offer(back == 0, () -> session.stepBack(back));
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
