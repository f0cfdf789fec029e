package nexa.core.carry;

import java.util.EnumSet;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Pose;

/**
 * Parts of one photo's crop in one format, to be taken to others. A place is carried as fractions of the photo's own
 * width and height from its centre, so that "a third from the left" stays that on a photo of another shape; a size is
 * carried in long edges, so that a subject taken from the same distance stays as large.
 *
 * @param asShot the size of the photo carried from
 * @param framing what is asked of it
 */
public record Carry(PixelSize asShot, Framing framing, Format format, Brief brief, Set<Part> parts, Opposite opposite) {
    /** Differences below this, in long edges, are rounding. */
    private static final double SAME = 1e-9;

    public Carry {
        parts = Set.copyOf(parts);
    }

    /** What the carry makes of a photo of the given size. */
    public Carried to(PixelSize targetAsShot, Framing target) {
        PhotoSpace held = new PhotoSpace(targetAsShot, pose(target.pose()));
        boolean across = liesAcross(held);
        if (across && opposite == Opposite.SKIP) {
            return new Carried(target, Set.of(Loss.LEFT_ALONE));
        }
        Framing posed = target.with(held.pose());
        if (!parts.contains(Part.SHAPE) && !parts.contains(Part.PLACE)) {
            return new Carried(posed, Set.of());
        }
        Crop source = crop(asShot, framing);
        Crop own = crop(targetAsShot, posed);
        Frame wish = wish(held, own.wish(), across && opposite == Opposite.TURN);
        Crop carried = parts.contains(Part.SHAPE)
                ? new Crop(wish, source.ownShape(), source.outside(), false)
                : own.withWish(wish);
        Framing after = posed.with(format, carried);
        return new Carried(after, losses(held, wish, after));
    }

    private Pose pose(Pose target) {
        Pose source = framing.pose();
        Pose turned = parts.contains(Part.TURN) ? new Pose(source.turn(), target.tilt()) : target;
        return parts.contains(Part.TILT) ? turned.withTilt(source.tilt()) : turned;
    }

    /** Square photos lie either way. */
    private boolean liesAcross(PhotoSpace target) {
        Orientation from = space().upright().orientation();
        Orientation to = target.upright().orientation();
        return from != Orientation.SQUARE && to != Orientation.SQUARE && from != to;
    }

    private PhotoSpace space() {
        return new PhotoSpace(asShot, framing.pose());
    }

    private Crop crop(PixelSize photo, Framing of) {
        return Derivation.crop(photo, of, format, brief);
    }

    /** The wish of the photo carried to, as it is remembered. */
    private Frame wish(PhotoSpace target, Frame own, boolean turned) {
        Frame source = space().pose().turn().apply(crop(asShot, framing).wish());
        Frame kept = target.pose().turn().apply(own);
        Point centre = parts.contains(Part.PLACE) ? place(source.centre(), target) : kept.centre();
        Frame size = parts.contains(Part.SHAPE) ? source : kept;
        Frame upright = turned && parts.contains(Part.SHAPE)
                ? Frame.around(centre, size.height(), size.width())
                : Frame.around(centre, size.width(), size.height());
        return target.pose().turn().inverse().apply(upright);
    }

    /** The same fractions of the other photo, along the photos' own axes. */
    private Point place(Point centre, PhotoSpace target) {
        Outline from = space().outline();
        Outline to = target.outline();
        return new Point(
                centre.x() / from.halfWidth() * to.halfWidth(), centre.y() / from.halfHeight() * to.halfHeight());
    }

    private Set<Loss> losses(PhotoSpace space, Frame wish, Framing after) {
        Frame asked = space.fromAsShot(wish);
        Frame shaped =
                Derivation.shaped(space, asked, after.crop(format).orElseThrow().held(format));
        Frame frame = Derivation.frame(space.asShot(), after, format, brief);
        EnumSet<Loss> losses = EnumSet.noneOf(Loss.class);
        if (frame.width() < shaped.width() - SAME) {
            losses.add(Loss.SMALLER);
        }
        if (frame.centre().distance(shaped.centre()) > SAME) {
            losses.add(Loss.MOVED);
        }
        return losses;
    }
}
