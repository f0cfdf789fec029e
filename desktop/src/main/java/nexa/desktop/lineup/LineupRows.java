package nexa.desktop.lineup;

import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.geometry.Orientation;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.carry.Change;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.ByFraming;
import nexa.desktop.session.Follow;
import nexa.desktop.session.LineupModel;
import nexa.desktop.session.Session;
import nexa.desktop.widget.NoResults;
import nexa.desktop.widget.Wheel;
import nexa.shoot.photo.Photo;

/**
 * The results in rows, with lines across each row. A drag on a result moves its photo under the frame, with those that
 * are selected together with it.
 */
public final class LineupRows extends Region {
    private static final double CLICK = 3;

    private final ShootModels models;
    private final Session session;
    private final Keys keys;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Pane tiles = new Pane();
    private final Pane guides = new Pane();
    private final ScrollBar bar = new ScrollBar();
    private final Label empty = new Label();
    private final ByFraming<Double> aspects;
    private final Map<Photo, ResultTile> shown = new HashMap<>();

    /** Tiles that show nothing; making one costs more than all it will show. */
    private final Deque<ResultTile> spare = new ArrayDeque<>();

    private final Subscription subscriptions;
    private Optional<ResultTile> pressed = Optional.empty();
    private Point from = Point.ORIGIN;
    private boolean moving;
    private LineupLayout layout = LineupLayout.NONE;

    /** Whether the results are to be laid out anew; else only other rows come into sight. */
    private boolean stale = true;

    LineupRows(ShootModels models, Keys keys, PhotoLoader loader, Executor fx) {
        this.models = models;
        this.session = models.session();
        this.keys = keys;
        this.loader = loader;
        this.fx = fx;
        this.aspects = new ByFraming<>(session::brief, session::framing, LineupRows::aspect);
        setId("lineup-rows");
        bar.setOrientation(Orientation.VERTICAL);
        guides.setPickOnBounds(false);
        getStyleClass().add("lineup-rows");
        empty.getStyleClass().add("empty-words");
        getChildren().addAll(tiles, guides, bar, empty);
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        tiles.setOnMousePressed(this::pressed);
        tiles.setOnMouseDragged(this::dragged);
        tiles.setOnMouseReleased(event -> released());
        Wheel.scrolls(this, this::scroll, larger -> {});
        LineupModel model = session.lineup();
        subscriptions = Subscription.combine(
                Follow.each(
                        this::relay,
                        model.shownProperty(),
                        session.framingProperty(),
                        session.editsProperty(),
                        widthProperty(),
                        heightProperty()),
                Follow.each(this::requestLayout, model.guidesProperty(), bar.valueProperty()));
    }

    void dispose() {
        subscriptions.unsubscribe();
        shown.values().forEach(ResultTile::dispose);
        spare.forEach(ResultTile::dispose);
        shown.clear();
        spare.clear();
    }

    private void relay() {
        stale = true;
        requestLayout();
    }

    // ---- choosing and moving ----

