package nexa.desktop.bench;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.stream.Stream;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.util.Duration;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.space.PhotoSpace;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.photo.Ahead;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.session.Levelling;
import nexa.desktop.session.Marking;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Mover;
import nexa.desktop.setting.Settings;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.FramePicture;
import nexa.desktop.widget.Looks;
import nexa.desktop.widget.StrokeMemo;
import nexa.desktop.words.Words;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;

/** One photo large, to be framed and levelled with the pointer. */
public final class BenchView extends Region {
    /**
     * What the current photo's layer shows. While only the frame moves it stays, and nothing is drawn of it.
     *
     * @param only the frame, where nothing beyond it shows
     */
    private record PhotoLayer(
            Optional<ScreenPhoto> pixels,
            Optional<PhotoSpace> space,
            Optional<LevelView> view,
            Optional<Frame> only,
            Optional<Color> veil) {}

    /** What the layer of one neighbour shows. */
    private record NeighbourLayer(
            Optional<Photo> photo,
            Optional<ScreenPhoto> pixels,
            Optional<LevelView> view,
            Optional<PhotoSpace> space,
            Optional<Frame> frame) {}

    /** How long after a change by keys one still counts as adjusting. */
    private static final Duration SETTLING = Duration.millis(900);

    private final Session session;
    private final Levelling levelling;
    private final Marking marking;
    private final Keys keys;
    private final FramePicture current;
    private final FramePicture before;
    private final FramePicture after;
    private final Ahead ahead;
    private final ObjectProperty<BenchMode> mode = new SimpleObjectProperty<>(BenchMode.FRAMING);
    private final ObjectProperty<BenchZoom> zoom = new SimpleObjectProperty<>(BenchZoom.FIT);
    private final BooleanProperty tilting = new SimpleBooleanProperty();
    private final BooleanProperty bare = new SimpleBooleanProperty();
    private final PauseTransition settling = new PauseTransition(SETTLING);
    private final StrokeMemo strokes = new StrokeMemo();
    private final BenchPointer pointer;
    private final DrawnPane beforeLayer = layer(drawing -> drawNeighbour(drawing, this.beforeShown));
    private final DrawnPane afterLayer = layer(drawing -> drawNeighbour(drawing, this.afterShown));
    private final DrawnPane waitingLayer = layer(this::drawWaiting);
    private final PhotoRaster raster;
    private final DrawnPane frameLayer = layer(this::drawFrame);
    private Optional<NeighbourLayer> beforeShown = Optional.empty();
    private Optional<NeighbourLayer> afterShown = Optional.empty();
    private Optional<PhotoLayer> photoShown = Optional.empty();
    private final Subscription subscriptions;

    /** @param tiltAdjusting true while something else, such as the ruler, tilts the photo: a fine grid shows */
    public BenchView(ShootModels models, Keys keys, PhotoLoader loader, Executor fx, BooleanProperty tiltAdjusting) {
        this.session = models.session();
        this.levelling = models.levelling();
        this.marking = models.marking();
        this.keys = keys;
        this.current = new FramePicture(session.shoot(), loader, fx, this::redraw).urgent();
        this.before = new FramePicture(session.shoot(), loader, fx, this::redraw);
        this.after = new FramePicture(session.shoot(), loader, fx, this::redraw);
        this.ahead = new Ahead(loader, session.shoot()::fileOf, fx, 1);
        sceneProperty().subscribe((left, entered) -> {
            showNeighbours();
            requestLayout();
        });
        tilting.bindBidirectional(tiltAdjusting);
        getStyleClass().add("bench");
        raster = new PhotoRaster(fx);
        getChildren().addAll(beforeLayer, afterLayer, waitingLayer, raster, frameLayer);
        setMinSize(0, 0);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        pointer = new BenchPointer(this, models, keys);
        settling.setOnFinished(event -> redraw());
        subscriptions = Subscription.combine(showing(), settings());
    }

    private Subscription showing() {
        return Subscription.combine(
                session.photoProperty().subscribe(this::showPhoto),
                session.formatProperty().subscribe(format -> redraw()),
                session.framingProperty().subscribe(framing -> changed()),
                session.editsProperty().subscribe(count -> redraw()),
                levelling.linesProperty().subscribe(lines -> redraw()),
                levelling.verdictProperty().subscribe(verdict -> redraw()),
                marking.proposalsProperty().subscribe(proposals -> redraw()),
                session.list().photosProperty().subscribe(photos -> showNeighbours()),
                keys.heldProperty().subscribe(held -> redraw()),
                keys.modifiersProperty().subscribe(down -> pointer.goOn()),
                tilting.subscribe(now -> redraw()),
                bare.subscribe(now -> redraw()),
                zoom.subscribe(now -> redraw()),
                mode.subscribe(now -> modeChanged()));
    }

