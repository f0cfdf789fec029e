package nexa.shoot;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.review.Warning;
import nexa.core.sight.Sight;
import nexa.core.space.PhotoSpace;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.BriefChange;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.shoot.store.StoredPhoto;

/** What is asked of an open shoot's photos: the brief, and how each is framed. Changed on one thread; any thread may read. */
final class Asked {
    private final Map<Long, Framing> framings = new ConcurrentHashMap<>();
    private final WarningMemo warnings = new WarningMemo();

    /** Held while it changes. */
    private final Object changing = new Object();

    private volatile Brief brief;

    Asked(Brief brief, List<StoredPhoto> photos) {
        this.brief = brief;
        photos.forEach(each -> framings.put(each.photo().id(), each.framing()));
    }

    Brief brief() {
        return brief;
    }

    Framing framing(Photo photo) {
        return framings.getOrDefault(photo.id(), Framing.UNTOUCHED);
    }

    Optional<PhotoSpace> space(Photo photo) {
        return photo.facts()
                .map(facts -> new PhotoSpace(facts.asShot(), framing(photo).pose()));
    }

    Optional<Frame> frame(Photo photo, Format format) {
        return photo.facts().map(facts -> Derivation.frame(facts.asShot(), framing(photo), format, brief));
    }

    Set<Warning> warnings(Photo photo, Format format) {
        return photo.facts()
                .map(facts -> warnings.of(photo.id(), facts.asShot(), framing(photo), format, brief))
                .orElse(Set.of());
    }

    void take(Edit edit) {
        synchronized (changing) {
            BriefChange change = edit.brief();
            if (change != null) {
                brief = change.after();
            }
            for (FramingChange framing : edit.framings()) {
                framings.merge(framing.photo(), framing.after(), (before, after) -> after.knowing(before));
            }
        }
    }

    /** Of a photo that was read, perhaps anew: what is asked of it stays; what was seen of it may not be so any more. */
    void take(StoredPhoto read) {
        synchronized (changing) {
            framings.merge(
                    read.photo().id(),
                    read.framing(),
                    (asked, stored) -> stored.subject().sight().isPresent() ? asked : asked.unseen());
        }
    }

    /**
     * Takes note of what photos show.
     *
     * @return of it what is new: nobody had looked at those photos
     */
    Map<Photo, Sight> saw(Map<Photo, Sight> seen) {
        Map<Photo, Sight> news = new HashMap<>(seen);
        synchronized (changing) {
            news.keySet().removeIf(photo -> framing(photo).subject().sight().isPresent());
            news.forEach((photo, sight) -> {
                Framing before = framing(photo);
                framings.put(photo.id(), before.withSubject(before.subject().seen(sight)));
            });
        }
        return news;
    }

    /** The whole of an edit or nothing of it. */
    Snapshot snapshot(List<Photo> photos) {
        synchronized (changing) {
            return new Snapshot(brief, photos, framings);
        }
    }
}