    private void pressed(MouseEvent event) {
        from = new Point(event.getX(), event.getY());
        moving = false;
        pressed = shown.values().stream()
                .filter(tile -> tile.getBoundsInParent().contains(event.getX(), event.getY()))
                .findFirst();
        pressed.ifPresent(tile -> {
            if (keys.modifiers().shortcut()) {
                toggle(tile.photo());
                pressed = Optional.empty();
            } else if (keys.modifiers().shift()) {
                selectTo(tile.photo());
                pressed = Optional.empty();
            } else if (!session.selection().property().get().contains(tile.photo())) {
                choose(tile.photo());
            }
            if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
                session.look(tile.photo());
            }
        });
    }

    private void choose(Photo photo) {
        session.selection().property().set(Set.of());
        session.choose(photo);
    }

    private void toggle(Photo photo) {
        Set<Photo> selected = new HashSet<>(session.selection().property().get());
        if (!selected.remove(photo)) {
            selected.add(photo);
        }
        session.selection().property().set(Set.copyOf(selected));
    }

    private void selectTo(Photo photo) {
        List<Photo> photos = session.lineup().shownProperty().get().photos();
        int one = session.photo().map(photos::indexOf).orElse(0);
        int other = photos.indexOf(photo);
        Set<Photo> selected = new HashSet<>(session.selection().property().get());
        selected.addAll(photos.subList(Math.max(0, Math.min(one, other)), Math.max(one, other) + 1));
        session.selection().property().set(Set.copyOf(selected));
    }

    private void dragged(MouseEvent event) {
        Point way = new Point(event.getX(), event.getY()).minus(from);
        moving |= way.length() >= CLICK;
        if (moving && session.shoot().mayEdit()) {
            pressed.flatMap(tile -> tile.view().flatMap(view -> session.format()
                            .flatMap(format -> session.shoot().frame(tile.photo(), format))
                            .map(frame -> moved(way.times(1 / view.scale()), frame))))
                    .ifPresent(session.together()::preview);
        }
    }

    /** The photo goes with the pointer, so its frame goes the other way. */
    private static Change moved(Point way, Frame frame) {
        return Change.moved(-way.x() / frame.width(), -way.y() / frame.height());
    }

    private void released() {
        if (moving) {
            session.together().commit();
        } else {
            pressed.ifPresent(tile -> choose(tile.photo()));
        }
        pressed = Optional.empty();
        moving = false;
    }

    /** Gives up what goes on; false if nothing did. */
    boolean letGo() {
        boolean busy = moving;
        pressed = Optional.empty();
        moving = false;
        session.together().abandon();
        return busy;
    }

    private void scroll(double way) {
        if (!moving) { // else it is a finger that moves photos
            bar.setValue(Math.clamp(bar.getValue() + way, bar.getMin(), bar.getMax()));
        }
    }

    // ---- layout ----

    /** How high every result is. */
    public double resultHeight() {
        return layout.size();
    }

    @Override
    protected void layoutChildren() {
        List<Photo> photos = session.lineup().shownProperty().get().photos();
        empty.setVisible(photos.isEmpty());
        if (photos.isEmpty()) {
            empty.setText(NoResults.why(session));
        }
        empty.resizeRelocate(LineupLayout.MARGIN_LEFT, 40, getWidth() - 2 * LineupLayout.MARGIN_LEFT, 24);
        double barWidth = bar.prefWidth(-1);
        if (stale) {
            layout = LineupLayout.of(aspects(photos), getWidth() - barWidth, getHeight());
            stale = false;
        }
        double overflow = Math.max(0, layout.height() - getHeight());
        bar.setMax(overflow);
        bar.setVisibleAmount(overflow == 0 ? 0 : overflow * getHeight() / layout.height());
        bar.setVisible(overflow > 0);
        bar.resizeRelocate(getWidth() - barWidth, 0, barWidth, getHeight());
        tiles.resizeRelocate(0, 0, getWidth() - barWidth, getHeight());
        guides.resizeRelocate(0, 0, getWidth() - barWidth, getHeight());
        double scrolled = Math.round(Math.min(bar.getValue(), overflow));
        showRows(photos, scrolled);
        placeGuides(scrolled);
    }

    private List<Double> aspects(List<Photo> photos) {
        return session.format()
                .map(format -> aspects.of(photos, format))
                .orElseGet(() -> Collections.nCopies(photos.size(), 1.0));
    }

    /** Width over height of a result; 1 for what can't be shown. */
    private static double aspect(Photo photo, Framing framing, Format format, Brief brief) {
        return photo.facts()
                .map(facts ->
                        Derivation.frame(facts.asShot(), framing, format, brief).aspect())
                .orElse(1.0);
    }

    /** Only the rows in sight have nodes. */
    private void showRows(List<Photo> photos, double scrolled) {
        Map<Photo, LineupLayout.Cell> inSight = new LinkedHashMap<>();
        for (int i = 0; i < photos.size(); i++) {
            LineupLayout.Cell cell = layout.cells().get(i);
            if (isInSight(cell.y() - scrolled, cell.height())) {
                inSight.put(photos.get(i), cell);
            }
        }
        shown.entrySet().removeIf(each -> {
            boolean gone = !inSight.containsKey(each.getKey());
            if (gone) {
                each.getValue().release();
                spare.push(each.getValue());
            }
            return gone;
        });
        inSight.forEach(
                (photo, cell) -> shown.computeIfAbsent(photo, this::tile).placeIn(cell, cell.y() - scrolled));
    }

    private boolean isInSight(double top, double height) {
        return top + height + LineupLayout.CAPTION > 0 && top < getHeight();
    }

    private ResultTile tile(Photo photo) {
        if (spare.isEmpty()) {
            ResultTile made = new ResultTile(models, photo, loader, fx);
            tiles.getChildren().add(made);
            return made;
        }
        ResultTile tile = spare.pop();
        tile.show(photo);
        return tile;
    }

    // ---- lines across ----

    /** A line and its handle for every guide in every row in sight; they are few, so they are made when their number changes. */
    private void placeGuides(double scrolled) {
        List<Double> lines = session.lineup().guidesProperty().get();
        List<Double> tops = layout.tops().stream()
                .filter(top -> isInSight(top - scrolled, layout.size()))
                .toList();
        int wanted = lines.size() * tops.size();
        while (guides.getChildren().size() < 2 * wanted) {
            guides.getChildren().addAll(line(), new GuideHandle(session.lineup()));
        }
        guides.getChildren().remove(2 * wanted, guides.getChildren().size());
        int at = 0;
        for (double top : tops) {
            for (int which = 0; which < lines.size(); which++) {
                double y = Math.round(top - scrolled + lines.get(which) * layout.size());
                place((Line) guides.getChildren().get(at++), y);
                ((GuideHandle) guides.getChildren().get(at++))
                        .placeOn(which, y, lines.get(which), layout.size(), top == tops.getFirst());
            }
        }
    }

    private static Line line() {
        Line line = new Line();
        line.getStyleClass().add("guide");
        line.setMouseTransparent(true);
        return line;
    }

    private void place(Line line, double y) {
        line.setStartX(0);
        line.setEndX(getWidth());
        line.setStartY(y + 0.5);
        line.setEndY(y + 0.5);
    }
}
