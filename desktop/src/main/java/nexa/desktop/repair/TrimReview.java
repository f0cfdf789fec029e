package nexa.desktop.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import nexa.core.brief.Framing;
import nexa.core.trim.TrimFinding;
import nexa.desktop.session.Session;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.shoot.trim.AutoTrimmer;

/** What is found of several photos' borders, to be accepted or left. Nothing is trimmed until somebody accepts it. */
public final class TrimReview {
    /** Where a proposal stands. */
    public enum State {
        SEARCHING,
        PROPOSED,
        /** Something was found that may be the picture. */
        DOUBTFUL,
        NOTHING,
        UNREADABLE,
        ACCEPTED,
        LEFT
    }

    /**
     * One photo's.
     *
     * @param framing the photo's when it was looked at
     * @param finding of no use while searching or if unreadable
     */
    public record Item(Photo photo, Framing framing, Optional<TrimFinding> finding, State state) {
        Item as(State other) {
            return new Item(photo, framing, finding, other);
        }

        Item found(TrimFinding found) {
            State now = found.accepted() ? State.PROPOSED : found.isProposed() ? State.DOUBTFUL : State.NOTHING;
            return new Item(photo, framing, Optional.of(found), now);
        }

        /** Whether somebody has to decide. */
        public boolean isOpen() {
            return state == State.PROPOSED || state == State.DOUBTFUL;
        }
    }

    private final Session session;
    private final Executor fx;
    private final ObservableList<Item> items = FXCollections.observableArrayList();
    private final AtomicBoolean cancelled = new AtomicBoolean();

    /** Starts looking at once, one photo after the other, on the work executor. */
    public TrimReview(Session session, List<Photo> photos, Executor work, Executor fx) {
        this.session = session;
        this.fx = fx;
        photos.stream()
                .filter(Photo::isReadable)
                .map(photo -> new Item(photo, session.shoot().framing(photo), Optional.empty(), State.SEARCHING))
                .forEach(items::add);
        List<Item> todo = List.copyOf(items);
        work.execute(() -> search(todo));
    }

    private void search(List<Item> todo) {
        for (int i = 0; i < todo.size() && !cancelled.get(); i++) {
            int index = i;
            Item done = searched(todo.get(i));
            fx.execute(() -> items.set(index, done));
        }
    }

    private Item searched(Item item) {
        try {
            return item.found(AutoTrimmer.find(session.shoot(), item.photo()));
        } catch (UnreadablePhotoException unreadable) { // then it has no borders
            return item.as(State.UNREADABLE);
        }
    }

    public ObservableList<Item> items() {
        return items;
    }

    /** Trims a photo as found, also one that was doubtful. */
    public void accept(Item item) {
        if (item.isOpen()) {
            accept(List.of(item));
        }
    }

    /** Trims all that leave no doubt, as one step. */
    public void acceptAll() {
        accept(items.stream().filter(item -> item.state() == State.PROPOSED).toList());
    }

    private void accept(List<Item> accepted) {
        if (!session.shoot().mayEdit()) {
            return;
        }
        List<FramingChange> changes = new ArrayList<>();
        for (Item item : accepted) {
            Framing before = session.shoot().framing(item.photo());
            Framing after =
                    AutoTrimmer.trimmed(before, item.finding().orElseThrow().trim());
            changes.add(new FramingChange(item.photo().id(), before, after));
        }
        session.shoot().apply(new Edit("edit.trim.found", changes, null));
        accepted.forEach(item -> items.set(items.indexOf(item), item.as(State.ACCEPTED)));
    }

    /** Leaves the photo as it is. */
    public void leave(Item item) {
        items.set(items.indexOf(item), item.as(State.LEFT));
    }

    /** Stops looking; what was found stays. */
    public void cancel() {
        cancelled.set(true);
    }
}
