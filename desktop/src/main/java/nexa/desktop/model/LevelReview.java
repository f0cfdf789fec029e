package nexa.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import nexa.core.brief.Framing;
import nexa.core.geometry.Tilt;
import nexa.core.level.Finding;
import nexa.desktop.session.Session;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.edit.Edit;
import nexa.shoot.level.AutoLeveller;
import nexa.shoot.photo.Photo;

/**
 * What the automatic level proposes for several photos, to be accepted or left one by one. Nothing is tilted until
 * somebody accepts it.
 */
public final class LevelReview {
    /** Where a proposal stands. */
    public enum State {
        SEARCHING,
        PROPOSED,
        /** The lines say that it is level as it is. */
        LEVEL,
        REFUSED,
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
    public record Item(Photo photo, Framing framing, Optional<Finding> finding, State state) {
        Item as(State other) {
            return new Item(photo, framing, finding, other);
        }

        Item found(Finding found) {
            return new Item(photo, framing, Optional.of(found), state(found));
        }

        private State state(Finding found) {
            double change = found.tilt().degrees() - framing.pose().tilt().degrees();
            if (!found.accepted()) {
                return State.REFUSED;
            }
            return Math.abs(change) < NO_CHANGE ? State.LEVEL : State.PROPOSED;
        }
    }

    /** A twentieth of a degree moves the end of a horizon by a pixel or two. */
    private static final double NO_CHANGE = 0.05;

    private final Session session;
    private final Executor fx;
    private final ObservableList<Item> items = FXCollections.observableArrayList();
    private final ReadOnlyIntegerWrapper searched = new ReadOnlyIntegerWrapper();
    private final AtomicBoolean cancelled = new AtomicBoolean();

    /** Starts looking at once, one photo after the other, on the work executor. */
    public LevelReview(Session session, List<Photo> photos, Executor work, Executor fx) {
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
            Item searching = todo.get(i);
            Item done = searched(searching);
            fx.execute(() -> {
                items.set(index, done);
                searched.set(searched.get() + 1);
            });
        }
    }

    private Item searched(Item item) {
        try {
            return item.found(AutoLeveller.find(session.shoot(), item.photo(), item.framing()));
        } catch (UnreadablePhotoException unreadable) { // then it has no lines
            return item.as(State.UNREADABLE);
        }
    }

    public ObservableList<Item> items() {
        return items;
    }

    /** How many photos were looked at. */
    public ReadOnlyIntegerProperty searchedProperty() {
        return searched.getReadOnlyProperty();
    }

    /** Tilts the photo as proposed. */
    public void accept(Item item) {
        Framing before = session.shoot().framing(item.photo());
        if (session.shoot().mayEdit() && item.state() == State.PROPOSED) {
            Tilt level = item.finding().orElseThrow().tilt();
            Framing after = before.withPose(before.pose().withTilt(level)).levelledAt(level);
            session.shoot().apply(Edit.framing("edit.level.auto", item.photo().id(), before, after));
            items.set(items.indexOf(item), item.as(State.ACCEPTED));
        }
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
