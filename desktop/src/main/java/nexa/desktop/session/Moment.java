package nexa.desktop.session;

import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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
 * @param frames the photo's in each format, in level space; none if it has no space
 * @param crop what holds the photo's frame in the active format, or one that would be the derived frame
 * @param warnings what may be wrong with the frame in the active format
 */
public record Moment(
        Optional<Photo> photo,
        Framing framing,
        Brief brief,
        Optional<Format> format,
        Optional<PhotoSpace> space,
        Function<Format, Optional<Frame>> frames,
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
        Optional<Frames> derived = space.map(of -> new Frames(of, framing, brief));
        Function<Format, Optional<Frame>> frames = each -> derived.map(known -> known.in(each));
        Optional<Frame> frame = format.flatMap(frames);
        return new Moment(
                photo,
                framing,
                brief,
                format,
                space,
                frames,
                frame.map(held -> framing.crop(format.orElseThrow())
                        .orElseGet(() -> new Crop(space.orElseThrow().toAsShot(held)))),
                frame.map(held -> Warning.of(space.orElseThrow(), framing, format.orElseThrow(), held))
                        .orElse(Set.of()));
    }

    /** The photo's frame in the active format. */
    public Optional<Frame> frame() {
        return format.flatMap(this::frame);
    }

    /** The photo's frame in a format; also in one that is not in the brief. */
    public Optional<Frame> frame(Format of) {
        return frames.apply(of);
    }

    /** Size as shot of the photo. */
    public Optional<PixelSize> asShot() {
        return space.map(PhotoSpace::asShot);
    }

    /**
     * What would be current if another photo were.
     *
     * @param asked of that photo
     */
    public Moment showing(Photo other, Framing asked) {
        return of(Optional.of(other), asked, brief, format);
    }

    Moment with(Framing asked) {
        return asked == framing ? this : of(photo, asked, brief, format);
    }

    Moment with(Optional<Format> active) {
        return of(photo, framing, brief, active);
    }

    /** Whether it is of the photo of an earlier one, if that was read anew meanwhile. */
    boolean isStill(Moment before) {
        return photo.equals(before.photo)
                || photo.flatMap(now -> before.photo.filter(now::isStill)).isPresent();
    }

    boolean shows(Photo other) {
        return photo.filter(other::equals).isPresent();
    }
}
