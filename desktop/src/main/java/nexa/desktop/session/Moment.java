package nexa.desktop.session;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Why;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.review.Warning;
import nexa.core.space.PhotoSpace;
import nexa.shoot.photo.Photo;

/**
 * What is current at one moment, and all that follows from it: made once for each change, after which views only read.
 *
 * @param photo the current one; empty only in an empty folder
 * @param framing what is asked of it, a gesture that still goes on included
 * @param format the active one; empty only if the brief is
 * @param space the photo's; empty if there is none or it is unreadable
 * @param frames the photo's in each format of the brief, in level space, by the format's id
 * @param crop what holds the photo's frame in the active format, or one that would be the derived frame
 * @param warnings what may be wrong with the frame in the active format
 */
public record Moment(
        Optional<Photo> photo,
        Framing framing,
        Brief brief,
        Optional<Format> format,
        Optional<PhotoSpace> space,
        Map<Integer, Frame> frames,
        Optional<Crop> crop,
        Set<Warning> warnings) {

    /** Why the frame lies where it does. */
    public Optional<Why> why() {
        return space.flatMap(
                held -> frame().flatMap(frame -> format.map(of -> Derivation.why(held, framing, of, brief, frame))));
    }

    /** Derives what follows. */
    static Moment of(Optional<Photo> photo, Framing framing, Brief brief, Optional<Format> format) {
        Optional<PhotoSpace> space =
                photo.flatMap(Photo::facts).map(facts -> new PhotoSpace(facts.asShot(), framing.pose()));
        Map<Integer, Frame> frames = new HashMap<>();
        space.ifPresent(of ->
                brief.formats().forEach(each -> frames.put(each.id(), Derivation.frame(of, framing, each, brief))));
        Optional<Frame> frame = format.map(active -> frames.get(active.id()));
        return new Moment(
                photo,
                framing,
                brief,
                format,
                space,
                Map.copyOf(frames),
                frame.map(derived -> framing.crop(format.orElseThrow())
                        .orElseGet(() -> new Crop(space.orElseThrow().toAsShot(derived)))),
                frame.map(derived -> Warning.of(space.orElseThrow(), framing, format.orElseThrow(), derived))
                        .orElse(Set.of()));
    }

    /** The photo's frame in the active format. */
    public Optional<Frame> frame() {
        return format.flatMap(this::frame);
    }

    /** The photo's frame in a format; also in one that is not in the brief. */
    public Optional<Frame> frame(Format of) {
        boolean known = brief.formats().contains(of);
        return known
                ? Optional.ofNullable(frames.get(of.id()))
                : space.map(photos -> Derivation.frame(photos, framing, of, brief));
    }

    /** Size as shot of the photo. */
    public Optional<PixelSize> asShot() {
        return space.map(PhotoSpace::asShot);
    }

    Moment with(Framing asked) {
        return asked == framing ? this : of(photo, asked, brief, format);
    }

    Moment with(Optional<Format> active) {
        return of(photo, framing, brief, active);
    }

    boolean shows(Photo other) {
        return photo.filter(other::equals).isPresent();
    }
}
