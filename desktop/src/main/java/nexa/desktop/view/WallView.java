package nexa.desktop.view;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.Slider;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.util.Subscription;
import nexa.core.geometry.PhotoSpace;
import nexa.desktop.keys.Keys;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import nexa.shoot.Photo;

/** All photos of the shoot. Only the rows in sight have nodes. */
public final class WallView extends Region {
    private static final double SMALLEST = 90;
    private static final double LARGEST = 420;
    private static final double USUAL = 176;

    private final Session session;
    private final Keys keys;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Pane tiles = new Pane();
    private final ScrollBar bar = new ScrollBar();
    private final Slider size = new Slider(SMALLEST, LARGEST, USUAL);
    private final VBox empty = new VBox(6, new Label(Words.of("wall.empty")), new Label(Words.of("wall.empty.hint")));
    private final Map<Photo, PhotoTile> shown = new HashMap<>();
    private final Subscription subscriptions;
    private WallLayout layout = new WallLayout(List.of(), 0);

    public WallView(Session session, Keys keys, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.keys = keys;
        this.loader = loader;
        this.fx = fx;
        getStyleClass().add("wall");
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText(Words.of("view.wall.tip"));
        bar.setOrientation(Orientation.VERTICAL);
        bar.setUnitIncrement(60);
        size.getStyleClass().add("wall-size");
        size.setAccessibleText(Words.of("wall.size"));
        size.setTooltip(new javafx.scene.control.Tooltip(Words.of("wall.size")));
        size.setFocusTraversable(false);
        empty.setAlignment(Pos.CENTER);
        empty.getStyleClass().add("empty-state");
        empty.setVisible(session.shoot().photos().isEmpty());
        getChildren().addAll(tiles, bar, size, empty);
        clipTiles();
        tiles.setOnMousePressed(this::pressed);
        setOnScroll(this::scrolled);
        subscriptions = Subscription.combine(
                bar.valueProperty().subscribe(v -> requestLayout()),
                size.valueProperty().subscribe(v -> requestLayout()),
                session.editsProperty().subscribe(v -> requestLayout()),
                session.photoProperty().subscribe(this::reveal));
    }

    private void clipTiles() {
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(tiles.widthProperty());
        clip.heightProperty().bind(tiles.heightProperty());
        tiles.setClip(clip);
    }

    public void dispose() {
        subscriptions.unsubscribe();
        shown.values().forEach(PhotoTile::dispose);
        shown.clear();
    }

    /** Moves the choice to the photo nearest above (-1) or below (1). */
    public void stepRow(int direction) {
        List<Photo> photos = session.shoot().photos();
        session.photo().ifPresent(current -> {
            WallLayout.Cell from = layout.cells().get(photos.indexOf(current));
            rowNeighbour(from, direction).map(photos::get).ifPresent(session::choose);
        });
    }

    private Optional<Integer> rowNeighbour(WallLayout.Cell from, int direction) {
        double middle = from.x() + from.width() / 2;
        Optional<Integer> best = Optional.empty();
        double bestDistance = Double.MAX_VALUE;
        for (int i = 0; i < layout.cells().size(); i++) {
            WallLayout.Cell cell = layout.cells().get(i);
            double rows = (cell.bottom() - from.bottom()) * direction;
            if (rows > 0) {
                double distance = rows * 10 + Math.abs(cell.x() + cell.width() / 2 - middle);
                if (distance < bestDistance) {
                    bestDistance = distance;
                    best = Optional.of(i);
                }
            }
        }
        return best;
    }

