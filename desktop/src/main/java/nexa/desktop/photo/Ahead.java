package nexa.desktop.photo;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Function;
import nexa.shoot.photo.Photo;

/**
 * Pictures that will be wanted after the next step, loaded when nothing is more urgent. Only a few at once: one that is
 * begun can't be stopped, and would keep the cores from a photo that somebody jumps to. Used on the interface's thread.
 */
public final class Ahead {
    private final PhotoLoader loader;
    private final Function<Photo, Path> files;
    private final Executor fx;
    private final int atOnce;
    private final Runnable arrived;
    private final Deque<Photo> waiting = new ArrayDeque<>();
    private List<Photo> wanted = List.of();
    private int edge;
    private int round;

    /**
     * @param atOnce how many are loaded at the same time
     * @param arrived called after each
     */
    public Ahead(PhotoLoader loader, Function<Photo, Path> files, Executor fx, int atOnce, Runnable arrived) {
        this.loader = loader;
        this.files = files;
        this.fx = fx;
        this.atOnce = atOnce;
        this.arrived = arrived;
    }

    /** These are wanted next, in this order; the ones before are not, unless they are among them. */
    public void want(List<Photo> photos, int wantedEdge) {
        List<Photo> readable = photos.stream().filter(Photo::isReadable).toList();
        if (readable.equals(wanted) && wantedEdge == edge) {
            return;
        }
        wanted.stream().filter(photo -> !waiting.contains(photo)).forEach(photo -> loader.leave(photo, edge));
        wanted = readable;
        edge = wantedEdge;
        waiting.clear();
        waiting.addAll(readable);
        round++;
        for (int i = 0; i < atOnce; i++) {
            loadNext(round);
        }
    }

    private void loadNext(int mine) {
        Photo photo = mine == round ? waiting.poll() : null;
        if (photo != null) {
            loader.load(photo, files.apply(photo), edge, Urgency.NEXT)
                    .whenCompleteAsync(
                            (loaded, failed) -> {
                                loadNext(mine);
                                arrived.run();
                            },
                            fx);
        }
    }

    public void clear() {
        want(List.of(), edge);
    }
}
