package nexa.desktop.model;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicLong;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Orientation;
import nexa.core.review.Warning;
import nexa.desktop.session.Session;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** How far the shoot is, counted anew after every edit on another thread: ten thousand photos take a moment. */
public final class Counts {
    /**
     * Photos set aside and unreadable ones count nowhere else.
     *
     * @param states by format id
     * @param warned how many photos have a warning, by format id
     */
    public record Counted(
            int photos,
            int unreadable,
            int aside,
            Map<Orientation, Integer> lying,
            Map<Integer, Map<FrameState, Integer>> states,
            Map<Integer, Integer> warned) {
        static final Counted NOTHING = new Counted(0, 0, 0, Map.of(), Map.of(), Map.of());

        public int lying(Orientation orientation) {
            return lying.getOrDefault(orientation, 0);
        }

        public int in(FrameState state, Format format) {
            return states.getOrDefault(format.id(), Map.of()).getOrDefault(state, 0);
        }

        /** Photos that are to be delivered. */
        public int working() {
            return photos - unreadable - aside;
        }

        public int warned(Format format) {
            return warned.getOrDefault(format.id(), 0);
        }
    }

    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Counted> counted = new ReadOnlyObjectWrapper<>(Counted.NOTHING);
    private final AtomicLong latest = new AtomicLong();
    private final Subscription subscription;

    /**
     * @param work where photos are counted
     * @param fx the interface's thread
     */
    public Counts(Session session, Executor work, Executor fx) {
        this.shoot = session.shoot();
        this.work = work;
        this.fx = fx;
        subscription = session.editsProperty().subscribe(edits -> recount());
    }

    public void dispose() {
        subscription.unsubscribe();
        latest.incrementAndGet();
    }

    public ReadOnlyObjectProperty<Counted> countedProperty() {
        return counted.getReadOnlyProperty();
    }

    public Counted counted() {
        return counted.get();
    }

    private void recount() {
        long mine = latest.incrementAndGet();
        Brief brief = shoot.brief();
        work.execute(() -> {
            if (mine == latest.get()) {
                Counted now = count(brief);
                fx.execute(() -> {
                    if (mine == latest.get()) {
                        counted.set(now);
                    }
                });
            }
        });
    }

    private Counted count(Brief brief) {
        List<Photo> photos = shoot.photos();
        int unreadable = 0;
        int aside = 0;
        Map<Orientation, Integer> lying = new EnumMap<>(Orientation.class);
        Map<Integer, Map<FrameState, Integer>> states = new HashMap<>();
        Map<Integer, Integer> warned = new HashMap<>();
        for (Photo photo : photos) {
            if (!photo.isReadable()) {
                unreadable++;
            } else if (shoot.framing(photo).setAside()) {
                aside++;
            } else {
                lying.merge(shoot.space(photo).orElseThrow().keptSize().orientation(), 1, Integer::sum);
                brief.formats().forEach(format -> count(photo, format, states, warned));
            }
        }
        return new Counted(photos.size(), unreadable, aside, lying, states, warned);
    }

    private void count(
            Photo photo, Format format, Map<Integer, Map<FrameState, Integer>> states, Map<Integer, Integer> warned) {
        states.computeIfAbsent(format.id(), id -> new EnumMap<>(FrameState.class))
                .merge(shoot.framing(photo).state(format), 1, Integer::sum);
        Set<Warning> warnings = shoot.warnings(photo, format);
        warned.merge(format.id(), warnings.isEmpty() ? 0 : 1, Integer::sum);
    }
}
