package nexa.desktop.model;

import java.util.EnumSet;
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
import nexa.core.lineup.Placing;
import nexa.desktop.session.Session;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoGrouping;
import nexa.shoot.review.RepeatGroup;
import nexa.shoot.review.RepeatGroup.Reason;
import nexa.shoot.review.Repeats;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Which photos are nearly the same. Looked for once, when first asked for; until then there are none. */
public final class RepeatsModel {
    /**
     * A photo's place among those like it.
     *
     * @param place from 1
     * @param best what makes it the best of them; empty if it is not, or nothing tells them apart
     */
    public record Place(RepeatGroup group, int place, Set<Reason> best) {}

    /** A smaller difference from the exemplar is not seen, in fractions of the frame. */
    private static final double SEEN = 0.01;

    /** Of the next one's: as near to the exemplar a photo must come to be named for it. */
    private static final double CLEARLY = 0.5;

    private static final Logger LOG = LoggerFactory.getLogger(RepeatsModel.class);

    private final Session session;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Map<Photo, RepeatGroup>> groups = new ReadOnlyObjectWrapper<>(Map.of());
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

    /** The photos that have others like them. */
    public ReadOnlyObjectProperty<Map<Photo, RepeatGroup>> groupsProperty() {
        return groups.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Boolean> searchingProperty() {
        return searching.getReadOnlyProperty();
    }

    /** Where a photo stands among those like it, as they are framed now. */
    public Optional<Place> of(Photo photo) {
        return Optional.ofNullable(groups.get().get(photo))
                .map(group -> new Place(
                        group,
                        group.photos().indexOf(photo) + 1,
                        best(group).filter(photo::equals).isPresent() ? reasons(group) : Set.of()));
    }

    private Optional<Photo> best(RepeatGroup group) {
        return group.left().size() == 1 ? Optional.of(group.left().getFirst()) : nearestToExemplar(group);
    }

    private static Set<Reason> reasons(RepeatGroup group) {
        Set<Reason> reasons = EnumSet.noneOf(Reason.class);
        reasons.addAll(group.reasons());
        if (group.left().size() > 1) {
            reasons.add(Reason.AS_EXEMPLAR);
        }
        return Set.copyOf(reasons);
    }

    private Optional<Photo> nearestToExemplar(RepeatGroup group) {
        Optional<Placing> exemplar =
                session.lineup().shownProperty().get().exemplar().flatMap(this::placing);
        if (exemplar.isEmpty()) {
            return Optional.empty();
        }
        Map<Photo, Double> off = new HashMap<>();
        group.left().forEach(photo -> placing(photo)
                .ifPresent(
                        placing -> off.put(photo, placing.from(exemplar.get()).amount())));
        List<Map.Entry<Photo, Double>> nearest =
                off.entrySet().stream().sorted(Map.Entry.comparingByValue()).toList();
        boolean clear = nearest.size() > 1
                && nearest.get(0).getValue() <= CLEARLY * nearest.get(1).getValue()
                && nearest.get(1).getValue() - nearest.get(0).getValue() > SEEN;
        return clear ? Optional.of(nearest.getFirst().getKey()) : Optional.empty();
    }

    private Optional<Placing> placing(Photo photo) {
        return session.format().flatMap(format -> photo.facts()
                .flatMap(facts ->
                        Placing.ofMarksOrSight(facts.asShot(), session.framing(photo), format, session.brief())));
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
                                    selecting = false; // which would look for them again at once
                                }
                                show(groups == null ? List.of() : groups);
                                return groups;
                            },
                            fx);
        }
    }

    private void show(List<RepeatGroup> found) {
        Map<Photo, RepeatGroup> byPhoto = new HashMap<>();
        found.forEach(group -> group.photos().forEach(photo -> byPhoto.put(photo, group)));
        groups.set(Map.copyOf(byPhoto));
        session.list()
                .compared(
                        byPhoto.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, each -> each.getValue()
                                .photos())));
        searching.set(false);
        if (selecting) {
            select();
        }
    }

    /** Selects the current photo with those like it, as soon as they are found. */
    public void select() {
        selecting = !isFound();
        find();
        session.photo().flatMap(this::of).ifPresent(place -> session.selection()
                .property()
                .set(Set.copyOf(place.group().photos())));
    }
}
