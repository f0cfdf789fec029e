package nexa.desktop.beside;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Beside;
import nexa.shoot.photo.Photo;

/** What is looked at side by side, and how closely. */
public final class SideBySide {
    /** One result. */
    public record Cell(Photo photo, Format format) {}

    private final Session session;
    private final ReadOnlyObjectWrapper<List<Cell>> cells = new ReadOnlyObjectWrapper<>(List.of());
    private final ObjectProperty<SharedZoom> zoom = new SimpleObjectProperty<>(SharedZoom.WHOLE);
    private final Subscription subscriptions;

    public SideBySide(Session session) {
        this.session = session;
        subscriptions = Subscription.combine(
                Follow.each(this::follow, session.photoProperty(), session.formatProperty(), session.briefProperty()),
                session.selection().property().subscribe((before, now) -> choose()),
                session.list().photosProperty().subscribe((before, now) -> choose()),
                whatProperty().subscribe((before, now) -> choose()));
    }

    public void dispose() {
        subscriptions.unsubscribe();
    }

    public ObjectProperty<Beside> whatProperty() {
        return session.settings().besideProperty();
    }

    public ReadOnlyObjectProperty<List<Cell>> cellsProperty() {
        return cells.getReadOnlyProperty();
    }

    public ObjectProperty<SharedZoom> zoomProperty() {
        return zoom;
    }

    public boolean isCurrent(Cell cell) {
        return session.photo().filter(cell.photo()::equals).isPresent()
                && session.format()
                        .filter(format -> format.id() == cell.format().id())
                        .isPresent();
    }

    /** Makes a result the current photo and format. */
    public void choose(Cell cell) {
        session.choose(cell.photo());
        session.choose(cell.format());
    }

    /** While one goes from one shown photo to another they stay; a photo beyond them shows those that follow it. */
    private void follow() {
        boolean shown = !what().isOfFormats()
                && session.photo()
                        .filter(photo -> cells.get().stream()
                                .anyMatch(cell -> cell.photo().equals(photo)))
                        .isPresent();
        List<Photo> photos = shown ? cells.get().stream().map(Cell::photo).toList() : photos();
        show(photos);
    }

    private void choose() {
        show(photos());
    }

    private void show(List<Photo> photos) {
        List<Cell> next = what().isOfFormats() ? formats() : inOneFormat(photos);
        if (!next.equals(cells.get())) {
            cells.set(next);
        }
    }

    private Beside what() {
        return whatProperty().get();
    }

    private List<Cell> inOneFormat(List<Photo> photos) {
        Optional<Format> format = session.format();
        return format.map(shown ->
                        photos.stream().map(photo -> new Cell(photo, shown)).toList())
                .orElse(List.of());
    }

    /** The selected ones if there are several, else the current one and those after it. */
    private List<Photo> photos() {
        List<Photo> chosen = session.selection().chosen();
        List<Photo> all = chosen.size() > 1 ? chosen : session.list().photos();
        List<Photo> readable = all.stream().filter(Photo::isReadable).toList();
        int current = Math.max(0, session.photo().map(readable::indexOf).orElse(0));
        int first = Math.max(0, Math.min(current, readable.size() - what().count()));
        return readable.subList(first, Math.min(readable.size(), first + what().count()));
    }

    /** The active format and those after it in the brief. */
    private List<Cell> formats() {
        List<Cell> found = new ArrayList<>();
        List<Format> formats = session.brief().formats();
        Optional<Photo> photo = session.photo().filter(Photo::isReadable);
        int active = Math.max(0, session.format().map(formats::indexOf).orElse(0));
        int first = Math.max(0, Math.min(active, formats.size() - what().count()));
        photo.ifPresent(of ->
                formats.stream().skip(first).limit(what().count()).forEach(format -> found.add(new Cell(of, format))));
        return List.copyOf(found);
    }
}
