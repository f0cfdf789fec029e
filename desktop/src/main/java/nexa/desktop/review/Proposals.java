package nexa.desktop.review;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import nexa.core.brief.Framing;
import nexa.desktop.session.Session;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;

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

    private final Session session;
    private final Looking<F> looking;
    private final Executor fx;
    private final ObservableList<Item<F>> items = FXCollections.observableArrayList();
    private final AtomicBoolean cancelled = new AtomicBoolean();

    /** Starts looking at once, one photo after the other, on the work executor. */
    public Proposals(Session session, List<Photo> photos, Looking<F> looking, Executor work, Executor fx) {
        this.session = session;
        this.looking = looking;
        this.fx = fx;
        photos.stream()
                .filter(Photo::isReadable)
                .map(photo -> new Item<F>(photo, session.shoot().framing(photo), Optional.empty(), State.SEARCHING))
                .forEach(items::add);
        List<Item<F>> todo = List.copyOf(items);
        work.execute(() -> search(todo));
    }

    private void search(List<Item<F>> todo) {
        for (int i = 0; i < todo.size() && !cancelled.get(); i++) {
            int index = i;
            Item<F> done = searched(todo.get(i));
            fx.execute(() -> items.set(index, done));
        }
    }

    private Item<F> searched(Item<F> item) {
        try {
            F found = looking.find(item.photo(), item.framing());
            return new Item<>(item.photo(), item.framing(), Optional.of(found), looking.state(item.framing(), found));
        } catch (UnreadablePhotoException unreadable) { // then there is nothing to find
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
        if (session.shoot().mayEdit()) {
            List<FramingChange> changes = accepted.stream().map(this::change).toList();
            session.shoot().apply(new Edit(looking.label(), changes, null));
            accepted.forEach(item -> items.set(items.indexOf(item), item.as(State.ACCEPTED)));
        }
    }

    private FramingChange change(Item<F> item) {
        Framing before = session.shoot().framing(item.photo());
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
        cancelled.set(true);
    }
}
