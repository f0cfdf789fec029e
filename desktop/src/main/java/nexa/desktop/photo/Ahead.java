package nexa.desktop.photo;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import nexa.shoot.Photo;

/** Pictures that will be wanted after the next step, loaded when nothing is more urgent. Used on the interface's thread. */
public final class Ahead {
    private final PhotoLoader loader;
    private final Function<Photo, Path> files;
    private List<Photo> wanted = List.of();
    private int edge;

    public Ahead(PhotoLoader loader, Function<Photo, Path> files) {
        this.loader = loader;
        this.files = files;
    }

    /** These are wanted next, in this order; the ones before are not, unless they are among them. */
    public void want(List<Photo> photos, int wantedEdge) {
        List<Photo> readable = photos.stream().filter(Photo::isReadable).toList();
        if (readable.equals(wanted) && wantedEdge == edge) {
            return;
        }
        List<Photo> before = wanted;
        int edgeBefore = edge;
        wanted = readable;
        edge = wantedEdge;
        readable.forEach(photo -> loader.load(photo, files.apply(photo), wantedEdge, Urgency.NEXT));
        before.forEach(photo -> loader.leave(photo, edgeBefore));
    }

    public void clear() {
        want(List.of(), edge);
    }
}
