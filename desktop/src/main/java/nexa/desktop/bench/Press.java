package nexa.desktop.bench;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.gesture.Grip;
import nexa.core.gesture.TiltDrag;
import nexa.core.space.PhotoSpace;
import nexa.desktop.bench.gesture.Beginnings;
import nexa.desktop.bench.gesture.BenchGesture;
import nexa.desktop.bench.gesture.Finishing;
import nexa.desktop.bench.layer.BenchDrawing;
import nexa.desktop.camera.Camera;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.Marking;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Mover;

/** What goes on from a press on the Bench to its release, by the pointer or by keys. Places are in canvas units. */
final class Press {
    /** How near a frame's side is drawn to a line. */
    private static final double SNAP_REACH = 6;

    /** A press that moves less is a click. */
    private static final double CLICK = 3;

    private final Camera camera;
    private final ObjectProperty<BenchMode> mode;
    private final BooleanProperty tilting;
    private final Session session;
    private final LineKnobs knobs;
    private final Spots spots;
    private final Finishing finishing;
    private final Marking marking;
    private final Keys keys;
    private Optional<BenchGesture> gesture = Optional.empty();
    private Optional<LevelView> held = Optional.empty();
    private Optional<BenchGesture.Shown> shown = Optional.empty();
    private Point from = Point.ORIGIN;
    private Point at = Point.ORIGIN;

    /**
     * @param mode what it does
     * @param tilting told while it tilts the photo
     */
    Press(Camera camera, ObjectProperty<BenchMode> mode, BooleanProperty tilting, ShootModels models, Keys keys) {
        this.camera = camera;
        this.mode = mode;
        this.tilting = tilting;
        this.session = models.session();
        this.knobs = new LineKnobs(session, models.levelling(), models.plumbing(), models.trimming());
        this.spots = new Spots(models.neutrals(), models.eyes());
        this.finishing =
                new Finishing(session, models.levelling(), models.plumbing(), models.bendByLine(), models.trimming());
        this.marking = models.marking();
        this.keys = keys;
    }

    boolean isOn() {
        return gesture.isPresent();
    }

    static boolean isClick(Point from, Point to) {
        return from.distance(to) < CLICK;
    }

    /** How near to a side or a mark means it, in long edges. */
    double reach() {
        return session.settings().reach() / scale();
    }

    private double scale() {
        return camera.view().orElseThrow().scale();
    }

    /**
     * Begins what the mode does, or takes away the line whose knob is there; nothing where no photo can be edited.
     *
     * @param otherMover whether the one of frame and photo is moved that the settings do not say
     */
    void begin(Point place, boolean otherMover) {
        Optional<PhotoSpace> space = session.space().filter(s -> session.shoot().mayEdit());
        boolean removed = camera.view()
                .filter(view -> knobs.removes(view, place, mode.get()))
                .isPresent();
        if (removed || space.isEmpty()) {
            return;
        }
        from = place;
        at = place;
        held = camera.view();
        held.ifPresent(camera::hold);
        gesture = begin(space.get(), camera.toLevel(place).orElseThrow(), otherMover);
        tilting.set(gesture.filter(BenchGesture.TurnPhoto.class::isInstance).isPresent());
    }

    private Optional<BenchGesture> begin(PhotoSpace space, Point level, boolean otherMover) {
        return switch (mode.get()) {
            case LEVELLING -> Optional.of(new BenchGesture.DrawLevel(space, level, level));
            case PLUMB -> Optional.of(new BenchGesture.DrawPlumb(space, level, level));
            case STRAIGHTENING -> Optional.of(new BenchGesture.DrawEdge(space, List.of(level)));
            case TRIM -> Optional.of(Beginnings.trimming(space, level, reach()));
            case NEUTRAL, EYES -> Optional.of(BenchGesture.Touching.at(space, level, spots.touches(mode.get())));
            case MARKING -> Optional.of(Beginnings.marks(session, level, reach()));
            case DRAWING -> session.frame().map(frame -> Beginnings.drawFrame(session, level));
            case FRAMING ->
                Optional.of(session.frame()
                        .flatMap(frame ->
                                Grip.at(frame, level, reach()).map(grip -> framing(frame, grip, level, otherMover)))
                        .orElseGet(() -> new BenchGesture.TurnPhoto(
                                new TiltDrag(session.framing().pose().tilt(), level))));
        };
    }

    private BenchGesture framing(Frame frame, Grip grip, Point level, boolean otherMover) {
        Mover mover = session.settings().moverProperty().get();
        boolean photoMoves = (otherMover ? mover.other() : mover) == Mover.PHOTO;
        return Beginnings.moveFrame(session, frame, grip, level, SNAP_REACH / scale(), photoMoves);
    }

    /** Goes on to a place, with what is held by now; nothing if nothing was begun. */
    void to(Point place) {
        at = place;
        held.ifPresent(view -> goOn(view.toLevel(place.x(), place.y()), modifiers()));
    }

    private void goOn(Point level, BenchGesture.Held down) {
        gesture = gesture.map(g -> g instanceof BenchGesture.Drawn line ? line.extended(level) : g);
        gesture.ifPresent(g -> {
            BenchGesture.Shown now = g.at(session, level, down);
            shown = Optional.of(now);
            session.gestures().preview(now.framing());
            if (g instanceof BenchGesture.MoveFrame move && move.photoMoves()) {
                followFrame(move.drag().start());
            }
        });
    }

    /** The frame stays where it is on the screen: the photo moves under it. */
    private void followFrame(Frame start) {
        LevelView view = held.orElseThrow();
        Point fixed = view.toScreen(start.centre());
        session.frame().ifPresent(frame -> camera.hold(view.showing(frame.centre(), fixed.x(), fixed.y())));
    }

    private BenchGesture.Held modifiers() {
        Keys.Modifiers down = keys.modifiers();
        boolean snapping = session.settings().snappingProperty().get() != down.alt();
        return new BenchGesture.Held(down.shift(), down.shortcut(), snapping);
    }

    /** Ends at a place: what it came to is kept. */
    void end(Point place) {
        Optional<BenchGesture> done = gesture;
        boolean clicked = isClick(from, place);
        camera.settle();
        letGo();
        if (clicked && done.filter(BenchGesture.DrawMarks.class::isInstance).isPresent()) {
            session.gestures().abandon();
            camera.toLevel(from).ifPresent(marking::click);
        } else {
            done.ifPresent(gesture -> finish(gesture, clicked, place));
        }
    }

    private void finish(BenchGesture done, boolean clicked, Point place) {
        finishing.finish(done, clicked, camera.toLevel(place));
        if (!mode.get().stays()) {
            mode.set(BenchMode.FRAMING);
        }
    }

    /** Ends it as if it had not been. */
    void abandon() {
        camera.settle();
        letGo();
    }

    /** Forgets what goes on. */
    void letGo() {
        gesture = Optional.empty();
        held = Optional.empty();
        shown = Optional.empty();
        camera.letGo();
        tilting.set(false);
    }

    /** Lines caught, the line that is drawn, figures beside the place. */
    void draw(BenchDrawing drawing, LevelView view) {
        drawing.guides(view, shown);
        gesture.filter(g -> !drawing.lines().drawn(view, g))
                .filter(g -> shown.isPresent() && mode.get().measures())
                .ifPresent(g -> drawing.readout(at));
    }
}
