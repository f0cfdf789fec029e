package nexa.desktop.bench.layer;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.IntFunction;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.desktop.photo.Ahead;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ProofedPictures.Proofed;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.picture.FramePicture;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** The pictures of the current photo and of those beside it, and what is loaded ahead. */
public final class BenchPictures {
    private final FramePicture current;
    private final FramePicture before;
    private final FramePicture after;
    private final Ahead ahead;

    private final PhotoLoader loader;
    private final Executor fx;
    private final Runnable arrived;

    /** @param arrived called when one is there, be it ahead */
    public BenchPictures(Shoot shoot, PhotoLoader loader, Executor fx, Runnable arrived) {
        this.loader = loader;
        this.fx = fx;
        this.arrived = arrived;
        this.current = new FramePicture(shoot, loader, fx, arrived).urgent();
        this.before = new FramePicture(shoot, loader, fx, arrived);
        this.after = new FramePicture(shoot, loader, fx, arrived);
        this.ahead = new Ahead(loader, shoot::fileOf, fx, 1, arrived);
    }

    /** Of the photo that is worked on. */
    public FramePicture current() {
        return current;
    }

    FramePicture before() {
        return before;
    }

    FramePicture after() {
        return after;
    }

    /** Shows the current photo with so many pixels, and has those around it ready. */
    public void show(Photo photo, int edge, IntFunction<Optional<Photo>> neighbour) {
        current.show(photo, edge);
        List<Photo> around = Stream.of(1, -1, 2)
                .flatMap(side -> neighbour.apply(side).stream())
                .toList();
        ahead.want(around, Math.min(edge, PhotoLoader.LARGE));
    }

    /** A photo as it was loaded ahead; empty if it was not with so many pixels, or not yet. */
    Optional<ScreenPhoto> ready(Photo photo, int edge) {
        return loader.ready(photo, edge);
    }

    /** The current photo as files of a format will look, once it is made. */
    Optional<CompletableFuture<Optional<Proofed>>> proofed(Optional<ScreenPhoto> plain, Optional<Format> format) {
        return plain.flatMap(pixels -> format.map(each -> {
            CompletableFuture<Optional<Proofed>> proof =
                    loader.proofed().of(pixels, each.files().colour());
            if (!proof.isDone()) {
                proof.whenCompleteAsync((made, failed) -> arrived.run(), fx);
            }
            return proof;
        }));
    }

    /** Shows those that peek beside the current photo; the neighbour at −1 stands before it, at 1 after it. */
    public void showNeighbours(IntFunction<Optional<Photo>> neighbour) {
        neighbour.apply(-1).ifPresentOrElse(n -> before.show(n, PhotoLoader.SMALL), before::clear);
        neighbour.apply(1).ifPresentOrElse(n -> after.show(n, PhotoLoader.SMALL), after::clear);
    }

    /** Lets go of all pictures. */
    public void dispose() {
        List.of(current, before, after).forEach(FramePicture::clear);
        ahead.clear();
    }
}
