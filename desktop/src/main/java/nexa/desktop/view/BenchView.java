package nexa.desktop.view;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.Point;
import nexa.core.gesture.Grip;
import nexa.core.gesture.TiltDrag;
import nexa.core.level.LevelLine;
import nexa.desktop.paint.LevelView;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import nexa.shoot.Photo;

/** One photo large, to be framed and levelled with the pointer. */
public final class BenchView extends DrawnPane {
    /** How near to an edge or a corner a pointer takes hold, in pixels. */
    private static final double REACH = 10;

    private final Session session;
    private final FramePicture current;
    private final FramePicture before;
    private final FramePicture after;
    private final BooleanProperty levelling = new SimpleBooleanProperty();
    private final BooleanProperty tilting = new SimpleBooleanProperty();
    private final Subscription subscriptions;
    private Optional<BenchGesture> gesture = Optional.empty();
    private Optional<LevelView> heldView = Optional.empty();

    /** @param tiltAdjusting true while something else, such as the ruler, tilts the photo: a fine grid shows */
    public BenchView(Session session, PhotoLoader loader, Executor fx, BooleanProperty tiltAdjusting) {
        this.session = session;
        this.current = new FramePicture(session.shoot(), loader, fx, this::redraw);
        this.before = new FramePicture(session.shoot(), loader, fx, this::redraw);
        this.after = new FramePicture(session.shoot(), loader, fx, this::redraw);
        tilting.bindBidirectional(tiltAdjusting);
        getStyleClass().add("bench");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(this::released);
        setOnMouseMoved(this::moved);
        subscriptions = Subscription.combine(
                session.photoProperty().subscribe(this::showPhoto),
                session.formatProperty().subscribe(format -> redraw()),
                session.framingProperty().subscribe(framing -> redraw()),
                session.overlayProperty().subscribe(choice -> redraw()),
                session.editsProperty().subscribe(count -> redraw()),
                tilting.subscribe(now -> redraw()),
                levelling.subscribe(this::levellingChanged));
    }

    public void dispose() {
        subscriptions.unsubscribe();
        tilting.unbind();
        List.of(current, before, after).forEach(FramePicture::clear);
    }

    /** Whether the next drag draws a level line. */
    public BooleanProperty levellingProperty() {
        return levelling;
    }

    private void levellingChanged(boolean on) {
        setCursor(on ? Cursor.CROSSHAIR : Cursor.DEFAULT);
        redraw();
    }

    private void showPhoto(Optional<Photo> photo) {
        gesture = Optional.empty();
        levelling.set(false);
        photo.ifPresent(p -> {
            current.show(p, PhotoLoader.edgeFor(Math.max(getWidth(), getHeight()) * 0.75));
            neighbour(-1).ifPresentOrElse(n -> before.show(n, PhotoLoader.SMALL), before::clear);
            neighbour(1).ifPresentOrElse(n -> after.show(n, PhotoLoader.SMALL), after::clear);
            setAccessibleText(Words.of(
                    "bench.canvas",
                    p.name(),
                    session.format().map(f -> f.name()).orElse("")));
        });
        redraw();
    }

    private Optional<Photo> neighbour(int side) {
        List<Photo> photos = session.shoot().photos();
        int index = session.photo().map(photos::indexOf).orElse(-1) + side;
        return index >= 0 && index < photos.size() ? Optional.of(photos.get(index)) : Optional.empty();
    }

    // ---- where things are ----

    private BenchLane lane() {
        return new BenchLane(Math.floor(getWidth()), Math.floor(getHeight()));
    }

    /** The current photo's view; while a gesture goes on it stays as it was. */
    private Optional<LevelView> view() {
        return heldView.or(() -> session.space().map(space -> lane().current(space.upright())));
    }

    /** A point of the pointer in level space; for tests too. */
    Optional<Point> toLevel(double x, double y) {
        return view().map(v -> v.toLevel(x, y));
    }

    /** A point of level space in this view's coordinates; for tests. */
    Optional<Point> toScreen(Point level) {
        return view().map(v -> v.toScreen(level));
    }

    // ---- gestures ----

    private void pressed(MouseEvent event) {
        if (event.getButton() != MouseButton.PRIMARY) {
            return;
        }
        if (steppedToNeighbour(event)
                || session.space().isEmpty()
                || !session.shoot().mayEdit()) {
            return;
        }
        heldView = view();
        gesture = begin(toLevel(event.getX(), event.getY()).orElseThrow());
        tilting.set(gesture.filter(BenchGesture.TurnPhoto.class::isInstance).isPresent());
    }

