package nexa.desktop.beside;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Beside;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.NoResults;
import nexa.desktop.widget.Wheel;
import nexa.words.Words;

/**
 * Two or four results at once. A press makes one the current photo, the wheel and drags zoom and move all alike; what is done
 * to the current photo shows in its cell.
 */
public final class SideView extends Pane implements Wheel.Looked {
    private static final double BAR = 46;
    private static final double MARGIN = 18;
    private static final double GAP = 14;

    /** Shorter drags are clicks. */
    private static final double CLICK = 3;

    private static final Point MIDDLE = new Point(0.5, 0.5);

    private final Session session;
    private final SideBySide model;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Runnable done;
    private final Choices<Beside> what;
    private final HBox bar;
    private final Label empty = new Label();
    private final Subscription subscriptions;
    private List<SideCell> cells = List.of();
    private Optional<SideCell> pressed = Optional.empty();
    private Point from = Point.ORIGIN;
    private boolean moved;

    /** @param done goes back to the one photo */
    public SideView(Session session, PhotoLoader loader, Executor fx, Runnable done) {
        this.session = session;
        this.model = new SideBySide(session);
        this.loader = loader;
        this.fx = fx;
        this.done = done;
        this.what = new Choices<>("beside", Beside.values(), model.whatProperty());
        setId("side-by-side");
        getStyleClass().add("side-by-side");
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText(Words.of("beside.title"));
        bar = bar();
        empty.getStyleClass().add("result-name");
        getChildren().addAll(bar, empty);
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(event -> release());
        Wheel.looks(this, this);
        subscriptions = Subscription.combine(
                model.cellsProperty().subscribe(this::fill),
                Follow.each(
                        this::refresh,
                        model.zoomProperty(),
                        session.photoProperty(),
                        session.overlayProperty(),
                        session.settings().overlayShowProperty()),
                Follow.each(this::reshape, session.framingProperty(), session.editsProperty()));
    }

    public void dispose() {
        subscriptions.unsubscribe();
        what.dispose();
        model.dispose();
        cells.forEach(SideCell::dispose);
    }

    private HBox bar() {
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Button pixels = Buttons.text("beside.pixels", this::toggleZoom);
        pixels.setId("beside-pixels");
        Buttons.explain(pixels, Words.of("beside.pixels.tip"));
        Button close = Buttons.text("beside.done", done);
        close.setId("beside-done");
        HBox row = new HBox(12, what, space, pixels, close);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setFillHeight(false);
        return row;
    }

    /** All of each frame, or every pixel of the current one's photo. */
    public void toggleZoom() {
        SharedZoom now = model.zoomProperty().get();
        Optional<SideCell> current = cells.stream()
                .filter(cell -> model.isCurrent(cell.cell()))
                .findFirst()
                .or(() -> cells.stream().findFirst());
        model.zoomProperty()
                .set(
                        now.isWhole()
                                ? current.map(cell -> now.to(cell.everyPixel(), MIDDLE))
                                        .orElse(now)
                                : SharedZoom.WHOLE);
    }

    /** Closer by a factor, all alike. */
    public void zoom(double factor) {
        model.zoomProperty().set(model.zoomProperty().get().by(factor, MIDDLE));
    }

    public void zoomToFit() {
        model.zoomProperty().set(SharedZoom.WHOLE);
    }

    private void fill(List<SideBySide.Cell> shown) {
        cells.forEach(SideCell::dispose);
        getChildren().removeAll(cells);
        cells = shown.stream()
                .map(cell -> new SideCell(session, model, cell, loader, fx))
                .toList();
        getChildren().addAll(cells);
        empty.setVisible(cells.isEmpty());
        refresh();
        requestLayout();
    }

    private void refresh() {
        empty.setText(NoResults.why(session));
        cells.forEach(SideCell::refresh);
    }

    /** A frame may have another shape now. */
    private void reshape() {
        refresh();
        cells.forEach(Region::requestLayout);
        requestLayout();
    }

    // ---- the mouse ----

    private Optional<SideCell> cellAt(double x, double y) {
        return cells.stream()
                .filter(cell -> cell.getBoundsInParent().contains(x, y))
                .findFirst();
    }

    private void press(MouseEvent event) {
        pressed = cellAt(event.getX(), event.getY());
        from = new Point(event.getX(), event.getY());
        moved = false;
        if (event.getClickCount() == 2 && pressed.isPresent()) {
            pressed.ifPresent(cell -> model.choose(cell.cell()));
            done.run();
        }
    }

    private void drag(MouseEvent event) {
        Point now = new Point(event.getX(), event.getY());
        moved |= now.distance(from) > CLICK;
        if (moved) {
            pressed.ifPresent(cell -> {
                move(cell, now.minus(from));
                from = now;
            });
        }
    }

    private void release() {
        if (!moved) {
            pressed.ifPresent(cell -> model.choose(cell.cell()));
        }
        pressed = Optional.empty();
    }

    private void move(SideCell cell, Point way) {
        SharedZoom zoom = model.zoomProperty().get();
        model.zoomProperty().set(zoom.movedBy(way.x() / cell.drawnWidth(), way.y() / cell.drawnHeight()));
    }

    @Override
    public void push(Point way) {
        cells.stream().findFirst().ifPresent(cell -> move(cell, way));
    }

    @Override
    public void pinch() {
        pressed = Optional.empty();
    }

    @Override
    public void zoom(double factor, Point place) {
        cellAt(place.x(), place.y()).ifPresent(cell -> {
            Point at = cell.at(place.x() - cell.getLayoutX(), place.y() - cell.getLayoutY());
            model.zoomProperty().set(model.zoomProperty().get().by(factor, at));
        });
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth() - 2 * MARGIN;
        bar.resizeRelocate(MARGIN, 8, width, BAR - 12);
        place(empty);
        if (cells.isEmpty()) {
            return;
        }
        List<Double> aspects =
                cells.stream().map(SideCell::frame).map(Frame::aspect).toList();
        SideLayout layout = SideLayout.of(aspects, width, getHeight() - BAR - MARGIN, GAP, SideCell.CAPTION);
        for (int i = 0; i < cells.size(); i++) {
            cells.get(i)
                    .resizeRelocate(
                            Math.round(MARGIN + i % layout.columns() * (layout.width() + GAP)),
                            Math.round(BAR + i / layout.columns() * (layout.height() + SideCell.CAPTION + GAP)),
                            Math.floor(layout.width()),
                            Math.floor(layout.height() + SideCell.CAPTION));
        }
    }

    private void place(Node note) {
        note.autosize();
        note.relocate(Math.round((getWidth() - note.getLayoutBounds().getWidth()) / 2), Math.round(getHeight() / 2));
    }
}
