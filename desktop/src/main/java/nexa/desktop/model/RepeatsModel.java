package nexa.desktop.model;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.desktop.session.Session;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoGrouping;
import nexa.shoot.review.Repeats;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Which photos are nearly the same. Looked for once, when first asked for; until then there are none. */
public final class RepeatsModel {
    /**
     * A photo's place among those like it.
     *
     * @param place from 1
     * @param sharpest whether it is clearly the sharpest of them
     */
    public record Place(List<Photo> group, int place, boolean sharpest) {}

    private static final Logger LOG = LoggerFactory.getLogger(RepeatsModel.class);

    private final Session session;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Map<Photo, Place>> places = new ReadOnlyObjectWrapper<>(Map.of());
    private final ReadOnlyObjectWrapper<Boolean> searching = new ReadOnlyObjectWrapper<>(false);
    private boolean asked;
    private boolean selecting;

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public RepeatsModel(Session session, Executor work, Executor fx) {
        this.session = session;
        this.work = work;
        this.fx = fx;
        session.list().groupingProperty().subscribe(grouping -> {
            if (grouping == PhotoGrouping.ALIKE) {
                find();
            }
        });
    }

    public ReadOnlyObjectProperty<Map<Photo, Place>> placesProperty() {
        return places.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Boolean> searchingProperty() {
        return searching.getReadOnlyProperty();
    }

    public Optional<Place> of(Photo photo) {
        return Optional.ofNullable(places.get().get(photo));
    }

    /** Whether they were looked for. */
    public boolean isFound() {
        return asked && !searching.get();
    }

    /** Looks for near-repeats, if that was not done yet. */
    public void find() {
        if (!asked) {
            asked = true;
            searching.set(true);
            CompletableFuture.supplyAsync(() -> Repeats.find(session.shoot()), work)
                    .handleAsync(
                            (groups, failure) -> {
                                if (failure != null) {
                                    LOG.warn("Near-repeats were not looked for", failure);
                                    asked = false; // another time they may be found
                                }
                                show(groups == null ? List.of() : groups);
                                return groups;
                            },
                            fx);
        }
    }

    private void show(List<Repeats.Group> groups) {
        Map<Photo, Place> found = new HashMap<>();
        for (Repeats.Group group : groups) {
            for (int i = 0; i < group.photos().size(); i++) {
                Photo photo = group.photos().get(i);
                boolean sharpest = group.sharpest().filter(photo::equals).isPresent();
                found.put(photo, new Place(group.photos(), i + 1, sharpest));
            }
        }
        places.set(Map.copyOf(found));
        session.list()
                .compared(found.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, each -> each.getValue()
                        .group())));
        searching.set(false);
        if (selecting) {
            select();
        }
    }

    /** Selects the current photo with those like it, as soon as they are found. */
    public void select() {
        selecting = !isFound();
        find();
        session.photo()
                .flatMap(this::of)
                .ifPresent(place -> session.selection().property().set(Set.copyOf(place.group())));
    }
}
