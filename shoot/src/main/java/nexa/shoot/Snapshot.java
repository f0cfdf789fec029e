package nexa.shoot;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.shoot.photo.Photo;

/**
 * What a shoot's photos are asked for at one moment, between two edits; later edits change nothing of it.
 *
 * @param framings by photo id; a photo without one is untouched
 */
public record Snapshot(Brief brief, List<Photo> photos, Map<Long, Framing> framings) {
    public Snapshot {
        photos = List.copyOf(photos);
        framings = Map.copyOf(framings);
    }

    public Framing framing(Photo photo) {
        return framings.getOrDefault(photo.id(), Framing.UNTOUCHED);
    }

    /** The photo's frame in a format, in level space; empty if it is unreadable. */
    public Optional<Frame> frame(Photo photo, Format format) {
        return frame(photo, framing(photo), format);
    }

    /** The same if this were asked of the photo. */
    public Optional<Frame> frame(Photo photo, Framing framing, Format format) {
        return photo.facts().map(facts -> Derivation.frame(facts.asShot(), framing, format, brief));
    }
}
