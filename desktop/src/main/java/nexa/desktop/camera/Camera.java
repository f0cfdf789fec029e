package nexa.desktop.camera;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import nexa.core.brief.Crop;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.session.Moment;
import nexa.shoot.photo.Photo;

/**
 * How the Bench looks at the photo: how large it is itself, how close it looks, and where a gesture holds the photo while
 * it goes on. Has no nodes; view and pointer both ask it.
 */
public final class Camera {
    /** What it looks at. */
    public interface Subject {
        Moment moment();

        /** Whether it is the photo that moves and the frame that stays in the middle. */
        boolean isPhotoMoved();

        /** Whether the photos beside the current one peek in. */
        boolean showsNeighbours();

        /** The photo before (-1) or behind (1) the current one, of those one goes through. */
        Optional<Photo> neighbour(int side);

        /** A photo's space as it is stored, without what a gesture leads to; empty if it is unreadable. */
        Optional<PhotoSpace> space(Photo photo);
    }

    private static final Frame NO_FRAME = new Frame(0, 0, 1, 1);

    private final Subject subject;
    private final ObjectProperty<BenchZoom> zoom = new SimpleObjectProperty<>(BenchZoom.FIT);
    private final BooleanProperty bare = new SimpleBooleanProperty();
    private Optional<LevelView> held = Optional.empty();
    private Optional<PhotoSpace> stored = Optional.empty();
    private BenchLane lane = new BenchLane(0, 0, true);
    private double pixelScale = 1;

    public Camera(Subject subject) {
        this.subject = subject;
    }

    /**
     * Tells how large the Bench is.
     *
     * @param pixelScale screen pixels per canvas unit
     */
    public void resize(double width, double height, double pixelScale) {
        this.lane = new BenchLane(Math.floor(width), Math.floor(height), subject.showsNeighbours());
        this.pixelScale = pixelScale;
    }

    /** Screen pixels per canvas unit. */
    public double pixelScale() {
        return pixelScale;
    }

    public ObjectProperty<BenchZoom> zoomProperty() {
        return zoom;
    }

    /** Whether all that is not photo, frame and overlay is away. */
    public BooleanProperty bareProperty() {
        return bare;
    }

    public boolean isZoomed() {
        return zoom.get() != BenchZoom.FIT;
    }

    // ---- where things are ----

    /** The current photo's view; while a gesture goes on it is the gesture's. */
    public Optional<LevelView> view() {
        return held.or(() -> restingView(subject.moment()));
    }

    /** The photo's view while no gesture goes on: with the frame in the middle where the photo is what moves. */
    public Optional<LevelView> restingView(Moment moment) {
        return moment.space().map(space -> {
            Frame frame = moment.frame().orElse(NO_FRAME);
            LevelView view = leavesPhoto(moment)
                    ? lane.showing(both(space.extent(), frame))
                    : BenchZoom.view(zoom.get(), lane, space, frame, pixelScale);
            boolean centred = !isZoomed() && subject.isPhotoMoved();
            return centred ? view.showing(frame.centre(), view.originX(), view.originY()) : view;
        });
    }

    /** Whether the whole photo is looked at, and its frame goes beyond it. */
    private boolean leavesPhoto(Moment moment) {
        boolean outside = moment.crop().filter(Crop::outside).isPresent();
        return outside
                && !isZoomed()
                && moment.space()
                        .flatMap(space ->
                                moment.frame().map(frame -> !space.edge().holds(frame)))
                        .orElse(false);
    }

    private static Frame both(Frame one, Frame other) {
        return Frame.between(
                new Point(Math.min(one.left(), other.left()), Math.min(one.top(), other.top())),
                new Point(Math.max(one.right(), other.right()), Math.max(one.bottom(), other.bottom())));
    }

    /** Keeps a view until it is let go. */
    public void hold(LevelView view) {
        held = Optional.of(view);
    }

    /** Rests again; where one looks closer, as it was held last. */
    public void settle() {
        held.ifPresent(view -> {
            if (isZoomed()) {
                space().ifPresent(space -> zoom.set(BenchZoom.of(view, lane, space, pixelScale)));
            }
        });
        letGo();
    }

