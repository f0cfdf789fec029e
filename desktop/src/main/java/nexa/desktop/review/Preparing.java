package nexa.desktop.review;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import nexa.core.brief.Framing;
import nexa.desktop.photo.AllCores;
import nexa.shoot.Framings;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.HelpRecord;
import nexa.shoot.prepare.Prepared;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What help proposes for photos, decided one by one or left as it stands, and then done in one step. */
public final class Preparing {
    private static final Logger LOG = LoggerFactory.getLogger(Preparing.class);

    /** What somebody decided. */
    public enum Choice {
        /** Nothing: what is sure will be done. */
        OPEN,
        /** Also what is doubtful. */
        TAKEN,
        LEFT,
        /** Also what is doubtful, to be adjusted on the Bench then. */
        ADJUSTED
    }

    /**
     * One photo's.
     *
     * @param prepared empty while it is looked at, and if it can't be read
     */
    public record Item(Photo photo, Optional<Prepared> prepared, boolean looked, Choice choice) {
        /** Whether somebody should look at it before. */
        public boolean isDoubtful() {
            return prepared.filter(Prepared::isDoubtful).isPresent();
        }

        /** Whether there is anything to do. */
        public boolean isSure() {
            return prepared.filter(found -> !found.isDoubtful() && !found.isNothing())
                    .isPresent();
        }

        /** The photo as it would be now. */
        public Optional<Framing> after() {
            return prepared.map(found -> switch (choice) {
                case OPEN -> found.sure();
                case TAKEN, ADJUSTED -> found.all();
                case LEFT -> found.before();
            });
        }

        Item as(Choice other) {
            return new Item(photo, prepared, looked, other);
        }
    }

    /** Looks at a photo; decodes. */
    @FunctionalInterface
    public interface Look {
        Prepared look(Photo photo, Framing before) throws IOException;
    }

    private final Framings framings;
    private final ObservableList<Item> items = FXCollections.observableArrayList();
    private final AllCores search;

    /**
     * Starts looking at once, on as many threads as there are cores.
     *
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Preparing(Framings framings, List<Photo> photos, Look look, Executor work, Executor fx) {
        this.framings = framings;
        photos.stream()
                .filter(Photo::isReadable)
                .map(photo -> new Item(photo, Optional.empty(), false, Choice.OPEN))
                .forEach(items::add);
        List<Photo> todo = items.stream().map(Item::photo).toList();
        search = AllCores.begin(
                todo.size(),
                place -> {
                    Photo photo = todo.get(place);
                    Optional<Prepared> found = found(photo, look);
                    fx.execute(() -> items.set(place, new Item(photo, found, true, Choice.OPEN)));
                },
                work);
    }

    private Optional<Prepared> found(Photo photo, Look look) {
        try {
            return Optional.of(look.look(photo, framings.framing(photo)));
        } catch (IOException | RuntimeException unreadable) { // native code's own too; one photo stops no others
            LOG.warn("{} could not be looked at", photo.file(), unreadable);
            return Optional.empty();
        }
    }

    /** In the photos' order. */
    public ObservableList<Item> items() {
        return items;
    }

    public long looked() {
        return items.stream().filter(Item::looked).count();
    }

    public List<Item> doubtful() {
        return items.stream().filter(Item::isDoubtful).toList();
    }

    public List<Item> sure() {
        return items.stream().filter(Item::isSure).toList();
    }

    public void choose(Photo photo, Choice choice) {
        items.replaceAll(item -> item.photo().equals(photo) ? item.as(choice) : item);
    }

    /** How many photos would change. */
    public long changes() {
        return items.stream().filter(item -> changes(item)).count();
    }

    private boolean changes(Item item) {
        Framing now = framings.framing(item.photo());
        return item.after().filter(after -> !after.asksTheSame(now)).isPresent();
    }

    private boolean isAsItWas(Item item) {
        return framings.framing(item.photo())
                .asksTheSame(item.prepared().orElseThrow().before());
    }

    /**
     * Does all of it as one step; photos that somebody changed since they were looked at stay.
     *
     * @return those to be adjusted now
     */
    public List<Photo> finish() {
        cancel();
        List<FramingChange> changes = items.stream()
                .filter(this::changes)
                .filter(this::isAsItWas)
                .map(item -> {
                    Framing now = framings.framing(item.photo());
                    return new FramingChange(
                            item.photo().id(), now, item.after().orElseThrow().knowing(now));
                })
                .toList();
        framings.apply(new Edit("edit.prepare", changes, null));
        return items.stream()
                .filter(item -> item.choice() == Choice.ADJUSTED)
                .map(Item::photo)
                .toList();
    }

    /** The record with what was decided here. */
    public HelpRecord recorded(HelpRecord before) {
        HelpRecord record = before;
        for (Item item : items) {
            if (item.prepared().filter(found -> !found.isNothing()).isPresent()) {
                Prepared found = item.prepared().orElseThrow();
                boolean left = item.choice() == Choice.LEFT
                        || item.after().orElseThrow().equals(found.before());
                record = record.with(item.photo(), item.after().orElseThrow(), left);
            }
        }
        return record;
    }

    /** Stops looking; what was found stays. */
    public void cancel() {
        search.stop();
    }
}
