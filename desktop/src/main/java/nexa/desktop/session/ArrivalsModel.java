package nexa.desktop.session;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.shoot.photo.Photo;

/** What happens when photos arrive while the shoot is open. */
public final class ArrivalsModel {
    private final Session session;
    private final ReadOnlyObjectWrapper<Set<Photo>> fresh = new ReadOnlyObjectWrapper<>(Set.of());

    ArrivalsModel(Session session) {
        this.session = session;
    }

    /** Called once the session stands. */
    void follow() {
        session.photoProperty().subscribe(photo -> photo.ifPresent(this::seen));
    }

    /** The photos that arrived and were not looked at yet. */
    public ReadOnlyObjectProperty<Set<Photo>> freshProperty() {
        return fresh.getReadOnlyProperty();
    }

    private void seen(Photo photo) {
        if (fresh.get().contains(photo)) {
            Set<Photo> left = new HashSet<>(fresh.get());
            left.remove(photo);
            fresh.set(Set.copyOf(left));
        }
    }

    /**
     * Deals with photos that the shoot took in.
     *
     * @param before the photos until then
     */
    void arrived(List<Photo> photos, List<Photo> before) {
        Set<Long> known = before.stream().map(Photo::id).collect(Collectors.toSet());
        List<Photo> added =
                photos.stream().filter(photo -> !known.contains(photo.id())).toList();
        Set<Photo> all = new HashSet<>(fresh.get());
        all.addAll(added);
        fresh.set(Set.copyOf(all));
        if (session.settings().carryToArrivalsProperty().get()) {
            session.carry().inherit(added);
        }
        boolean follows = session.settings().followArrivalsProperty().get() && !session.isGestureOn();
        if (session.photo().isEmpty() || follows) {
            newest(added).ifPresent(session::choose);
        }
    }

    private static Optional<Photo> newest(List<Photo> added) {
        return added.isEmpty() ? Optional.empty() : Optional.of(added.getLast());
    }
}
