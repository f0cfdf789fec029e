package nexa.desktop.session;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import nexa.shoot.photo.Photo;

/** The photos chosen together on the Wall; none if it is only the current one. */
public final class Selection {
    /** What it needs of what is around it. */
    interface Around {
        /** The photos of a set, in the order in which one goes through them. */
        List<Photo> ordered(Set<Photo> some);

        /** The current one, if there is one. */
        List<Photo> current();

        /** The photos one is going through. */
        List<Photo> listed();

        MainView view();
    }

    private final Around around;
    private final ObjectProperty<Set<Photo>> photos = new SimpleObjectProperty<>(Set.of());

    /** Of the photo that was selected last by itself; 0 if none was. */
    private long last;

    Selection(Around around) {
        this.around = around;
    }

    public ObjectProperty<Set<Photo>> property() {
        return photos;
    }

    public Set<Photo> photos() {
        return photos.get();
    }

    /** The selection in the order in which one goes through it, or the current photo if nothing is selected. */
    public List<Photo> chosen() {
        return photos().isEmpty() ? around.current() : around.ordered(photos());
    }

    /** The photos that an adjustment is for: on the Bench the current one, elsewhere all chosen ones. */
    public List<Photo> adjusted() {
        return around.view() == MainView.BENCH ? around.current() : chosen();
    }

    /** Whether an adjustment is of several photos. */
    public boolean isOfSeveral() {
        return around.view() != MainView.BENCH && photos().size() > 1;
    }

    /** Selects the current photo too, or no longer; nothing on the Bench, where no selection shows. */
    public void toggle() {
        current().ifPresent(photo -> {
            Set<Photo> other = new HashSet<>(photos());
            if (!other.remove(photo)) {
                other.add(photo);
            }
            last = photo.id();
            photos.set(Set.copyOf(other));
        });
    }

    /** Selects all photos from the one that was selected last to the current one too. */
    public void selectTo() {
        current().ifPresent(photo -> {
            Set<Photo> more = new HashSet<>(photos());
            more.addAll(between(photo));
            photos.set(Set.copyOf(more));
        });
    }

    private Optional<Photo> current() {
        return around.view() == MainView.BENCH
                ? Optional.empty()
                : around.current().stream().findFirst();
    }

    private List<Photo> between(Photo current) {
        List<Photo> listed = around.listed();
        List<Long> ids = listed.stream().map(Photo::id).toList();
        int to = ids.indexOf(current.id());
        int from = ids.indexOf(last);
        return from < 0 || to < 0 ? List.of(current) : listed.subList(Math.min(from, to), Math.max(from, to) + 1);
    }

    /** Selects all photos one is going through. */
    public void selectAll() {
        photos.set(Set.copyOf(around.listed()));
    }

    /** Puts photos in place of what they were before their files changed. */
    void replace(Map<Long, Photo> byId) {
        photos.set(photos().stream()
                .map(chosen -> byId.getOrDefault(chosen.id(), chosen))
                .collect(Collectors.toSet()));
    }
}