    /** With Ctrl or Shift only the selection changes: the current photo stays, to be carried from. */
    private void pressed(MouseEvent event) {
        boolean selecting = keys.modifiers().shortcut() || keys.modifiers().shift();
        tileAt(event).ifPresent(tile -> {
            select(tile.photo());
            if (!selecting) {
                session.choose(tile.photo());
            }
            if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
                session.viewProperty().set(MainView.BENCH);
            }
        });
    }

    /** Ctrl adds or takes away one photo, Shift takes all from the current one, a plain press ends the selection. */
    private void select(Photo photo) {
        Set<Photo> selected = new HashSet<>(session.selectionProperty().get());
        if (keys.modifiers().shortcut()) {
            session.photo().filter(current -> selected.isEmpty()).ifPresent(selected::add);
            if (!selected.remove(photo)) {
                selected.add(photo);
            }
        } else if (keys.modifiers().shift()) {
            selected.addAll(between(session.photo().orElse(photo), photo));
        } else {
            selected.clear();
        }
        session.selectionProperty().set(Set.copyOf(selected));
    }

    private List<Photo> between(Photo one, Photo other) {
        List<Photo> photos = session.shoot().photos();
        int from = Math.min(photos.indexOf(one), photos.indexOf(other));
        int to = Math.max(photos.indexOf(one), photos.indexOf(other));
        return photos.subList(from, to + 1);
    }

    private Optional<PhotoTile> tileAt(MouseEvent event) {
        return shown.values().stream()
                .filter(tile -> tile.getBoundsInParent().contains(event.getX(), event.getY()))
                .findFirst();
    }

    private void scrolled(ScrollEvent event) {
        bar.setValue(Math.clamp(bar.getValue() - event.getDeltaY() * 2, bar.getMin(), bar.getMax()));
        event.consume();
    }

    private void reveal(Optional<Photo> current) {
        int index = current.map(session.shoot().photos()::indexOf).orElse(-1);
        if (index >= 0 && index < layout.cells().size() && getHeight() > 0) {
            WallLayout.Cell cell = layout.cells().get(index);
            double value =
                    Math.min(cell.y() - WallLayout.MARGIN, Math.max(bar.getValue(), cell.bottom() - getHeight() + 8));
            bar.setValue(Math.clamp(value, 0, Math.max(0, bar.getMax())));
        }
    }

    @Override
    protected void layoutChildren() {
        double barWidth = bar.prefWidth(-1);
        double width = getWidth() - barWidth;
        layout = WallLayout.of(aspects(), width, size.getValue());
        tiles.resizeRelocate(0, 0, width, getHeight());
        bar.resizeRelocate(width, 0, barWidth, getHeight());
        size.resizeRelocate(width - 150, getHeight() - 30, 136, 22);
        empty.resizeRelocate(0, 0, getWidth(), getHeight());
        double overflow = Math.max(0, layout.height() - getHeight());
        bar.setMax(overflow);
        bar.setVisibleAmount(overflow == 0 ? 0 : overflow * getHeight() / layout.height());
        bar.setBlockIncrement(getHeight() * 0.9);
        bar.setVisible(overflow > 0);
        showRows();
    }

    private List<Double> aspects() {
        return session.shoot().photos().stream()
                .map(photo ->
                        session.shoot().space(photo).map(PhotoSpace::upright).map(s -> Math.clamp(s.aspect(), 0.2, 5)))
                .map(aspect -> aspect.orElse(1.0))
                .toList();
    }

    private void showRows() {
        List<Photo> photos = session.shoot().photos();
        Map<Photo, PhotoTile> kept = new HashMap<>();
        for (int i = 0; i < photos.size(); i++) {
            WallLayout.Cell cell = layout.cells().get(i);
            double y = cell.y() - bar.getValue();
            if (y + cell.height() + WallLayout.CAPTION > 0 && y < getHeight()) {
                Photo photo = photos.get(i);
                PhotoTile known = shown.remove(photo);
                PhotoTile tile = known == null ? added(photo) : known;
                tile.placeIn(new WallLayout.Cell(cell.x(), Math.round(y), cell.width(), cell.height()));
                kept.put(photo, tile);
            }
        }
        shown.values().forEach(this::removed);
        shown.clear();
        shown.putAll(kept);
    }

    private PhotoTile added(Photo photo) {
        PhotoTile tile = new PhotoTile(session, photo, loader, fx);
        tiles.getChildren().add(tile);
        return tile;
    }

    private void removed(PhotoTile tile) {
        tile.dispose();
        tiles.getChildren().remove(tile);
    }
}
