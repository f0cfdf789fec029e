package nexa.desktop.bench;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import javafx.util.Subscription;
import nexa.core.geometry.Point;
import nexa.desktop.bench.layer.BenchDrawing;
import nexa.desktop.bench.layer.BenchFill;
import nexa.desktop.bench.layer.BenchLayers;
import nexa.desktop.bench.layer.BenchLines;
import nexa.desktop.bench.layer.BenchPictures;
import nexa.desktop.bench.layer.BenchSpots;
import nexa.desktop.bench.layer.OverPhoto;
import nexa.desktop.camera.Camera;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.BendByLine;
import nexa.desktop.model.Levelling;
import nexa.desktop.model.Marking;
import nexa.desktop.model.Plumbing;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.repair.Trimming;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Nodes;
import nexa.shoot.mark.Suggestion;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** One photo large, to be framed and levelled with the pointer. */
public final class BenchView extends Region {
    /** How long after a change by keys one still counts as adjusting. */
    private static final Duration SETTLING = Duration.millis(900);

    private final Session session;
    private final Levelling levelling;
    private final Plumbing plumbing;
    private final Trimming trimming;
    private final BenchFill fill;
    private final Spots spots;
    private final BendByLine bendByLine;
    private final Marking marking;
    private final Keys keys;
    private final ObjectProperty<BenchMode> mode = new SimpleObjectProperty<>(BenchMode.FRAMING);
    private final BooleanProperty tilting = new SimpleBooleanProperty();
    private final PauseTransition settling = new PauseTransition(SETTLING);
    private final Camera camera;
    private final BenchPictures pictures;
    private final OverPhoto over;
    private final BenchLayers layers;
    private final Press press;
    private final Aim aim;
    private final BenchPointer pointer;
    private final Subscription subscriptions;

    /** @param tiltAdjusting true while something else, such as the ruler, tilts the photo: a fine grid shows */
    public BenchView(ShootModels models, Keys keys, PhotoLoader loader, Executor fx, BooleanProperty tiltAdjusting) {
        this.session = models.session();
        this.levelling = models.levelling();
        this.plumbing = models.plumbing();
        this.trimming = models.trimming();
        this.fill = new BenchFill(models.filling());
        this.spots = new Spots(models.neutrals(), models.eyes());
        this.bendByLine = models.bendByLine();
        this.marking = models.marking();
        this.keys = keys;
        this.camera = new Camera(new BenchSubject(session));
        this.pictures = new BenchPictures(session.shoot(), loader, fx, this::redraw);
        this.over = new OverPhoto(session, keys, camera, pictures, fill, this::drawFrame);
        this.layers = new BenchLayers(this, session, keys, camera, pictures, over, fx);
        this.press = new Press(camera, mode, tilting, models, keys);
        this.aim = new Aim(this, session, mode, press, this::redraw);
        this.pointer = new BenchPointer(this, camera, mode, press, aim, this::redraw, models, keys);
        sceneProperty().subscribe((left, entered) -> {
            showNeighbours();
            requestLayout();
        });
        tilting.bindBidirectional(tiltAdjusting);
        getStyleClass().add("bench");
        getChildren().addAll(layers.inOrder());
        setMinSize(0, 0);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        settling.setOnFinished(event -> redraw());
        subscriptions = showing(models);
    }

    private Subscription showing(ShootModels models) {
        return Subscription.combine(
                session.onOtherPhoto(this::letGo),
                session.photoProperty().subscribe(this::showPhoto),
                session.framingProperty().subscribe(framing -> changed()),
                fill.subscribe(this::redraw),
                spots.eyes().verdictProperty().subscribe(verdict -> eyesSaid()),
                session.list().photosProperty().subscribe(photos -> showNeighbours()),
                keys.modifiersProperty().subscribe(down -> pointer.goOn()),
                mode.subscribe(now -> modeChanged()),
                Redrawing.of(models, spots, camera, keys, this::redraw),
                tilting.subscribe(now -> redraw()));
    }

    public void dispose() {
        subscriptions.unsubscribe();
        settling.stop();
        tilting.unbind();
        layers.dispose();
        pictures.dispose();
    }

    /** What the next drag does. */
    public ObjectProperty<BenchMode> modeProperty() {
        return mode;
    }

    /** Whether all that is not photo, frame and overlay is away. */
    public BooleanProperty bareProperty() {
        return camera.bareProperty();
    }

    /** What was mended is looked at closely. */
    private void eyesSaid() {
        spots.foundEye().ifPresent(camera::lookAt);
        redraw();
    }

    private void modeChanged() {
        aim.leave();
        pointer.showCursor();
        redraw();
    }

    private void changed() {
        settling.playFromStart();
        redraw();
    }

    private void letGo() {
        pointer.letGo();
        if (!mode.get().goesOn()) {
            mode.set(BenchMode.FRAMING);
        }
    }

    private void showPhoto(Optional<Photo> photo) {
        showNeighbours();
        photo.ifPresent(p -> {
            showAt(p, PhotoLoader.edgeFor(Math.max(getWidth(), getHeight()) * 0.8));
            setAccessibleText(Words.of(
                    "bench.canvas",
                    p.name(),
                    session.format().map(f -> f.name()).orElse("")));
        });
        redraw();
    }

    private void showAt(Photo photo, int edge) {
        if (getScene() != null) { // else another view is shown, whose pictures come first
            pictures.show(photo, edge, camera::neighbour);
        }
    }

    private void showNeighbours() {
        if (getScene() != null) {
            pictures.showNeighbours(camera::neighbour);
            redraw();
        }
    }

