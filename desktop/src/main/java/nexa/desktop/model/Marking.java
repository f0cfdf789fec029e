package nexa.desktop.model;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.space.PhotoSpace;
import nexa.desktop.photo.AllCores;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.mark.MarkSuggester;
import nexa.shoot.mark.Suggestion;
import nexa.shoot.photo.Photo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Subject marks: set by hand on the current photo, or proposed for many and then accepted or not. */
public final class Marking {
    /**
     * How far a search for subjects is.
     *
     * @param done photos looked at
     */
    public record Search(int done, int all) {}

    private static final Logger LOG = LoggerFactory.getLogger(Marking.class);

    private final Session session;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Map<Photo, Suggestion>> proposals = new ReadOnlyObjectWrapper<>(Map.of());
    private final ReadOnlyObjectWrapper<Optional<Search>> search = new ReadOnlyObjectWrapper<>(Optional.empty());
    private long latest;
    private AllCores searching = AllCores.NONE; // of the latest

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Marking(Session session, Executor work, Executor fx) {
        this.session = session;
        this.work = work;
        this.fx = fx;
    }

    /** What was proposed and neither accepted nor declined. */
    public ReadOnlyObjectProperty<Map<Photo, Suggestion>> proposalsProperty() {
        return proposals.getReadOnlyProperty();
    }

    /** Empty unless a search goes on. */
    public ReadOnlyObjectProperty<Optional<Search>> searchProperty() {
        return search.getReadOnlyProperty();
    }

    // ---- by hand ----

    /** What is asked of a photo with marks at points of level space; two that are too near to each other are one. */
    public static Framing marked(Framing framing, PhotoSpace space, List<Point> level) {
        boolean same = level.size() == Marks.MOST && level.getFirst().distance(level.getLast()) < Marks.NEAREST;
        return framing.withMarks(Marks.of(space, same ? level.subList(0, 1) : level));
    }

    /** A click: the first mark, or the second if there is one. */
    public void click(Point level) {
        session.space().ifPresent(space -> {
            List<Point> marks = new ArrayList<>(session.framing().marks().in(space));
            if (marks.size() == Marks.MOST) {
                marks.clear();
            }
            marks.add(level);
            session.gestures().edit("edit.mark", marked(session.framing(), space, marks));
        });
    }

    /** Takes the marks of the chosen photos away, and what was seen. */
    public void clear() {
        session.gestures().editAll("edit.mark.clear", (photo, framing) -> framing.unmarked());
    }

    // ---- proposed ----

    /** The photos that a search would look at: without marks; on the Bench the current one, else the selection or all that show. */
    public List<Photo> searchable() {
        boolean all = session.viewProperty().get() != MainView.BENCH
                && session.selection().property().get().isEmpty();
        List<Photo> meant = all ? session.going().listed() : session.selection().adjusted();
        return meant.stream()
                .filter(Photo::isReadable)
                .filter(photo -> session.framing(photo).marks().isEmpty())
                .filter(photo -> !all || !session.framing(photo).setAside())
                .toList();
    }

    /** Looks for subjects in {@link #searchable} photos, on as many threads as there are cores. */
    public void suggest() {
        List<Photo> photos = searchable();
        long mine = ++latest;
        search.set(photos.isEmpty() ? Optional.empty() : Optional.of(new Search(0, photos.size())));
        Shoot shoot = session.shoot();
        searching.stop();
        searching = AllCores.begin(
                photos.size(),
                place -> {
                    Photo photo = photos.get(place);
                    Optional<Suggestion> found = find(shoot, photo);
                    fx.execute(() -> found(mine, photo, found));
                },
                work);
    }

    private static Optional<Suggestion> find(Shoot shoot, Photo photo) {
        try {
            return MarkSuggester.suggest(shoot, photo);
        } catch (UnreadablePhotoException unreadable) {
            return Optional.empty(); // the photo itself says so
        } catch (RuntimeException refused) { // native code's own; one photo's trouble stops no search
            LOG.warn("No subject was looked for in {}", photo.file(), refused);
            return Optional.empty();
        }
    }

    private void found(long request, Photo photo, Optional<Suggestion> suggestion) {
        if (request != latest) {
            return;
        }
        suggestion.ifPresent(found -> {
            Map<Photo, Suggestion> more = new LinkedHashMap<>(proposals.get());
            more.put(photo, found);
            proposals.set(more);
        });
        search.set(
                search.get().map(now -> new Search(now.done() + 1, now.all())).filter(now -> now.done() < now.all()));
    }

    /** Makes all proposals marks, as one step. */
    public void accept() {
        Map<Photo, Suggestion> accepted = proposals.get();
        decline();
        accept(accepted);
    }

    /** Makes one photo's proposal its marks. */
    public void accept(Photo photo) {
        Optional<Suggestion> accepted = Optional.ofNullable(proposals.get().get(photo));
        decline(photo);
        accepted.ifPresent(suggestion -> accept(Map.of(photo, suggestion)));
    }

    private void accept(Map<Photo, Suggestion> accepted) {
        if (session.shoot().mayEdit()) {
            List<FramingChange> changes = new ArrayList<>();
            accepted.forEach((photo, suggestion) -> {
                Framing before = session.shoot().framing(photo);
                changes.add(new FramingChange(photo.id(), before, suggestion.on(before)));
            });
            session.shoot().apply(new Edit("edit.mark.accept", changes, null));
        }
    }

    /** Forgets one photo's proposal. */
    public void decline(Photo photo) {
        Map<Photo, Suggestion> fewer = new LinkedHashMap<>(proposals.get());
        fewer.remove(photo);
        proposals.set(fewer);
    }

    /** Forgets all proposals and stops looking for more. */
    public void decline() {
        latest++;
        searching.stop();
        search.set(Optional.empty());
        proposals.set(Map.of());
    }
}
