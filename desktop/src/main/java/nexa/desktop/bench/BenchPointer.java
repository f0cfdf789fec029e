package nexa.desktop.bench;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.gesture.Grip;
import nexa.core.gesture.TiltDrag;
import nexa.core.shape.Shape;
import nexa.desktop.camera.Camera;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.Marking;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Mover;

/** The pointer on the Bench: what it would take hold of, and what goes on while it is pressed. */
final class BenchPointer {
    /** How near to a nested outline a click means it. */
    private static final double OUTLINE_REACH = 5;

    /** How near a frame's side is drawn to a line. */
    private static final double SNAP_REACH = 6;

    /** A press that moves less is a click. */
    private static final double CLICK = 3;

    private static final double WHEEL_ZOOM = 1.2;

    private final Region bench;
    private final Camera camera;
    private final ObjectProperty<BenchMode> mode;
    private final BooleanProperty tilting;
    private final Runnable redraw;
    private final Session session;
    private final LineKnobs knobs;
    private final Spots spots;
    private final Finishing finishing;
    private final Marking marking;
    private final Keys keys;
    private Optional<BenchGesture> gesture = Optional.empty();
    private Optional<LevelView> pressedView = Optional.empty();
    private Optional<Shape.Ratio> outline = Optional.empty();
    private Optional<BenchGesture.Shown> shown = Optional.empty();
    private boolean panning;
    private Point pressed = Point.ORIGIN;
    private Point at = Point.ORIGIN;

    /**
     * @param bench whose mouse events these are
     * @param mode what the next drag does
     * @param tilting told while a drag tilts the photo
     * @param redraw called when what is drawn of the pointer changed
     */
    BenchPointer(
            Region bench,
            Camera camera,
            ObjectProperty<BenchMode> mode,
            BooleanProperty tilting,
            Runnable redraw,
            ShootModels models,
            Keys keys) {
        this.bench = bench;
        this.camera = camera;
        this.mode = mode;
        this.tilting = tilting;
        this.redraw = redraw;
        this.session = models.session();
        this.knobs = new LineKnobs(session, models.levelling(), models.plumbing(), models.trimming());
        this.spots = new Spots(models.neutrals(), models.eyes());
        this.finishing =
                new Finishing(session, models.levelling(), models.plumbing(), models.bendByLine(), models.trimming());
        this.marking = models.marking();
        this.keys = keys;
        bench.setOnMousePressed(this::pressed);
        bench.setOnMouseDragged(this::dragged);
        bench.setOnMouseReleased(event -> released());
        bench.setOnMouseMoved(this::moved);
        bench.setOnMouseExited(event -> hover(Optional.empty()));
        bench.setOnScroll(this::scrolled);
    }

    boolean isBusy() {
        return gesture.isPresent() || panning;
    }

    /** Where the pointer is on the canvas; the middle if it is not there. */
    Point place() {
        boolean inside = at.x() > 0 && at.y() > 0 && at.x() < bench.getWidth() && at.y() < bench.getHeight();
        return inside ? at : new Point(bench.getWidth() / 2, bench.getHeight() / 2);
    }

    /** Forgets what goes on. */
    void letGo() {
        gesture = Optional.empty();
        pressedView = Optional.empty();
        camera.letGo();
        shown = Optional.empty();
        panning = false;
        tilting.set(false);
    }

    // ---- press, drag, release ----

    private void pressed(MouseEvent event) {
        pressed = new Point(event.getX(), event.getY());
        at = pressed;
        panning = event.getButton() == MouseButton.MIDDLE || keys.isHeld(Command.PAN);
        if (panning) {
            hold();
            return;
        }
        if (event.getButton() != MouseButton.PRIMARY
                || camera.view()
                        .filter(view -> knobs.removes(view, pressed, mode.get()))
                        .isPresent()
                || steppedToNeighbour()
                || session.space().isEmpty()
                || !session.shoot().mayEdit()) {
            return;
        }
        hold();
        outline = outlineAt(pressed);
        gesture = begin(camera.toLevel(pressed).orElseThrow(), keys.modifiers().shift());
        tilting.set(gesture.filter(BenchGesture.TurnPhoto.class::isInstance).isPresent());
        showCursor();
    }

    private void hold() {
        pressedView = camera.view();
        pressedView.ifPresent(camera::hold);
    }

    private Optional<BenchGesture> begin(Point pointer, boolean otherMover) {
        return switch (mode.get()) {
            case LEVELLING ->
                Optional.of(new BenchGesture.DrawLevel(session.space().orElseThrow(), pointer, pointer));
            case PLUMB -> Optional.of(new BenchGesture.DrawPlumb(session.space().orElseThrow(), pointer, pointer));
            case STRAIGHTENING ->
                Optional.of(new BenchGesture.DrawEdge(session.space().orElseThrow(), List.of(pointer)));
            case TRIM -> Optional.of(Beginnings.trimming(session.space().orElseThrow(), pointer, reach()));
            case NEUTRAL, EYES ->
                Optional.of(
                        BenchGesture.Touching.at(session.space().orElseThrow(), pointer, spots.touches(mode.get())));
            case MARKING -> Optional.of(Beginnings.marks(session, pointer, reach()));
            case DRAWING -> session.frame().map(frame -> Beginnings.drawFrame(session, pointer));
            case FRAMING ->
                Optional.of(session.frame()
                        .flatMap(frame -> grip(frame, pointer).map(grip -> framing(frame, grip, pointer, otherMover)))
                        .orElseGet(() -> new BenchGesture.TurnPhoto(
                                new TiltDrag(session.framing().pose().tilt(), pointer))));
        };
    }