    /** Whether something sharp shows of the current photo, if only the camera's own picture of it. */
    public boolean isDetailed() {
        return pictures.current().isDetailed() && layers.isDrawn();
    }

    /** Whether the current photo shows with all pixels that were asked for, if not smoothed to the last. */
    public boolean isShown() {
        return pictures.current().isSharp() && layers.isDrawn();
    }

    /** Whether the current photo shows as well as it can. */
    public boolean isSharp() {
        return pictures.current().isSharp() && layers.isSettled();
    }

    // ---- looking closer ----

    public boolean isZoomed() {
        return camera.isZoomed();
    }

    /** The whole photo, 100 %, 200 %, and round again, about the pointer or the middle. */
    public void nextZoom() {
        camera.nextZoom(pointer.place());
    }

    /** Closer by a factor about the pointer or the middle, or farther away. */
    public void zoom(double factor) {
        pointer.zoom(factor, pointer.place());
    }

    public void zoomToFrame() {
        camera.zoomToFrame();
    }

    public void zoomToFit() {
        camera.zoomToFit();
    }

    /** Looks beside it, as if the photo were pushed a way in canvas units; nothing while all of it shows. */
    public void pan(double right, double down) {
        camera.pan(new Point(right, down));
        redraw();
    }

    /** Screen pixels per photo pixel; empty when the whole photo shows. */
    public Optional<Double> zoomFactor() {
        return camera.zoomFactor();
    }

    /** A point of level space in this view's coordinates; for tests and benchmarks. */
    public Optional<Point> toScreen(Point level) {
        return camera.toScreen(level);
    }

    // ---- keys instead of a pointer ----

    /** Moves the cross that stands for the pointer while a drag or a click is waited for, by steps; false while none is. */
    public boolean aim(int right, int down) {
        return aim.move(pointer.place(), right, down);
    }

    /** Presses where the cross is, or lets go; false where there is no cross. */
    public boolean pressAim() {
        return aim.press();
    }

    /** Gives up what goes on; false if nothing did. */
    public boolean escape() {
        boolean busy = spots.forget()
                || pointer.isBusy()
                || mode.get() != BenchMode.FRAMING
                || levelling.verdictProperty().get().isPresent()
                || !levelling.linesProperty().get().isEmpty()
                || plumbing.verdictProperty().get().isPresent()
                || trimming.verdictProperty().get().isPresent()
                || !plumbing.linesProperty().get().isEmpty()
                || bendByLine.drawnProperty().get().isPresent();
        pointer.letGo();
        mode.set(BenchMode.FRAMING);
        levelling.forget();
        plumbing.forget();
        trimming.forget();
        bendByLine.forget();
        session.gestures().abandon();
        if (!busy && camera.isZoomed()) {
            camera.zoomToFit();
            return true;
        }
        return busy;
    }

    // ---- drawing ----

    /** Draws what changed at the next pulse. */
    void redraw() {
        over.redraw();
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        camera.resize(getWidth(), getHeight(), Nodes.outputScale(this));
        session.photo().ifPresent(photo -> camera.view()
                .ifPresent(view -> showAt(photo, PhotoLoader.edgeFor(view.scale() * camera.pixelScale()))));
        layers.lay();
    }

    private void drawFrame(BenchDrawing drawing) {
        Optional<Photo> photo = session.photo();
        if (photo.isEmpty()) {
            drawing.hint(Words.of("bench.none"));
            return;
        }
        Optional<LevelView> view = camera.view();
        String trouble = pictures.current().said(photo.get());
        if (view.isEmpty() || !trouble.isEmpty()) {
            drawing.hint(trouble);
            return;
        }
        boolean bare = camera.bareProperty().get();
        boolean adjusting = pointer.isBusy() || settling.getStatus() == Animation.Status.RUNNING;
        drawing.framed(
                view.get(),
                pictures.current().pixels(),
                new BenchDrawing.During(
                        tilting.get() || mode.get() == BenchMode.PLUMB,
                        adjusting,
                        bare,
                        mode.get() == BenchMode.TRIM || mode.get().touches()));
        if (!bare) {
            drawing.marks(
                    view.get(),
                    Optional.ofNullable(marking.proposalsProperty().get().get(photo.get()))
                            .map(Suggestion::marks));
        }
        pointer.draw(drawing, view.get());
        BenchLines lines = drawing.lines();
        lines.levelling(view.get(), levelling);
        lines.plumbing(view.get(), plumbing);
        lines.trimming(view.get(), trimming, mode.get() == BenchMode.TRIM);
        bendByLine.drawnProperty().get().ifPresent(line -> lines.straightened(view.get(), line));
        BenchSpots drawn = drawing.spots(view.get());
        touched(drawn);
        aim.draw(drawn);
        if (!bare) {
            drawing.captions(photo.get(), hint(), camera.zoomFactor(), fill.current(), layers.proofWords());
        }
    }

    /** What the mode waits for; empty while it is the frame that is worked at. */
    private Optional<String> hint() {
        if (mode.get() == BenchMode.FRAMING) {
            return Optional.empty();
        }
        return Optional.of(
                aim.at().isPresent()
                        ? Words.of("waits.aimed", keys.label(Command.ACCEPT))
                        : Words.of("waits", mode.get()));
    }

    private void touched(BenchSpots drawn) {
        if (mode.get() == BenchMode.EYES) {
            drawn.eyes(spots.eyes());
        }
        if (mode.get() == BenchMode.NEUTRAL) {
            drawn.neutral(spots.neutrals());
            pictures.current().pixels().ifPresent(photo -> drawn.enlarged(photo, pointer.place()));
        }
    }
}