    private Optional<BenchGesture> begin(Point pointer) {
        PhotoSpace space = session.space().orElseThrow();
        if (levelling.get()) {
            return Optional.of(new BenchGesture.DrawLevel(space, pointer, pointer));
        }
        Optional<Frame> frame = session.frame();
        Optional<Grip> grip = frame.flatMap(f -> grip(f, pointer));
        return grip.isPresent()
                ? Optional.of(BenchGesture.moveFrame(session, frame.orElseThrow(), grip.get(), pointer, space))
                : Optional.of(
                        new BenchGesture.TurnPhoto(new TiltDrag(space.pose().tilt(), pointer)));
    }

    private Optional<Grip> grip(Frame frame, Point pointer) {
        return Grip.at(frame, pointer, REACH / view().orElseThrow().scale());
    }

    private void dragged(MouseEvent event) {
        toLevel(event.getX(), event.getY()).ifPresent(pointer -> {
            gesture = gesture.map(g -> g instanceof BenchGesture.DrawLevel line ? line.extended(pointer) : g);
            gesture.ifPresent(g -> session.preview(g.at(session, pointer)));
            redraw();
        });
    }

    private void released(MouseEvent event) {
        Optional<BenchGesture> done = gesture;
        gesture = Optional.empty();
        heldView = Optional.empty();
        tilting.set(false);
        done.ifPresent(this::finish);
        redraw();
    }

    private void finish(BenchGesture done) {
        if (done instanceof BenchGesture.DrawLevel drawn) {
            drawn.line().map(LevelLine::tilt).ifPresent(tilt -> session.tilt(tilt, done.label()));
            levelling.set(false);
        } else {
            session.commit(done.label());
        }
    }

    /** Gives up what goes on; false if nothing did. */
    public boolean escape() {
        boolean busy = gesture.isPresent() || levelling.get();
        gesture = Optional.empty();
        heldView = Optional.empty();
        tilting.set(false);
        levelling.set(false);
        session.abandon();
        return busy;
    }

    private boolean steppedToNeighbour(MouseEvent event) {
        for (int side : new int[] {-1, 1}) {
            if (overNeighbour(side, event.getX(), event.getY())) {
                session.step(side);
                return true;
            }
        }
        return false;
    }

    private boolean overNeighbour(int side, double x, double y) {
        return neighbour(side)
                .flatMap(n -> neighbourView(n, side)
                        .map(v ->
                                session.shoot().space(n).orElseThrow().outline().contains(v.toLevel(x, y), 0)))
                .orElse(false);
    }

    private Optional<LevelView> neighbourView(Photo photo, int side) {
        return session.shoot().space(photo).flatMap(own -> session.space()
                .map(middle -> lane().neighbour(own.upright(), middle.upright(), side)));
    }

    private void moved(MouseEvent event) {
        if (!levelling.get()) {
            setCursor(cursorAt(event.getX(), event.getY()));
        }
    }

    private Cursor cursorAt(double x, double y) {
        if (overNeighbour(-1, x, y) || overNeighbour(1, x, y)) {
            return Cursor.HAND;
        }
        Optional<Point> pointer = toLevel(x, y);
        Optional<Frame> frame = session.frame();
        if (pointer.isEmpty() || frame.isEmpty()) {
            return Cursor.DEFAULT;
        }
        return grip(frame.get(), pointer.get()).map(Cursors::of).orElse(Cursors.TILT);
    }

    // ---- drawing ----

    @Override
    void draw(GraphicsContext canvas, double width, double height) {
        BenchDrawing drawing = new BenchDrawing(canvas, session, width, height);
        session.photo()
                .ifPresentOrElse(
                        photo -> {
                            drawNeighbour(drawing, -1, before);
                            drawNeighbour(drawing, 1, after);
                            if (session.space().isEmpty()) {
                                drawing.unreadable(photo, photo.trouble().orElseThrow());
                                return;
                            }
                            current.show(
                                    photo,
                                    PhotoLoader.edgeFor(view().orElseThrow().scale()));
                            if (current.trouble().isPresent()) {
                                drawing.unreadable(photo, current.trouble().get());
                                return;
                            }
                            drawing.photo(view().orElseThrow(), current.pixels(), tilting.get());
                            gesture.ifPresent(g -> drawing.levelLine(view().orElseThrow(), g));
                            drawing.captions(photo, view().orElseThrow(), levelling.get());
                        },
                        () -> drawing.hint(Words.of("bench.none")));
    }

    private void drawNeighbour(BenchDrawing drawing, int side, FramePicture picture) {
        neighbour(side).ifPresent(photo -> neighbourView(photo, side)
                .ifPresent(v -> drawing.neighbour(photo, v, picture.pixels())));
    }
}
