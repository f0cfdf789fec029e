package nexa.desktop.bench;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import nexa.core.geometry.Point;
import nexa.core.shape.Shape;
import nexa.desktop.bench.gesture.Beginnings;
import nexa.desktop.bench.gesture.Cursors;
import nexa.desktop.bench.layer.BenchDrawing;
import nexa.desktop.camera.Camera;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Wheel;

/** The pointer on the Bench: what it would take hold of, and what it presses. */
final class BenchPointer implements Wheel.Looked {
    /** How near to a nested outline a click means it. */
    private static final double OUTLINE_REACH = 5;

    private final Region bench;
    private final Camera camera;
    private final ObjectProperty<BenchMode> mode;
    private final Runnable redraw;
    private final Session session;
    private final Press press;
    private final Aim aim;
    private final Keys keys;
    private Optional<LevelView> panned = Optional.empty();
    private Optional<Shape.Ratio> outline = Optional.empty();
    private Point pressed = Point.ORIGIN;
    private Point at = Point.ORIGIN;

    /**
     * @param bench whose mouse events these are
     * @param mode what the next drag does
     * @param press what is pressed, by keys too
     * @param aim what keys move instead
     * @param redraw called when what is drawn of the pointer changed
     */
    BenchPointer(
            Region bench,
            Camera camera,
            ObjectProperty<BenchMode> mode,
            Press press,
            Aim aim,
            Runnable redraw,
            ShootModels models,
            Keys keys) {
        this.bench = bench;
        this.camera = camera;
        this.mode = mode;
        this.press = press;
        this.aim = aim;
        this.redraw = redraw;
        this.session = models.session();
        this.keys = keys;
        bench.setOnMousePressed(this::pressed);
        bench.setOnMouseDragged(this::dragged);
        bench.setOnMouseReleased(event -> released());
        bench.setOnMouseMoved(this::moved);
        bench.setOnMouseExited(event -> hover(Optional.empty()));
        Wheel.looks(bench, this);
    }

    boolean isBusy() {
        return press.isOn() || panned.isPresent();
    }

    /** Where the pointer is on the canvas, or the cross that keys move; the middle if neither is there. */
    Point place() {
        return aim.at().orElseGet(() -> isInside() ? at : new Point(bench.getWidth() / 2, bench.getHeight() / 2));
    }

    private boolean isInside() {
        return at.x() > 0 && at.y() > 0 && at.x() < bench.getWidth() && at.y() < bench.getHeight();
    }

    /** Forgets what goes on. */
    void letGo() {
        press.letGo();
        panned = Optional.empty();
    }

    // ---- press, drag, release ----

    private void pressed(MouseEvent event) {
        pressed = new Point(event.getX(), event.getY());
        at = pressed;
        aim.leave();
        if (event.getButton() == MouseButton.MIDDLE || keys.isHeld(Command.PAN)) {
            panned = camera.view();
            panned.ifPresent(camera::hold);
            return;
        }
        if (event.getButton() != MouseButton.PRIMARY || steppedToNeighbour()) {
            return;
        }
        outline = outlineAt(pressed);
        press.begin(pressed, keys.modifiers().shift());
        showCursor();
    }

    private void dragged(MouseEvent event) {
        at = new Point(event.getX(), event.getY());
        panned.ifPresent(from -> {
            Point way = at.minus(pressed);
            camera.hold(new LevelView(from.originX() + way.x(), from.originY() + way.y(), from.scale()));
            redraw.run();
        });
        if (press.isOn()) {
            if (!Press.isClick(pressed, at)) {
                outline = Optional.empty();
            }
            goOn();
            redraw.run();
        }
    }

    /** The gesture for where the pointer is and what is held; also when only the latter changed. */
    void goOn() {
        if (outline.isEmpty()) {
            press.to(aim.at().orElse(at));
        }
    }

    private void released() {
        Optional<Shape.Ratio> clicked = outline;
        outline = Optional.empty();
        if (panned.isPresent()) {
            camera.settle();
            letGo();
        } else if (clicked.isPresent()) {
            press.abandon();
            session.frameEdits().hold(clicked.get());
        } else {
            press.end(at);
        }
        redraw.run();
    }

    // ---- looking closer ----

    @Override
    public void zoom(double factor, Point place) {
        if (!press.isOn()) {
            camera.zoomBy(factor, aim.at().orElse(place));
        }
    }

    @Override
    public void push(Point way) {
        if (!isBusy()) {
            camera.pan(way);
            redraw.run();
        }
    }

    /** Of two fingers the first has pressed. */
    @Override
    public void pinch() {
        if (isBusy()) {
            letGo();
            session.gestures().abandon();
            redraw.run();
        }
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
                ? camera.view()
                        .flatMap(view -> Beginnings.nested(
                                session, view.toLevel(p.x(), p.y()), press.reach(), OUTLINE_REACH / view.scale()))
                : Optional.empty();
    }

    // ---- the cursor ----

    private void moved(MouseEvent event) {
        at = new Point(event.getX(), event.getY());
        if (!press.isOn()) { // a touch of the mouse ends nothing that keys began
            aim.leave();
        }
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
        if (panned.isPresent() || keys.isHeld(Command.PAN)) {
            return Cursor.CLOSED_HAND;
        }
        if (mode.get() == BenchMode.TRIM) {
            return Cursors.trimming(session.space(), camera.toLevel(at), press::reach);
        }
        if (mode.get() != BenchMode.FRAMING) {
            return Cursor.CROSSHAIR;
        }
        if (outline.isPresent() || camera.isOverNeighbour(-1, at) || camera.isOverNeighbour(1, at)) {
            return Cursor.HAND;
        }
        return Cursors.framing(session.frame(), camera.toLevel(at), press::reach);
    }

    // ---- drawing ----

    /** What the pointer does right now: an outline meant, and what is pressed. */
    void draw(BenchDrawing drawing, LevelView view) {
        outline.ifPresent(shape -> drawing.outline(view, shape, at));
        press.draw(drawing, view);
    }
}
