package nexa.desktop.review;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import nexa.core.brief.Framing;
import nexa.desktop.photo.AllCores;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Framings;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What is proposed for several photos, to be accepted or left one by one. Nothing changes until somebody accepts it.
 *
 * @param <F> what is found of one photo
 */
public final class Proposals<F> {
    /** Where a proposal stands. */
    public enum State {
        SEARCHING,
        PROPOSED,
        /** It may be wrong, and can be accepted all the same. */
        DOUBTFUL,
        REFUSED,
        /** There is nothing to do. */
        NOTHING,
        UNREADABLE,
        ACCEPTED,
        LEFT
    }

    /**
     * One photo's.
     *
     * @param framing the photo's when it was looked at
     * @param finding empty while searching and if unreadable
     */
    public record Item<F>(Photo photo, Framing framing, Optional<F> finding, State state) {
        Item<F> as(State other) {
            return new Item<>(photo, framing, finding, other);
        }

        /** Whether somebody has to decide. */
        public boolean isOpen() {
            return state == State.PROPOSED || state == State.DOUBTFUL;
        }
    }

    /** What is looked for. */
    public interface Looking<F> {
        /** Decodes. */
        F find(Photo photo, Framing framing) throws UnreadablePhotoException;

        /** Where what was found of a photo stands. */
        State state(Framing framing, F found);

        /** The photo as proposed. */
        Framing accepted(Framing before, F found);

        /** The name of the edit. */
        String label();
    }

    private static final Logger LOG = LoggerFactory.getLogger(Proposals.class);

    private final Framings framings;
    private final Looking<F> looking;
    private final ObservableList<Item<F>> items = FXCollections.observableArrayList();
    private final AllCores search;

    /**
     * Starts looking at once, on as many threads as there are cores.
     *
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Proposals(Framings framings, List<Photo> photos, Looking<F> looking, Executor work, Executor fx) {
        this.framings = framings;
        this.looking = looking;
        photos.stream()
                .filter(Photo::isReadable)
                .map(photo -> new Item<F>(photo, framings.framing(photo), Optional.empty(), State.SEARCHING))
                .forEach(items::add);
        List<Item<F>> todo = List.copyOf(items);
        search = AllCores.begin(
                todo.size(),
                place -> {
                    Item<F> done = searched(todo.get(place));
                    fx.execute(() -> items.set(place, done));
                },
                work);
    }

    private Item<F> searched(Item<F> item) {
        try {
            F found = looking.find(item.photo(), item.framing());
            return new Item<>(item.photo(), item.framing(), Optional.of(found), looking.state(item.framing(), found));
        } catch (UnreadablePhotoException
                | RuntimeException unreadable) { // native code's own too; one photo stops no others
            LOG.warn("{} could not be looked at", item.photo().file(), unreadable);
            return item.as(State.UNREADABLE);
        }
    }

    public ObservableList<Item<F>> items() {
        return items;
    }

    /** How many stand so. */
    public long count(State state) {
        return items.stream().filter(item -> item.state() == state).count();
    }

    /** Does what is proposed, also what is doubtful. */
    public void accept(Item<F> item) {
        if (item.isOpen()) {
            accept(List.of(item));
        }
    }

    /** Does all that leaves no doubt, as one step. */
    public void acceptAll() {
        accept(items.stream().filter(item -> item.state() == State.PROPOSED).toList());
    }

    private void accept(List<Item<F>> accepted) {
        if (framings.mayEdit()) {
            List<FramingChange> changes = accepted.stream().map(this::change).toList();
            framings.apply(new Edit(looking.label(), changes, null));
            accepted.forEach(item -> items.set(items.indexOf(item), item.as(State.ACCEPTED)));
        }
    }

    private FramingChange change(Item<F> item) {
        Framing before = framings.framing(item.photo());
        return new FramingChange(
                item.photo().id(),
                before,
                looking.accepted(before, item.finding().orElseThrow()));
    }

    /** Leaves the photo as it is. */
    public void leave(Item<F> item) {
        items.set(items.indexOf(item), item.as(State.LEFT));
    }

    /** Stops looking; what was found stays. */
    public void cancel() {
        search.stop();
    }
}
