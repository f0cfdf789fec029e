package nexa.desktop.wall;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.Executor;
import java.util.function.IntFunction;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Orientation;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Background;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Rectangle;
import javafx.util.Subscription;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.photo.Ahead;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Wheel;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoGrouping;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;

/** All photos of the shoot. Only the rows in sight have nodes. */
public final class WallView extends Region {
    private static final double MAT_STRENGTH = 0.7;

    private final ShootModels models;
    private final Session session;
    private final WallPointer pointer;
    private final Tooltip explanation = new Tooltip();
    private final PhotoLoader loader;
    private final Ahead ahead;
    private final Executor fx;
    private final Pane tiles = new Pane();
    private final GroupHeadings headings;
    private final ScrollBar bar = new ScrollBar();
    private final WallSize size;
    private final EmptyWall empty;
    private final Label others = new Label();
    private final Map<Photo, PhotoTile> shown = new HashMap<>();
    private final ObjectProperty<Paint> mat = new SimpleObjectProperty<>(Color.TRANSPARENT);
    private final Deque<PhotoTile> spare = new ArrayDeque<>();
    private final EvenEdge evenEdge = new EvenEdge();
    private final Subscription subscriptions;
    private Hung hung = Hung.NOTHING;
    private boolean stale = true;
    private boolean revealing;
    private double hungWidth;
    private double hungSize;

    public WallView(ShootModels models, Keys keys, PhotoLoader loader, Executor fx) {
        this.models = models;
        this.session = models.session();
        this.loader = loader;
        this.size = new WallSize(session.settings(), keys);
        this.empty = new EmptyWall(keys);
        this.ahead = new Ahead(loader, session.shoot()::fileOf, fx, 2, () -> {});
        this.fx = fx;
        getStyleClass().add("wall");
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText(Words.of("view.wall.tip"));
        setFocusTraversable(true);
        bar.setOrientation(Orientation.VERTICAL);
        bar.setUnitIncrement(60);
        others.setId("wall-others");
        others.getStyleClass().addAll("note", "wall-others");
        others.setMouseTransparent(true);
        this.headings = new GroupHeadings(session);
        getChildren().addAll(tiles, headings, bar, size, others, empty);
        clip(tiles);
        clip(headings);
        pointer = new WallPointer(session, keys, tiles, this::tileAt);
        Tooltip.install(tiles, explanation);
        tiles.setOnMouseMoved(this::explain);
        Wheel.scrolls(this, this::scroll, this::larger);
        subscriptions = Subscription.combine(
                backgroundProperty().subscribe(this::mixMat),
                Follow.each(this::requestLayout, bar.valueProperty(), size.valueProperty()),
                Follow.each(this::relay, session.editsProperty(), session.list().groupsProperty()),
                session.list().photosProperty().subscribe(photos -> listed()),
                session.photoProperty().subscribe(current -> reveal()));
    }

    /** The surround's own colour: so a tilted photo's corners, where there is no photo, look like the surround. */
    private void mixMat(@Nullable Background background) {
        if (background != null && !background.getFills().isEmpty()) {
            Color surround = (Color) background.getFills().getLast().getFill();
            mat.set(surround.deriveColor(0, 1, 1, MAT_STRENGTH));
        }
    }

    private static void clip(Pane pane) {
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(pane.widthProperty());
        clip.heightProperty().bind(pane.heightProperty());
        pane.setClip(clip);
    }

    private void listed() {
        empty.refresh(session);
        showOthers();
        relay();
    }

    private void showOthers() {
        int count = session.shoot().others();
        others.setVisible(count > 0);
        others.setText(Words.of("wall.others", count));
    }

    /** Hangs the photos anew at the next pulse. */
    private void relay() {
        stale = true;
        requestLayout();
    }

    private void explain(MouseEvent event) {
        String words = tileAt(new Point(event.getX(), event.getY()))
                .map(PhotoTile::explanation)
                .orElse("");
        explanation.setText(words);
        explanation.setOpacity(words.isEmpty() ? 0 : 1);
    }

    public void dispose() {
        subscriptions.unsubscribe();
        shown.values().forEach(PhotoTile::release);
        shown.clear();
        ahead.clear();
    }

    /** Moves the choice to the photo nearest above (-1) or below (1). */
    public void stepRow(int direction) {
        step(place -> hung.layout().inNextRow(place, direction));
    }

    /** Moves the choice to the photo nearest a screen above (-1) or below (1); where there are no more rows, to the end. */
    public void stepScreen(int direction) {
        int end = direction < 0 ? 0 : hung.layout().cells().size() - 1;
        step(place -> OptionalInt.of(
                hung.layout().faraway(place, direction * getHeight()).orElse(end)));
    }

    private void step(IntFunction<OptionalInt> from) {
        List<Photo> photos = session.list().photos();
        int place = hung.place(session.photo());
        if (place >= 0) {
            from.apply(place).stream()
                    .filter(next -> next < photos.size()) // fewer may hang from the next pulse on
                    .mapToObj(photos::get)
                    .forEach(session::choose);
        }
    }

    private Optional<PhotoTile> tileAt(Point at) {
        return shown.values().stream()
                .filter(tile -> tile.getBoundsInParent().contains(at.x(), at.y()))
                .findFirst();
    }

    /** Gives up what goes on; false if nothing did. */
    public boolean escape() {
        return pointer.letGo();
    }

    /** How many photos are in sight. */
    public int inSight() {
        return shown.size();
    }

    /** How many of them show nothing yet. */
    public int blank() {
        return (int) shown.values().stream().filter(PhotoTile::isBlank).count();
    }