    private BenchGesture framing(Frame frame, Grip grip, Point pointer, boolean otherMover) {
        Mover mover = session.settings().moverProperty().get();
        boolean photoMoves = (otherMover ? mover.other() : mover) == Mover.PHOTO;
        return Beginnings.moveFrame(session, frame, grip, pointer, SNAP_REACH / scale(), photoMoves);
    }

    private Optional<Grip> grip(Frame frame, Point pointer) {
        return Grip.at(frame, pointer, reach());
    }

    private double reach() {
        return session.settings().reach() / scale();
    }

    private double scale() {
        return camera.view().orElseThrow().scale();
    }

    private void dragged(MouseEvent event) {
        at = new Point(event.getX(), event.getY());
        if (pressedView.isEmpty()) {
            return;
        }
        if (panning) {
            Point way = at.minus(pressed);
            LevelView from = pressedView.get();
            camera.hold(new LevelView(from.originX() + way.x(), from.originY() + way.y(), from.scale()));
            redraw.run();
            return;
        }
        if (at.distance(pressed) >= CLICK) {
            outline = Optional.empty();
        }
        if (outline.isEmpty()) {
            goOn();
        }
        redraw.run();
    }

    /** The gesture for where the pointer is and what is held; also when only the latter changed. */
    void goOn() {
        pressedView
                .filter(view -> !panning && outline.isEmpty())
                .ifPresent(view -> goOn(view.toLevel(at.x(), at.y()), held()));
    }

    private void goOn(Point pointer, BenchGesture.Held held) {
        gesture = gesture.map(g -> g instanceof BenchGesture.Drawn line ? line.extended(pointer) : g);
        gesture.ifPresent(g -> {
            BenchGesture.Shown now = g.at(session, pointer, held);
            shown = Optional.of(now);
            session.gestures().preview(now.framing());
            if (g instanceof BenchGesture.MoveFrame move && move.photoMoves()) {
                followFrame(move.drag().start());
            }
        });
    }

    /** The frame stays where it is on the screen: the photo moves under it. */
    private void followFrame(Frame start) {
        LevelView from = pressedView.orElseThrow();
        Point fixed = from.toScreen(start.centre());
        session.frame().ifPresent(frame -> camera.hold(from.showing(frame.centre(), fixed.x(), fixed.y())));
    }

    private BenchGesture.Held held() {
        Keys.Modifiers down = keys.modifiers();
        boolean snapping = session.settings().snappingProperty().get() != down.alt();
        return new BenchGesture.Held(down.shift(), down.shortcut(), snapping);
    }

    private void released() {
        Optional<BenchGesture> done = gesture;
        Optional<Shape.Ratio> clicked = outline;
        camera.settle();
        letGo();
        outline = Optional.empty();
        if (clicked.isPresent()) {
            session.frameEdits().hold(clicked.get());
        } else if (done.filter(BenchGesture.DrawMarks.class::isInstance).isPresent() && at.distance(pressed) < CLICK) {
            session.gestures().abandon();
            camera.toLevel(pressed).ifPresent(marking::click);
        } else {
            done.ifPresent(this::finish);
        }
        redraw.run();
    }

    private void finish(BenchGesture done) {
        finishing.finish(done, at.distance(pressed) < CLICK, camera.toLevel(at));
        if (!mode.get().stays()) {
            mode.set(BenchMode.FRAMING);
        }
    }

    private void scrolled(ScrollEvent event) {
        if (gesture.isEmpty() && event.getDeltaY() != 0) {
            camera.zoomBy(event.getDeltaY() > 0 ? WHEEL_ZOOM : 1 / WHEEL_ZOOM, place());
        }
        event.consume();
    }

    // ---- what else can be clicked ----

    private boolean steppedToNeighbour() {
        for (int side : new int[] {-1, 1}) {
            if (camera.isOverNeighbour(side, pressed)) {
                session.going().step(side);
                return true;
            }
        }
        return false;
    }

    private Optional<Shape.Ratio> outlineAt(Point p) {
        return mode.get() == BenchMode.FRAMING
                ? camera.toLevel(p)
                        .flatMap(level -> Beginnings.nested(session, level, reach(), OUTLINE_REACH / scale()))
                : Optional.empty();
    }

    // ---- the cursor ----

    private void moved(MouseEvent event) {
        at = new Point(event.getX(), event.getY());
        hover(outlineAt(at));
        if (mode.get() == BenchMode.NEUTRAL) {
            redraw.run(); // the enlarged pixels go with it
        }
        showCursor();
    }

    private void hover(Optional<Shape.Ratio> over) {
        if (!over.equals(outline)) {
            outline = over;
            redraw.run();
        }
    }

    void showCursor() {
        bench.setCursor(cursor());
    }

    private Cursor cursor() {
        if (panning || keys.isHeld(Command.PAN)) {
            return Cursor.CLOSED_HAND;
        }
        if (mode.get() == BenchMode.TRIM) {
            return Cursors.trimming(session.space(), camera.toLevel(at), () -> reach());
        }
        if (mode.get() != BenchMode.FRAMING) {
            return Cursor.CROSSHAIR;
        }
        if (outline.isPresent() || camera.isOverNeighbour(-1, at) || camera.isOverNeighbour(1, at)) {
            return Cursor.HAND;
        }
        return Cursors.framing(session.frame(), camera.toLevel(at), () -> reach());
    }

    // ---- drawing ----

    /** What the pointer does right now: lines caught, the level line drawn, figures beside it. */
    void draw(BenchDrawing drawing, LevelView view) {
        drawing.guides(view, shown);
        outline.ifPresent(shape -> drawing.outline(view, shape, at));
        gesture.filter(g -> !drawing.lines().drawn(view, g))
                .filter(g -> shown.isPresent() && mode.get().measures())
                .ifPresent(g -> drawing.readout(at));
    }
}
