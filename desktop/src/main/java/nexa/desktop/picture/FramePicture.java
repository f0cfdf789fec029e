package nexa.desktop.picture;

import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.photo.Urgency;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;

/** Fetches the pixels of the photo a node shows; results for a photo it no longer shows are dropped. */
public final class FramePicture {
    private static final int NO_LOOK = 0;

    private final Shoot shoot;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Runnable arrived;
    private Optional<ScreenPhoto> pixels = Optional.empty();
    private Optional<Trouble> trouble = Optional.empty();
    private Optional<Photo> shown = Optional.empty();
    private final CorrectedPicture whole;
    private final CorrectedPicture lit;
    private final CorrectedPicture filled;
    private Urgency urgency = Urgency.VISIBLE;
    private int look = NO_LOOK;
    private boolean sharp;
    private int edge;
    private long latest;

    public FramePicture(Shoot shoot, PhotoLoader loader, Executor fx, Runnable arrived) {
        this.shoot = shoot;
        this.loader = loader;
        this.fx = fx;
        this.arrived = arrived;
        this.whole = new CorrectedPicture(fx, arrived);
        this.lit = new CorrectedPicture(fx, arrived);
        this.filled = new CorrectedPicture(fx, arrived);
    }

    /** The photo as shot. */
    public Optional<ScreenPhoto> pixels() {
        return pixels;
    }

    /** The photo as it is corrected, to be turned and tilted; until that is made, what is nearest to it. */
    public Optional<ScreenPhoto> corrected(PhotoSpace space) {
        return space.pose().correction().isNone()
                ? pixels
                : pixels.map(plain -> whole.or(plain, () -> loader.corrected().whole(plain, space)));
    }

    /** The photo as shot, with its lens's light and colours corrected; until that is made, what is nearest to it. */
    public Optional<ScreenPhoto> lit(PhotoSpace space) {
        return space.pose().correction().keepsValues()
                ? pixels
                : pixels.map(plain -> lit.or(plain, () -> loader.corrected().lit(plain, space)));
    }

    /** What goes into the blank of a frame that leaves the photo; empty if it does not, or until something is made. */
    public Optional<ScreenPhoto> filled(PhotoSpace space, Frame frame, Fill fill) {
        return space.outline().holds(frame)
                ? Optional.empty()
                : pixels.flatMap(plain -> filled.newest(() -> loader.corrected().filled(plain, space, frame, fill)));
    }

    /** Draws the photo, and what goes into the blank of a frame that leaves it; nothing until there are pixels. */
    public void draw(PhotoPainter painter, PhotoSpace space, Frame frame, Fill fill) {
        corrected(space).ifPresent(shows -> painter.photo(shows, space));
        filled(space, frame, fill).ifPresent(made -> painter.beyond(space.outline(), frame, made.image()));
    }

    /** Why a photo can't be shown, as a sentence; empty if nothing is known to be wrong. */
    public String said(Photo photo) {
        return photo.trouble()
                .or(this::trouble)
                .map(reason -> Words.of("bench.unreadable", photo.name(), Words.of(reason)))
                .orElse("");
    }

    /** Whether what shows has all pixels that were asked for, be it the camera's own picture. */
    public boolean isDetailed() {
        double whole = shown.flatMap(Photo::facts)
                .map(facts -> facts.asShot().longEdge())
                .orElse(0);
        return pixels.filter(p -> Math.max(p.image().getWidth(), p.image().getHeight()) >= Math.min(edge, whole))
                .isPresent();
    }

    /** Whether all that was asked for is there, or known to be missing. */
    public boolean isSharp() {
        return sharp;
    }

    /** Why there are no pixels: known from the headers, or found when decoding. */
    public Optional<Trouble> trouble() {
        return trouble;
    }

    /** Its pictures are wanted before all others. */
    public FramePicture urgent() {
        urgency = Urgency.CURRENT;
        return this;
    }

    /** Shows another photo, or the same at another size; what is there stays until the new pixels arrive. */
    public void show(Photo photo, int wantedEdge) {
        boolean same = shown.filter(photo::equals).isPresent();
        if (same && wantedEdge == edge) {
            return;
        }
        leave();
        if (!same) {
            whole.forget();
            lit.forget();
            filled.forget();
            pixels = loader.ready(photo, wantedEdge).or(() -> loader.ready(photo, PhotoLoader.SMALL));
            trouble = photo.trouble();
        }
        shown = Optional.of(photo);
        edge = wantedEdge;
        long mine = latest;
        sharp = !photo.isReadable();
        if (photo.isReadable()) {
            if (pixels.isEmpty() && loader.wantsFirstLook(photo)) {
                look = urgency == Urgency.CURRENT && PhotoLoader.isSlow(photo) ? wantedEdge : PhotoLoader.SMALL;
                loader.firstLook(photo, shoot.fileOf(photo), look).thenAcceptAsync(seen -> takeLook(mine, seen), fx);
            }
            CompletableFuture<ScreenPhoto> loading = loader.load(photo, shoot.fileOf(photo), wantedEdge, urgency);
            loading.whenCompleteAsync((loaded, failure) -> take(mine, loaded, failure), fx);
        }
    }

    private void take(long request, @Nullable ScreenPhoto loaded, @Nullable Throwable failure) {
        if (request != latest || failure instanceof CancellationException) {
            return;
        }
        sharp = true;
        if (loaded != null) {
            pixels = Optional.of(loaded);
        } else if (failure != null && pixels.isEmpty()) { // what shows already is better than none
            trouble = Optional.of(reason(failure));
        }
        arrived.run();
    }

    private void takeLook(long request, ScreenPhoto seen) {
        if (request == latest && pixels.isEmpty()) {
            pixels = Optional.of(seen);
            arrived.run();
        }
    }

    /** What is not loaded yet need not be any more. */
    private void leave() {
        latest++;
        shown.filter(Photo::isReadable).ifPresent(photo -> {
            loader.leave(photo, edge);
            if (look != NO_LOOK) {
                loader.leaveFirstLook(photo, look);
            }
        });
        look = NO_LOOK;
    }

    private static Trouble reason(Throwable failure) {
        return failure instanceof UnreadablePhotoException unreadable
                ? unreadable.trouble()
                : Trouble.of(Trouble.Kind.READ_FAILED);
    }

    public void clear() {
        leave();
        shown = Optional.empty();
        pixels = Optional.empty();
        trouble = Optional.empty();
        whole.forget();
        lit.forget();
        filled.forget();
    }
}