    /** How many of them show less than they will. */
    public int coarse() {
        return (int) shown.values().stream().filter(tile -> !tile.isSharp()).count();
    }

    private void scroll(double way) {
        if (!pointer.isHolding()) { // else it is a finger that moves frames
            scrollTo(bar.getValue() + way);
        }
    }

    /** Shows the photos larger by a factor, or smaller. */
    public void larger(double factor) {
        size.multiply(factor);
    }

    @Override
    public @Nullable Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        List<Photo> photos = session.list().photos();
        return switch (attribute) {
            case ITEM_COUNT -> photos.size();
            case ITEM_AT_INDEX -> shown.get(photos.get((int) parameters[0]));
            case FOCUS_ITEM -> session.photo().map(shown::get).orElse(null);
            default -> super.queryAccessibleAttribute(attribute, parameters);
        };
    }

    /** Scrolls to the current photo; where photos are to be hung anew, once they hang. */
    private void reveal() {
        notifyAccessibleAttributeChanged(AccessibleAttribute.FOCUS_ITEM);
        revealing = true;
        if (!stale) {
            revealOnceHung();
        }
    }

    private void revealOnceHung() {
        if (revealing && getHeight() > 0) {
            revealing = false;
            scrollTo(hung.scrolledTo(session.photo(), bar.getValue(), getHeight()));
        }
    }

    private void scrollTo(double value) {
        bar.setValue(Math.clamp(value, 0, Math.max(0, hung.layout().height() - getHeight())));
    }

    @Override
    protected void layoutChildren() {
        double barWidth = bar.prefWidth(-1);
        double width = getWidth() - barWidth;
        hang(width);
        revealOnceHung();
        tiles.resizeRelocate(0, 0, width, getHeight());
        headings.resizeRelocate(0, 0, width, getHeight());
        bar.resizeRelocate(width, 0, barWidth, getHeight());
        double high = Math.max(size.minHeight(-1), size.prefHeight(-1)); // larger for a pen
        size.resizeRelocate(width - 150, getHeight() - 8 - high, 136, high);
        others.resizeRelocate(14, getHeight() - 30, Math.ceil(others.prefWidth(-1)), 22);
        empty.resizeRelocate(0, 0, getWidth(), getHeight());
        double overflow = Math.max(0, hung.layout().height() - getHeight());
        bar.setMax(overflow);
        scrollTo(bar.getValue()); // fewer photos, or smaller ones, may end above
        bar.setVisibleAmount(
                overflow == 0 ? 0 : overflow * getHeight() / hung.layout().height());
        bar.setBlockIncrement(getHeight() * 0.9);
        bar.setVisible(overflow > 0);
        showRows();
    }

    /** Of ten thousand photos this takes a while, so only when something changed. */
    private void hang(double width) {
        if (stale || width != hungWidth || size.getValue() != hungSize) {
            Hung before = hung;
            List<Double> aspects = aspects();
            List<Integer> groups = groupSizes();
            double edge = evenEdge.of(aspects, groups, width, size.getValue());
            WallLayout layout = WallLayout.of(aspects, groups, width, edge);
            hung = new Hung(session.list().photos(), layout);
            scrollTo(
                    stale
                            ? hung.scrolledWith(session.photo(), before, bar.getValue(), getHeight())
                            : hung.scrolledAs(before, bar.getValue(), getHeight(), session.photo()));
            stale = false;
            hungWidth = width;
            hungSize = size.getValue();
        }
    }

    private List<Double> aspects() {
        return session.list().photos().stream()
                .map(photo ->
                        session.shoot().space(photo).map(PhotoSpace::upright).map(s -> Math.clamp(s.aspect(), 0.2, 5)))
                .map(aspect -> aspect.orElse(1.0))
                .toList();
    }

    /** None where photos are not put together. */
    private List<Integer> groupSizes() {
        return session.list().groupingProperty().get() == PhotoGrouping.NONE
                ? List.of()
                : session.list().groupsProperty().get().stream()
                        .map(group -> group.photos().size())
                        .toList();
    }

    private void showRows() {
        headings.show(session.list().groupsProperty().get(), hung.layout().headings(), bar.getValue(), getHeight());
        List<Photo> photos = hung.photos();
        Map<Photo, PhotoTile> kept = new HashMap<>();
        List<Photo> next = new ArrayList<>();
        for (int i = 0; i < photos.size(); i++) {
            WallLayout.Cell cell = hung.layout().cells().get(i);
            double y = cell.y() - bar.getValue();
            if (cell.isInSight(bar.getValue(), getHeight())) {
                Photo photo = photos.get(i);
                PhotoTile known = shown.remove(photo);
                PhotoTile tile = known == null ? added(photo) : known;
                tile.placeIn(new WallLayout.Cell(cell.x(), Math.round(y), cell.width(), cell.height(), cell.caption()));
                kept.put(photo, tile);
            } else if (y >= getHeight() && y < 2 * getHeight()) {
                next.add(photos.get(i));
            }
        }
        shown.values().forEach(this::removed);
        shown.clear();
        shown.putAll(kept);
        ahead.want(next, PhotoLoader.edgeFor(size.getValue()));
    }

    private PhotoTile added(Photo photo) {
        if (spare.isEmpty()) {
            PhotoTile made = new PhotoTile(models, loader, fx, mat);
            tiles.getChildren().add(made);
            spare.push(made);
        }
        PhotoTile tile = spare.pop();
        tile.show(photo);
        return tile;
    }

    /** It stays where it is, out of sight: adding it again later would dress it anew. */
    private void removed(PhotoTile tile) {
        tile.release();
        spare.push(tile);
    }
}