    private Subscription settings() {
        Settings settings = session.settings();
        return Subscription.combine(
                settings.overlayProperty().subscribe(now -> redraw()),
                settings.overlayShowProperty().subscribe(now -> redraw()),
                settings.overlayLookProperty().subscribe(now -> redraw()),
                settings.overlayOptionsProperty().subscribe(now -> redraw()),
                settings.moverProperty().subscribe(now -> redraw()),
                settings.matToneProperty().subscribe(now -> redraw()),
                settings.matStrengthProperty().subscribe(now -> redraw()));
    }

    public void dispose() {
        subscriptions.unsubscribe();
        settling.stop();
        tilting.unbind();
        raster.dispose();
        List.of(current, before, after).forEach(FramePicture::clear);
        ahead.clear();
    }

    /** What the next drag does. */
    public ObjectProperty<BenchMode> modeProperty() {
        return mode;
    }

    /** Whether all that is not photo, frame and overlay is away. */
    public BooleanProperty bareProperty() {
        return bare;
    }

    public Levelling levelling() {
        return levelling;
    }

    BooleanProperty tiltingProperty() {
        return tilting;
    }

    private void modeChanged() {
        pointer.showCursor();
        redraw();
    }

    private void changed() {
        settling.playFromStart();
        redraw();
    }

    private void showPhoto(Optional<Photo> photo) {
        pointer.letGo();
        if (mode.get() != BenchMode.MARKING) {
            mode.set(BenchMode.FRAMING);
        }
        showNeighbours();
        photo.ifPresent(p -> {
            showAt(p, PhotoLoader.edgeFor(Math.max(getWidth(), getHeight()) * 0.75));
            setAccessibleText(Words.of(
                    "bench.canvas",
                    p.name(),
                    session.format().map(f -> f.name()).orElse("")));
        });
        redraw();
    }

    /** Shows the photo, and has those around it ready. */
    private void showAt(Photo photo, int edge) {
        if (getScene() == null) { // another view is shown, whose pictures come first
            return;
        }
        current.show(photo, edge);
        List<Photo> around =
                Stream.of(1, -1, 2).flatMap(side -> neighbour(side).stream()).toList();
        ahead.want(around, Math.min(edge, PhotoLoader.LARGE));
    }

    /** Whether the current photo shows as well as it can. */
    public boolean isSharp() {
        return current.isSharp() && raster.isSettled();
    }

    private void showNeighbours() {
        if (getScene() == null) {
            return;
        }
        neighbour(-1).ifPresentOrElse(n -> before.show(n, PhotoLoader.SMALL), before::clear);
        neighbour(1).ifPresentOrElse(n -> after.show(n, PhotoLoader.SMALL), after::clear);
        redraw();
    }

    /** The photo before (-1) or behind (1) the current one, of those one goes through. */
    Optional<Photo> neighbour(int side) {
        List<Photo> photos = session.list().photos();
        int index = session.list().place() + side;
        return index >= 0 && index < photos.size() ? Optional.of(photos.get(index)) : Optional.empty();
    }

    // ---- where things are ----

    private BenchLane lane() {
        return new BenchLane(Math.floor(getWidth()), Math.floor(getHeight()));
    }

    /** Screen pixels per canvas unit. */
    private double pixelScale() {
        return getScene() == null || getScene().getWindow() == null
                ? 1
                : getScene().getWindow().getOutputScaleX();
    }

    public boolean isZoomed() {
        return zoom.get() != BenchZoom.FIT;
    }

    /** The current photo's view; while a gesture goes on it is the gesture's. */
    Optional<LevelView> view() {
        return pointer.heldView().or(this::restingView);
    }

    /** With the frame in the middle where the photo is what moves. */
    private Optional<LevelView> restingView() {
        return session.space().map(space -> {
            PixelSize upright = space.upright();
            Frame frame = session.frame().orElse(new Frame(0, 0, 1, 1));
            LevelView view = BenchZoom.view(zoom.get(), lane(), upright, frame, pixelScale());
            boolean centred = !isZoomed() && session.settings().moverProperty().get() == Mover.PHOTO;
            return centred ? view.showing(frame.centre(), view.originX(), view.originY()) : view;
        });
    }

    /** A neighbour's view; empty when the photo is looked at closer. */
    Optional<LevelView> neighbourView(Photo photo, int side) {
        if (isZoomed() || bare.get()) {
            return Optional.empty();
        }
        return session.shoot().space(photo).flatMap(own -> session.space()
                .map(middle -> lane().neighbour(own.upright(), middle.upright(), side)));
    }

