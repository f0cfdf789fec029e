package nexa.desktop.session;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.shoot.Framings;
import nexa.shoot.photo.Photo;

/** Holds the {@link Moment}; the one place where it changes, and once for each change. */
final class Current {
    private final Framings framings;
    private final ReadOnlyObjectWrapper<Moment> moment;
    private final ReadOnlyObjectWrapper<Map<Photo, Framing>> previews = new ReadOnlyObjectWrapper<>(Map.of());

    Current(Framings framings) {
        this.framings = framings;
        this.moment = new ReadOnlyObjectWrapper<>(
                Moment.of(Optional.empty(), Framing.UNTOUCHED, framings.brief(), Optional.empty()));
    }

    ReadOnlyObjectProperty<Moment> momentProperty() {
        return moment.getReadOnlyProperty();
    }

    Moment moment() {
        return moment.get();
    }

    /** What a gesture over several photos leads to, not stored yet. */
    ReadOnlyObjectProperty<Map<Photo, Framing>> previewsProperty() {
        return previews.getReadOnlyProperty();
    }

    /** What is asked of any photo; of the current one and of those in a gesture, that gesture included. */
    Framing framing(Photo of) {
        return moment().shows(of) ? moment().framing() : previewed(of);
    }

    private Framing previewed(Photo of) {
        Framing shown = previews.get().get(of);
        return shown == null ? framings.framing(of) : shown;
    }

    void choose(Photo photo) {
        moment.set(moment().showing(photo, previewed(photo)));
    }

    /** Puts photos in place of what they were before their files were read anew; a gesture goes on. */
    void replace(Map<Long, Photo> byId) {
        Map<Photo, Framing> shown = new LinkedHashMap<>();
        previews.get().forEach((photo, framing) -> shown.put(byId.getOrDefault(photo.id(), photo), framing));
        previews.set(Collections.unmodifiableMap(shown));
        moment().photo()
                .flatMap(known -> Optional.ofNullable(byId.get(known.id())))
                .ifPresent(this::replace);
    }

    private void replace(Photo anew) {
        Framing shown = moment().framing().unseen().knowing(framings.framing(anew));
        moment.set(moment().showing(anew, shown));
    }

    /** Whether something is shown that is not stored. */
    boolean isGestureOn() {
        return !previews.get().isEmpty()
                || moment().photo()
                        .filter(photo -> !moment().framing().asksTheSame(framings.framing(photo)))
                        .isPresent();
    }

    /** Tells at once and whenever another photo is current; not when its file was only read anew. */
    Subscription onOther(Runnable told) {
        told.run();
        return moment.subscribe((before, now) -> {
            if (!now.isStill(before)) {
                told.run();
            }
        });
    }

    void choose(Optional<Format> format) {
        moment.set(moment().with(format));
    }

    /** Shows what a gesture leads to, without storing it. */
    void preview(Framing gesture) {
        moment.set(moment().with(gesture));
    }

    /** The same over several photos. */
    void preview(Map<Photo, Framing> shown) {
        previews.set(shown);
        moment().photo().ifPresent(photo -> preview(previewed(photo)));
    }

    /** Shows what is stored. */
    void abandon() {
        moment().photo().ifPresent(photo -> preview(framings.framing(photo)));
    }

    /** Shows what is known of the photo now; a gesture goes on. */
    void saw() {
        moment().photo().ifPresent(photo -> preview(moment().framing().knowing(framings.framing(photo))));
    }

    /** Shows what is stored now, with the same format if the brief still has it. */
    void refresh() {
        Brief brief = framings.brief();
        Optional<Format> format = moment().format()
                .flatMap(active -> brief.find(active.id()))
                .or(() -> brief.formats().stream().findFirst());
        Optional<Photo> photo = moment().photo();
        moment.set(Moment.of(photo, photo.map(framings::framing).orElse(Framing.UNTOUCHED), brief, format));
    }
}
