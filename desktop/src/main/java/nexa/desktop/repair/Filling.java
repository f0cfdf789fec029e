package nexa.desktop.repair;

import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Function;
import javafx.animation.PauseTransition;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;
import javafx.util.Subscription;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.fill.Blank;
import nexa.core.fill.Fill;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.outline.Outline;
import nexa.core.space.PhotoSpace;
import nexa.core.trim.Side;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Moment;
import nexa.desktop.session.Session;
import nexa.imaging.fill.FilledRaster;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Raster;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.FillLook;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Rendering;
import nexa.shoot.photo.Photo;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What goes into the current frame's blank, and how it will look: a draft soon after the last change, and what will be
 * delivered as it stands still.
 */
public final class Filling {
    /**
     * How the blank looks.
     *
     * @param moment that it was made for
     * @param draft whether what is delivered may come out otherwise
     */
    public record Shown(Moment moment, FillLook look, boolean draft) {}

    /**
     * A picture that is shown already.
     *
     * @param photo as shot
     * @param light of its numbers
     */
    public record OnScreen(Raster photo, PictureLight light) {}

    private static final Logger LOG = LoggerFactory.getLogger(Filling.class);

    /** Larger than the frame is on a usual screen. */
    private static final int LONG_EDGE = 1100;

    private static final Duration SETTLING = Duration.millis(120);
    private static final Duration STILL = Duration.millis(700);

    private final Session session;
    private final Function<Photo, Optional<OnScreen>> screen;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Optional<Shown>> shown = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final PauseTransition settling = new PauseTransition(SETTLING);
    private final PauseTransition still = new PauseTransition(STILL);
    private final Subscription subscriptions;
    /** Counted up on the interface's thread, read on others. */
    private volatile long latest;

    /**
     * @param screen what drafts are made of, the largest there is; any thread may ask
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Filling(Session session, Function<Photo, Optional<OnScreen>> screen, Executor work, Executor fx) {
        this.session = session;
        this.screen = screen;
        this.work = work;
        this.fx = fx;
        settling.setOnFinished(event -> make(true));
        still.setOnFinished(event -> make(false));
        subscriptions = Follow.each(
                this::changed, session.framingProperty(), session.formatProperty(), session.photoProperty());
    }

    public void dispose() {
        subscriptions.unsubscribe();
        settling.stop();
        still.stop();
        latest++;
    }

    /** Empty where the frame shows nothing but photo, or while it is not known yet. */
    public ReadOnlyObjectProperty<Optional<Shown>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** How the current frame's blank looks, if that is what was made. */
    public Optional<Shown> current() {
        return shown.get().filter(made -> made.moment().equals(session.moment()));
    }

    private void changed() {
        latest++;
        if (session.frameEdits().showsBlank()) {
            settling.playFromStart();
            if (fill().isOfPhoto()) {
                still.playFromStart();
            }
        } else {
            settling.stop();
            still.stop();
            shown.set(Optional.empty());
        }
    }

    private void make(boolean draft) {
        Moment moment = session.moment();
        Optional<Photo> photo = moment.photo().filter(Photo::isReadable);
        boolean stored = photo.filter(p -> session.shoot().framing(p).equals(moment.framing()))
                .isPresent();
        if (!stored || moment.format().isEmpty()) {
            return; // a gesture goes on
        }
        long mine = latest;
        boolean ofPhoto = fill().isOfPhoto();
        Delivery delivery = HandoverPlan.sample(
                session.shoot(), photo.get(), moment.format().get());
        work.execute(() -> {
            FillLook look = mine == latest ? look(moment, delivery, draft) : null;
            boolean isDraft = draft && ofPhoto;
            fx.execute(() -> {
                if (mine == latest && look != null && !(isDraft && isShownExactly(moment))) {
                    shown.set(Optional.of(new Shown(moment, look, isDraft)));
                }
            });
        });
    }

    /** Then a draft that took longer comes too late. */
    private boolean isShownExactly(Moment moment) {
        return shown.get()
                .filter(made -> !made.draft() && made.moment().equals(moment))
                .isPresent();
    }

    private @Nullable FillLook look(Moment moment, Delivery delivery, boolean draft) {
        Optional<OnScreen> shows = draft ? screen.apply(delivery.photo()) : Optional.empty();
        if (shows.isPresent()) {
            return drafted(moment, delivery, shows.get());
        }
        try {
            return Rendering.look(session.shoot().codecs(), delivery, LONG_EDGE, draft);
        } catch (UnreadablePhotoException unreadable) { // the photo itself shows why
            LOG.info("No fill for {}: {}", delivery.photo().file(), unreadable.toString());
            return null;
        }
    }

    /** Of the pixels that are there: the photo itself takes longer to decode than one waits for a draft. */
    private static FillLook drafted(Moment moment, Delivery delivery, OnScreen shows) {
        PhotoSpace space = moment.space().orElseThrow();
        FilledRaster.Draft draft =
                FilledRaster.draft(shows.photo(), space, delivery.frame(), delivery.fill(), LONG_EDGE, shows.light());
        return new FillLook(draft.raster(), draft.seam(), Blank.share(space.outline(), delivery.frame()));
    }

    // ---- choosing ----

    /** What goes into the current frame's blank. */
    public Fill fill() {
        return session.format().map(format -> session.framing().fill(format)).orElse(Fill.WHITE);
    }

    /** Whether the current frame has a fill of its own. */
    public boolean isOwn() {
        return session.format()
                .flatMap(format -> session.framing().crop(format))
                .flatMap(Crop::fill)
                .isPresent();
    }

    /** Gives the current frame a fill of its own; empty = the format's. */
    public void choose(Optional<Fill> fill) {
        session.moment().crop().ifPresent(crop -> session.format().ifPresent(format -> session.gestures()
                .edit("edit.fill", session.framing().withCrop(format, crop.withFill(fill)))));
    }

    /**
     * Moves the frame out on one side, beyond the photo if there is no more of it; a free frame becomes longer. With its fill it
     * is one step.
     *
     * @param side as it is seen
     * @param part of the frame's side, above 0
     * @param fill of the blank
     */
    public void makeRoom(Side side, double part, Fill fill) {
        Optional<Frame> frame = session.frame();
        Optional<Crop> crop = session.moment().crop();
        Optional<Format> format = session.format();
        if (frame.isEmpty() || crop.isEmpty() || format.isEmpty()) {
            return;
        }
        PhotoSpace space = session.space().orElseThrow();
        Outline room = space.room(true);
        Frame moved = Fit.within(room, moved(frame.get(), side, part));
        Crop roomy = new Crop(
                space.toAsShot(moved),
                crop.get().ownShape(),
                true,
                false,
                fill.equals(format.get().files().fill()) ? crop.get().fill() : Optional.of(fill));
        session.gestures().edit("edit.room", session.framing().withCrop(format.get(), roomy));
    }

    private Frame moved(Frame frame, Side side, double part) {
        double way = part * (side.isUpright() ? frame.width() : frame.height()) * (side.isFar() ? 1 : -1);
        Point step = side.isUpright() ? new Point(way, 0) : new Point(0, way);
        if (!session.frameEdits().isFree()) {
            return frame.movedBy(step);
        }
        return Frame.around(
                frame.centre().plus(step.times(0.5)),
                frame.width() + Math.abs(step.x()),
                frame.height() + Math.abs(step.y()));
    }
}
