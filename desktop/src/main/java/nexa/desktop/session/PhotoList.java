package nexa.desktop.session;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoFilter;
import nexa.shoot.review.PhotoGroup;
import nexa.shoot.review.PhotoGrouping;
import nexa.shoot.review.PhotoOrder;

/** The photos one is going through: those that the filter lets through, in the chosen order, and the current one. */
public final class PhotoList {
    private final Session session;
    private final ObjectProperty<PhotoFilter> filter = new SimpleObjectProperty<>(PhotoFilter.ALL);
    private final ObjectProperty<PhotoOrder> order = new SimpleObjectProperty<>(PhotoOrder.NAME);
    private final ObjectProperty<PhotoGrouping> grouping = new SimpleObjectProperty<>(PhotoGrouping.NONE);
    private final ReadOnlyObjectWrapper<List<PhotoGroup>> groups = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<List<Photo>> photos;
    private Map<Photo, List<Photo>> alike = Map.of();
    private Map<Photo, Integer> places;
    private Optional<Photo> kept = Optional.empty();

    PhotoList(Session session) {
        this.session = session;
        this.photos = new ReadOnlyObjectWrapper<>(session.shoot().photos());
        this.places = places(session.shoot().photos());
    }

    /** Called once the session stands. */
    void follow() {
        filter.subscribe((before, now) -> filtered());
        Follow.each(
                this::refresh,
                order,
                grouping,
                session.formatProperty(),
                session.photoProperty(), // one that stayed only as the current one may go now
                session.editsProperty());
    }

    public ObjectProperty<PhotoFilter> filterProperty() {
        return filter;
    }

    public ObjectProperty<PhotoOrder> orderProperty() {
        return order;
    }

    public ObjectProperty<PhotoGrouping> groupingProperty() {
        return grouping;
    }

    /** The photos as they are put together, in their order. */
    public ReadOnlyObjectProperty<List<PhotoGroup>> groupsProperty() {
        return groups.getReadOnlyProperty();
    }

    /** Tells which photos are nearly the same: each with those like it, itself among them. */
    public void compared(Map<Photo, List<Photo>> found) {
        alike = Map.copyOf(found);
        refresh();
    }

    public ReadOnlyObjectProperty<List<Photo>> photosProperty() {
        return photos.getReadOnlyProperty();
    }

    public List<Photo> photos() {
        return photos.get();
    }

    public boolean isFiltered() {
        return !filter.get().equals(PhotoFilter.ALL);
    }

    /** Another filter shows only what it says: where the current photo is not among it, the next one that is takes its place. */
    private void filtered() {
        Shoot shoot = session.shoot();
        Optional<Photo> current = session.photo();
        kept = Optional.empty();
        refresh();
        if (current.isPresent() && !photos.get().isEmpty() && !photos.get().contains(current.get())) {
            List<Photo> all = order.get().sort(shoot, shoot.photos(), session.format());
            session.choose(nextOf(all, all.indexOf(current.get())));
        }
    }

    private Photo nextOf(List<Photo> all, int place) {
        return all.stream()
                .skip(place + 1L)
                .filter(places::containsKey)
                .findFirst()
                .orElse(photos.get().getFirst());
    }

    /** The photos that the filter lets through now, without one that stays only as the current one. */
    List<Photo> matching() {
        return isFiltered()
                ? photos.get().stream()
                        .filter(photo -> filter.get().lets(session.shoot(), photo, session.format()))
                        .toList()
                : photos.get();
    }

    /**
     * A photo that the filter let through and that an edit takes out of it stays until another is chosen, so that nothing
     * is pulled away under one's hands.
     */
    void refresh() {
        Shoot shoot = session.shoot();
        Optional<Format> format = session.format();
        PhotoFilter now = filter.get();
        List<Photo> all = shoot.photos();
        if (isFiltered()) {
            Optional<Photo> current = session.photo();
            Optional<Photo> stays = kept.filter(photo -> current.equals(kept));
            all = all.stream()
                    .filter(photo -> stays.filter(photo::equals).isPresent() || now.lets(shoot, photo, format))
                    .toList();
            kept = current.filter(all::contains);
        }
        groups.set(grouping.get().groups(shoot, order.get().sort(shoot, all, format), alike));
        List<Photo> sorted = inOneLine(groups.get());
        if (!sorted.equals(photos.get())) {
            places = places(sorted);
            photos.set(sorted);
        }
    }

    /** Every edit asks for it, of ten thousand photos too: those that are not put together are not gone through. */
    private static List<Photo> inOneLine(List<PhotoGroup> groups) {
        return groups.size() == 1
                ? groups.getFirst().photos()
                : groups.stream().flatMap(group -> group.photos().stream()).toList();
    }

    /** The photo so many places on, staying at the ends; empty if there is none. */
    static Optional<Photo> from(List<Photo> order, Photo photo, int by) {
        return order.isEmpty()
                ? Optional.empty()
                : Optional.of(order.get(Math.clamp((long) order.indexOf(photo) + by, 0, order.size() - 1)));
    }

    /** The next photo, going round, whose frame in the active format nobody checked and that is not set aside. */
    Optional<Photo> nextUnchecked() {
        List<Photo> now = photos.get();
        int from = session.photo().map(now::indexOf).orElse(-1);
        for (int i = 1; i <= now.size(); i++) {
            Photo photo = now.get(Math.floorMod(from + i, now.size()));
            if (photo.isReadable() && isUnchecked(photo)) {
                return Optional.of(photo);
            }
        }
        return Optional.empty();
    }

    private boolean isUnchecked(Photo photo) {
        return !session.framing(photo).setAside()
                && session.format()
                        .filter(format -> session.framing(photo).state(format) != FrameState.CHECKED)
                        .isPresent();
    }

    /** The photo before (-1) or behind (1) the current one. */
    public Optional<Photo> beside(int side) {
        int index = place() + side;
        return index >= 0 && index < photos().size() ? Optional.of(photos().get(index)) : Optional.empty();
    }

    /** Where the current photo stands; -1 if nowhere. */
    public int place() {
        return session.photo().map(photo -> places.getOrDefault(photo, -1)).orElse(-1);
    }

    /** The photos of a set in this order. */
    List<Photo> ordered(Set<Photo> some) {
        return some.stream()
                .filter(places::containsKey)
                .sorted(Comparator.comparing(places::get))
                .toList();
    }

    private static Map<Photo, Integer> places(List<Photo> photos) {
        Map<Photo, Integer> places = new HashMap<>();
        photos.forEach(photo -> places.put(photo, places.size()));
        return places;
    }
}