    /** A point of the pointer in level space; for tests too. */
    Optional<Point> toLevel(double x, double y) {
        return view().map(v -> v.toLevel(x, y));
    }

    /** A point of level space in this view's coordinates; for tests and benchmarks. */
    public Optional<Point> toScreen(Point level) {
        return view().map(v -> v.toScreen(level));
    }

    // ---- looking closer ----

    /** The whole photo, 100 %, 200 %, and round again, about the pointer or the middle. */
    public void nextZoom() {
        double factor =
                switch (zoom.get()) {
                    case BenchZoom.At(double now, Point centre) when now < 1 -> 1;
                    case BenchZoom.At(double now, Point centre) when now < 2 -> 2;
                    case BenchZoom.At at -> 0;
                    case BenchZoom.Fit fit -> 1;
                    case BenchZoom.ToFrame frame -> 1;
                };
        if (factor == 0) {
            zoom.set(BenchZoom.FIT);
        } else {
            zoomTo(factor);
        }
    }

    private void zoomTo(double factor) {
        session.space().ifPresent(space -> view().ifPresent(now -> {
            double scale = factor * space.upright().longEdge() / pixelScale();
            Point at = pointer.place();
            LevelView closer = new LevelView(0, 0, scale).showing(now.toLevel(at.x(), at.y()), at.x(), at.y());
            zoom.set(BenchZoom.of(closer, lane(), space.upright(), pixelScale()));
        }));
    }

    public void zoomToFrame() {
        zoom.set(zoom.get() instanceof BenchZoom.ToFrame ? BenchZoom.FIT : new BenchZoom.ToFrame());
    }

    public void zoomToFit() {
        zoom.set(BenchZoom.FIT);
    }

    void zoomBy(double factor, Point at) {
        session.space().ifPresent(space -> view().ifPresent(
                        now -> zoom.set(BenchZoom.by(factor, now, at, lane(), space.upright(), pixelScale()))));
    }

    /** Keeps looking as a view does, where one looks closer. */
    void lookAs(LevelView view) {
        if (isZoomed()) {
            session.space().ifPresent(space -> zoom.set(BenchZoom.of(view, lane(), space.upright(), pixelScale())));
        }
    }

    /** Screen pixels per photo pixel; empty when the whole photo shows. */
    public Optional<Double> zoomFactor() {
        return isZoomed()
                ? session.space().flatMap(space -> view().map(
                                v -> v.scale() * pixelScale() / space.upright().longEdge()))
                : Optional.empty();
    }

    /** Gives up what goes on; false if nothing did. */
    public boolean escape() {
        boolean busy = pointer.isBusy()
                || mode.get() != BenchMode.FRAMING
                || levelling.verdictProperty().get().isPresent()
                || !levelling.linesProperty().get().isEmpty();
        pointer.letGo();
        mode.set(BenchMode.FRAMING);
        levelling.forget();
        session.abandon();
        if (!busy && isZoomed()) {
            zoomToFit();
            return true;
        }
        return busy;
    }

    // ---- drawing: neighbours, photo and frame lie on layers of their own, so that each is drawn only when it changes
    // ----

    private interface Drawing {
        void draw(BenchDrawing drawing);
    }

    /** A layer may be smaller than the Bench; what it draws is given in the Bench's coordinates all the same. */
    private DrawnPane layer(Drawing drawing) {
        DrawnPane pane = new DrawnPane() {
            @Override
            public void draw(GraphicsContext canvas, double width, double height) {
                canvas.save();
                canvas.translate(-getLayoutX(), -getLayoutY());
                drawing.draw(new BenchDrawing(
                        canvas,
                        session,
                        keys,
                        strokes,
                        pixelScale(),
                        BenchView.this.getWidth(),
                        BenchView.this.getHeight()));
                canvas.restore();
            }
        };
        pane.setMouseTransparent(true);
        return pane;
    }

