package nexa.desktop.session;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.carry.Change;
import nexa.core.carry.Together;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;

/**
 * Adjusting the chosen photos by the same relative change. Changes add up from how the photos were when it began, as
 * long as nothing else is done, so going back all the way restores every photo, also those that could not follow.
 */
public final class TogetherModel {
    /** What the changes count from, and what came of them. */
    private record Run(Format format, Map<Photo, Framing> starts, Change total, Map<Photo, Framing> now) {}

    private final Session session;
    private Optional<Run> done = Optional.empty();
    private Optional<Run> shown = Optional.empty();

    TogetherModel(Session session) {
        this.session = session;
    }

    /** Whether an adjustment now is one of several photos. */
    public boolean isOn() {
        return session.selection().isOfSeveral();
    }

    /** Changes all chosen photos; small steps one after another are one step back. */
    public void add(Change change) {
        preview(change);
        commit();
    }

    /** Shows what a gesture leads to, without storing it. */
    public void preview(Change sinceBegun) {
        shown = begin().map(run -> changed(run, run.total().and(sinceBegun)));
        shown.ifPresent(run -> session.gestures().showPreviews(run.now()));
    }

    /** Makes what is shown one edit. */
    public void commit() {
        shown.ifPresent(run -> {
            List<FramingChange> changes = new ArrayList<>();
            run.now()
                    .forEach((photo, framing) -> changes.add(
                            new FramingChange(photo.id(), session.shoot().framing(photo), framing)));
            done = shown;
            shown = Optional.empty();
            session.shoot().apply(new Edit("edit.together", changes, null));
        });
        session.gestures().showPreviews(Map.of());
    }

    /** Shows what is stored again. */
    public void abandon() {
        shown = Optional.empty();
        session.gestures().showPreviews(Map.of());
    }

    private Run changed(Run run, Change total) {
        Together together = new Together(run.format(), session.brief());
        Map<Photo, Framing> now = new LinkedHashMap<>();
        run.starts()
                .forEach((photo, start) -> now.put(
                        photo, together.apply(photo.facts().orElseThrow().asShot(), start, total)));
        return new Run(run.format(), run.starts(), total, now);
    }

    /** Goes on with what was done if the photos are as that left them; else begins anew. */
    private Optional<Run> begin() {
        List<Photo> photos = session.selection().adjusted().stream()
                .filter(Photo::isReadable)
                .toList();
        Optional<Format> format = session.format();
        if (photos.isEmpty() || format.isEmpty() || !session.shoot().mayEdit()) {
            return Optional.empty();
        }
        return done.filter(run -> run.format().equals(format.get()) && isAsLeft(run, photos))
                .or(() -> Optional.of(begun(format.get(), photos)));
    }

    private boolean isAsLeft(Run run, List<Photo> photos) {
        return run.now().keySet().equals(Set.copyOf(photos))
                && photos.stream()
                        .allMatch(photo ->
                                session.shoot().framing(photo) == run.now().get(photo));
    }

    private Run begun(Format format, List<Photo> photos) {
        Map<Photo, Framing> starts = new LinkedHashMap<>();
        photos.forEach(photo -> starts.put(photo, session.shoot().framing(photo)));
        return new Run(format, starts, Change.NONE, starts);
    }
}
