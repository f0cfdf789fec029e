package nexa.desktop.session;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.shoot.photo.Photo;
import org.jspecify.annotations.Nullable;

/**
 * What follows from how each of many photos is framed in a format. It is worked out anew where that is another only: a
 * gesture changes one of thousands at every step. For the interface's thread.
 */
public final class ByFraming<V> {
    /** Works out what follows for one photo. */
    @FunctionalInterface
    public interface Work<V> {
        V of(Photo photo, Framing framing, Format format, Brief brief);
    }

    /** What all of it depends on. */
    private record Whole(List<Photo> photos, Format format, Brief brief) {
        boolean isSameAs(@Nullable Whole other) {
            return other != null && photos == other.photos && format.equals(other.format) && brief == other.brief;
        }
    }

    private final Supplier<Brief> brief;
    private final Function<Photo, Framing> framing;
    private final Work<V> work;
    private final List<Framing> framings = new ArrayList<>();
    private final List<V> values = new ArrayList<>();
    private @Nullable Whole whole;

    /** @param framing what is asked of a photo now; the same object as long as it is the same */
    public ByFraming(Supplier<Brief> brief, Function<Photo, Framing> framing, Work<V> work) {
        this.brief = brief;
        this.framing = framing;
        this.work = work;
    }

    /**
     * In the order of the photos, with what is asked of each now, a gesture included; until the next call.
     *
     * @param photos the same list as long as they are the same
     */
    public List<V> of(List<Photo> photos, Format format) {
        Whole now = new Whole(photos, format, brief.get());
        if (!now.isSameAs(whole)) {
            framings.clear();
            values.clear();
            whole = now;
        }
        for (int i = 0; i < photos.size(); i++) {
            Photo photo = photos.get(i);
            Framing asked = framing.apply(photo);
            if (i == values.size()) {
                framings.add(asked);
                values.add(work.of(photo, asked, format, now.brief));
            } else if (asked != framings.get(i)) {
                framings.set(i, asked);
                values.set(i, work.of(photo, asked, format, now.brief));
            }
        }
        return Collections.unmodifiableList(values);
    }
}