    /** Draws what changed at the next pulse. */
    void redraw() {
        frameLayer.redraw();
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        frameLayer.resizeRelocate(0, 0, getWidth(), getHeight());
        Optional<LevelView> view = view();
        session.photo()
                .ifPresent(photo -> view.ifPresent(v -> showAt(photo, PhotoLoader.edgeFor(v.scale() * pixelScale()))));
        boolean resultOnly = keys.isHeld(Command.RESULT);
        PhotoLayer photo = new PhotoLayer(
                current.pixels(), shownSpace(), view, resultOnly ? session.frame() : Optional.empty(), veil());
        if (!photoShown.equals(Optional.of(photo))) {
            photoShown = Optional.of(photo);
            showRaster(photo);
            waitingLayer.setVisible(photo.pixels().isEmpty());
            place(waitingLayer, photo.space(), view);
        }
        raster.open(
                BenchDrawing.isLooking(keys)
                        ? Optional.of(new ScreenBox(0, 0, getWidth(), getHeight()))
                        : view.flatMap(v -> session.frame().map(v::toScreen)));
        Optional<NeighbourLayer> left = Optional.of(neighbourLayer(-1, before));
        if (!beforeShown.equals(left)) {
            beforeShown = left;
            place(beforeLayer, left.get().space(), left.get().view());
        }
        Optional<NeighbourLayer> right = Optional.of(neighbourLayer(1, after));
        if (!afterShown.equals(right)) {
            afterShown = right;
            place(afterLayer, right.get().space(), right.get().view());
        }
    }

    /** Puts a layer where its photo is and no larger, in steps, so that tilting seldom changes its size; draws it anew. */
    private void place(DrawnPane layer, Optional<PhotoSpace> space, Optional<LevelView> view) {
        LayerBox box = space.flatMap(s -> view.map(v -> LayerBox.of(s, v, getWidth(), getHeight())))
                .orElse(LayerBox.NONE);
        layer.resizeRelocate(box.x(), box.y(), box.width(), box.height());
        layer.redraw();
    }

    /** The photo as it is held, or as it was before it was tilted. */
    private Optional<PhotoSpace> shownSpace() {
        boolean untilted = keys.isHeld(Command.BEFORE);
        return session.space()
                .map(space ->
                        untilted ? new PhotoSpace(space.asShot(), space.pose().withTilt(Tilt.NONE)) : space);
    }

    private NeighbourLayer neighbourLayer(int side, FramePicture picture) {
        Optional<Photo> photo = neighbour(side);
        return new NeighbourLayer(
                photo,
                picture.pixels(),
                photo.flatMap(p -> neighbourView(p, side)),
                photo.flatMap(p -> session.shoot().space(p)),
                photo.flatMap(
                        p -> session.format().flatMap(format -> session.shoot().frame(p, format))));
    }

    private static void drawNeighbour(BenchDrawing drawing, Optional<NeighbourLayer> layer) {
        layer.ifPresent(shown -> shown.view()
                .ifPresent(
                        view -> drawing.neighbour(shown.space().orElseThrow(), shown.frame(), view, shown.pixels())));
    }

    private void drawWaiting(BenchDrawing drawing) {
        photoShown.ifPresent(shown -> shown.view().ifPresent(view -> {
            if (current.trouble().isEmpty() && shown.pixels().isEmpty()) {
                drawing.waiting(view, shown.space().orElseThrow());
            }
        }));
    }

    /** The mat's colour on this photo. */
    private Optional<Color> veil() {
        return session.frame()
                .flatMap(frame -> current.pixels())
                .map(pixels -> Looks.mat(session.settings(), pixels.brightness()));
    }

    private void showRaster(PhotoLayer layer) {
        boolean shows = layer.pixels().isPresent()
                && layer.view().isPresent()
                && layer.space().isPresent()
                && current.trouble().isEmpty();
        if (shows) {
            BenchRaster.wish(
                            layer.pixels().get(),
                            layer.space().get(),
                            layer.view().get(),
                            layer.only(),
                            layer.veil(),
                            new BenchRaster.Screen(getWidth(), getHeight(), pixelScale()))
                    .ifPresentOrElse(raster::show, raster::hide);
        } else {
            raster.hide();
        }
    }

    private void drawFrame(BenchDrawing drawing) {
        Optional<Photo> photo = session.photo();
        if (photo.isEmpty()) {
            drawing.hint(Words.of("bench.none"));
            return;
        }
        Optional<LevelView> view = view();
        Optional<Trouble> trouble = photo.get().trouble().or(current::trouble);
        if (view.isEmpty() || trouble.isPresent()) {
            trouble.ifPresent(reason -> drawing.unreadable(photo.get(), reason));
            return;
        }
        boolean adjusting = pointer.isBusy() || settling.getStatus() == Animation.Status.RUNNING;
        drawing.framed(view.get(), current.pixels(), new BenchDrawing.Moment(tilting.get(), adjusting, bare.get()));
        if (!bare.get()) {
            drawing.marks(
                    view.get(),
                    Optional.ofNullable(marking.proposalsProperty().get().get(photo.get())));
        }
        pointer.draw(drawing, view.get());
        drawing.levelling(view.get(), levelling);
        if (!bare.get()) {
            drawing.captions(photo.get(), mode.get(), zoomFactor());
        }
    }
}
