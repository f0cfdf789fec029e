package nexa.shoot.handover.request;

import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.shoot.photo.Photo;

/**
 * Which of a shoot's crops are delivered. Photos set aside never are.
 *
 * @param photos ids of those that are; empty = all
 * @param checkedOnly whether only crops that somebody checked are
 */
public record Scope(Optional<Set<Long>> photos, boolean checkedOnly) {
    public static final Scope ALL = new Scope(Optional.empty(), false);
    public static final Scope CHECKED = new Scope(Optional.empty(), true);

    public Scope {
        photos = photos.map(Set::copyOf);
    }

    public static Scope of(Collection<Photo> photos) {
        return new Scope(Optional.of(photos.stream().map(Photo::id).collect(Collectors.toSet())), false);
    }

    /** Whether any crop of a photo may be. */
    public boolean takes(Photo photo) {
        return photos.map(ids -> ids.contains(photo.id())).orElse(true);
    }

    /** Whether a photo's crop in a format is, if the photo is. */
    public boolean takes(Framing framing, Format format) {
        return !checkedOnly || framing.state(format) == FrameState.CHECKED;
    }
}