    /** Looks beside it, as if the photo were pushed; nothing while all of it shows. */
    public void pan(Point way) {
        view().filter(view -> isZoomed()).ifPresent(view -> {
            hold(new LevelView(view.originX() + way.x(), view.originY() + way.y(), view.scale()));
            settle();
        });
    }

    /** Rests again, as before. */
    public void letGo() {
        held = Optional.empty();
    }

    private Optional<PhotoSpace> space() {
        return subject.moment().space();
    }

    public Optional<Photo> neighbour(int side) {
        return subject.neighbour(side);
    }

    /** A neighbour's view; empty when the photo is looked at closer. It rests while a gesture bends or tilts the photo. */
    public Optional<LevelView> neighbourView(Photo photo, int side) {
        if (isZoomed() || bare.get() || !lane.neighbours()) {
            return Optional.empty();
        }
        return subject.space(photo).flatMap(own -> resting().map(middle -> lane.neighbour(own, middle, side)));
    }

    /** The current photo's space as it is stored; the same one while it stays, as it knows how far it extends. */
    private Optional<PhotoSpace> resting() {
        Optional<PhotoSpace> now = subject.moment().photo().flatMap(subject::space);
        stored = stored.equals(now) ? stored : now;
        return stored;
    }

    /** A point of the Bench in level space. */
    public Optional<Point> toLevel(Point at) {
        return view().map(view -> view.toLevel(at.x(), at.y()));
    }

    /** A point of level space on the Bench. */
    public Optional<Point> toScreen(Point level) {
        return view().map(view -> view.toScreen(level));
    }

    /** Whether a neighbour shows at a point: the current photo covers it where they overlap. */
    public boolean isOverNeighbour(int side, Point at) {
        boolean covered = subject.moment()
                .space()
                .flatMap(space -> toLevel(at).map(level -> space.edge().contains(level, 0)))
                .orElse(false);
        return !covered
                && neighbour(side)
                        .flatMap(photo -> neighbourView(photo, side).flatMap(view -> subject.space(photo)
                                .map(space -> space.edge().contains(view.toLevel(at.x(), at.y()), 0))))
                        .orElse(false);
    }

    // ---- looking closer ----

    /** The whole photo, 100 %, 200 %, and round again, about a point. */
    public void nextZoom(Point about) {
        double factor =
                switch (zoom.get()) {
                    case BenchZoom.At(double now, Point centre) when now < 1 -> 1;
                    case BenchZoom.At(double now, Point centre) when now < 2 -> 2;
                    case BenchZoom.At at -> 0;
                    case BenchZoom.Fit fit -> 1;
                    case BenchZoom.ToFrame frame -> 1;
                };
        if (factor == 0) {
            zoomToFit();
        } else {
            zoomTo(factor, about);
        }
    }

    /** A place at 100 % in the middle, if the whole photo shows. */
    public void lookAt(Point asShot) {
        space().filter(space -> !isZoomed())
                .ifPresent(space -> zoom.set(new BenchZoom.At(1, space.fromAsShot(asShot))));
    }

    private void zoomTo(double factor, Point about) {
        space().ifPresent(space -> view().ifPresent(now -> {
            double scale = factor * space.upright().longEdge() / pixelScale;
            LevelView closer =
                    new LevelView(0, 0, scale).showing(now.toLevel(about.x(), about.y()), about.x(), about.y());
            zoom.set(BenchZoom.of(closer, lane, space, pixelScale));
        }));
    }

    public void zoomToFrame() {
        zoom.set(zoom.get() instanceof BenchZoom.ToFrame ? BenchZoom.FIT : new BenchZoom.ToFrame());
    }

    public void zoomToFit() {
        zoom.set(BenchZoom.FIT);
    }

    public void zoomBy(double factor, Point about) {
        space().ifPresent(space ->
                view().ifPresent(now -> zoom.set(BenchZoom.by(factor, now, about, lane, space, pixelScale))));
    }

    /** Screen pixels per photo pixel; empty when the whole photo shows. */
    public Optional<Double> zoomFactor() {
        return isZoomed()
                ? space().flatMap(space -> view().map(view ->
                        view.scale() * pixelScale / space.upright().longEdge()))
                : Optional.empty();
    }
}
