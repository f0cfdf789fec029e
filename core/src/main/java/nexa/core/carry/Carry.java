package nexa.core.carry;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.geometry.Turn;
import nexa.core.mark.Composition;
import nexa.core.outline.Outline;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;

/**
 * Parts of one photo's crop in one format, to be taken to others. By place, a frame's centre is carried as fractions of
 * the photo's own width and height, so that "a third from the left" stays that on a photo of another shape, and its
 * size in long edges, so that a subject taken from the same distance stays as large. By marks, each photo's own marks
 * come to lie in the frame as they do here; two marks also give the frame's size and, if it is carried, the tilt.
 *
 * @param asShot the size of the photo carried from
 * @param framing what is asked of it
 */
public record Carry(
        PixelSize asShot, Framing framing, Format format, Brief brief, Set<Part> parts, Opposite opposite, By by) {
    public Carry {
        parts = Set.copyOf(parts);
    }

    /** The composition of the photo carried from; empty if it has no marks. */
    public Optional<Composition> composition() {
        List<Point> marks = framing.marks().in(space());
        return marks.isEmpty()
                ? Optional.empty()
                : Optional.of(Composition.of(Derivation.frame(asShot, framing, format, brief), marks));
    }

    /** What the carry makes of a photo of the given size, of whose lens and plumb it changes nothing. */
    public Carried to(PixelSize targetAsShot, Framing target) {
        return to(targetAsShot, target, target.pose().correction());
    }

    /**
     * What the carry makes of a photo of the given size.
     *
     * @param own what the correction carried comes to on that photo
     */
    public Carried to(PixelSize targetAsShot, Framing target, Correction own) {
        PhotoSpace held = new PhotoSpace(targetAsShot, corrected(pose(target.pose()), own));
        boolean across = liesAcross(held);
        if (across && opposite == Opposite.SKIP) {
            return new Carried(target, Set.of(Loss.LEFT_ALONE));
        }
        Optional<Composition> composed =
                composition().filter(c -> c.suits(target.marks().in(held)));
        if (byMarks() && composed.isEmpty()) {
            return new Carried(target, Set.of(Loss.NO_MARK));
        }
        Framing posed = overlaid(ruled(target)).withPose(held.pose());
        if (!parts.contains(Part.SHAPE) && !parts.contains(Part.PLACE)) {
            return new Carried(posed, Set.of());
        }
        boolean turned = across && opposite == Opposite.TURN;
        return byMarks() ? composed(held, posed, turned, composed.orElseThrow()) : placed(held, posed, turned);
    }

    private boolean byMarks() {
        return by == By.MARKS && parts.contains(Part.PLACE);
    }

    private Framing ruled(Framing target) {
        return parts.contains(Part.RULE) && composition().isPresent()
                ? target.withSubject(target.subject().ruled(composition()))
                : target;
    }

    private Framing overlaid(Framing target) {
        return parts.contains(Part.OVERLAY)
                ? framing.overlay().map(target::withOverlay).orElse(target)
                : target;
    }

    private Pose corrected(Pose target, Correction own) {
        Pose lensed = parts.contains(Part.LENS) ? target.withLens(own.lens()) : target;
        Pose lit = parts.contains(Part.NEUTRAL)
                ? lensed.withNeutral(framing.pose().neutral().carriedTo(target.neutral()))
                : lensed;
        return parts.contains(Part.PLUMB) ? lit.withPlumb(own.plumb()) : lit;
    }

    private Pose pose(Pose target) {
        Turn source = framing.pose().turn();
        Pose laid = target;
        if (parts.contains(Part.TURN)) {
            laid = laid.withTurn(new Turn(source.quarterTurns(), laid.turn().mirrored()));
        }
        if (parts.contains(Part.MIRROR) && laid.turn().mirrored() != source.mirrored()) {
            laid = laid.turned(Turn.MIRROR);
        }
        return parts.contains(Part.TILT) ? laid.withTilt(framing.pose().tilt()) : laid;
    }

    /** Square photos lie either way. */
    private boolean liesAcross(PhotoSpace target) {
        Orientation from = space().keptSize().orientation();
        Orientation to = target.keptSize().orientation();
        return from != Orientation.SQUARE && to != Orientation.SQUARE && from != to;
    }

    private PhotoSpace space() {
        return new PhotoSpace(asShot, framing.pose());
    }

    private Crop crop(PixelSize photo, Framing of) {
        return Derivation.crop(photo, of, format, brief);
    }

    // ---- by place ----

    private Carried placed(PhotoSpace held, Framing posed, boolean turned) {
        Crop own = crop(held.asShot(), posed);
        Frame wish = wish(held, own.wish(), turned);
        Framing after = posed.withCrop(format, carried(own, wish));
        return new Carried(after, losses(held, wish, after));
    }

    private Crop carried(Crop own, Frame wish) {
        Crop source = crop(asShot, framing);
        return parts.contains(Part.SHAPE)
                ? new Crop(wish, source.ownShape(), source.outside(), false, source.fill())
                : own.withWish(wish);
    }

    /** The wish of the photo carried to, as it is remembered. */
    private Frame wish(PhotoSpace target, Frame own, boolean turned) {
        Frame source = space().asShotToUpright(crop(asShot, framing).wish());
        Frame kept = target.asShotToUpright(own);
        Point centre = parts.contains(Part.PLACE) ? place(source.centre(), target) : kept.centre();
        Frame size = parts.contains(Part.SHAPE) ? source : kept;
        Frame upright = turned && parts.contains(Part.SHAPE)
                ? Frame.around(centre, size.height(), size.width())
                : Frame.around(centre, size.width(), size.height());
        return target.uprightToAsShot(upright);
    }

    /** The same fractions of the other photo, along the photos' own axes; of what is left of both where they are trimmed. */
    private Point place(Point centre, PhotoSpace target) {
        Frame from = space().kept();
        Frame to = target.kept();
        Point off = centre.minus(from.centre());
        Point there = new Point(off.x() / from.width() * to.width(), off.y() / from.height() * to.height());
        return there.plus(to.centre());
    }

    // ---- by marks ----

    private Carried composed(PhotoSpace held, Framing posed, boolean turned, Composition composition) {
        Crop own = crop(held.asShot(), posed);
        Frame size = held.fromAsShot(wish(held, own.wish(), turned));
        Format shape = carried(own, size).held(format);
        Frame shaped = Derivation.shaped(held, size, shape);
        Framing levelled = tilted(posed, held, composition, shaped.aspect());
        PhotoSpace space = new PhotoSpace(held.asShot(), levelled.pose());
        List<Point> marks = levelled.marks().in(space);
        boolean sized = parts.contains(Part.SHAPE);
        Frame exact = sized
                ? composition.frame(marks, shaped.aspect())
                : composition.about(marks, shaped.width(), shaped.height());
        Outline room = space.room(carried(own, size).outside());
        Frame possible = sized ? composition.frame(room, marks, shaped.aspect()) : exact;
        Framing after = levelled.withCrop(format, carried(own, space.toAsShot(possible)));
        Frame frame = Derivation.frame(held.asShot(), after, format, brief);
        return new Carried(after, losses(exact, possible, frame), composition.error(frame, marks));
    }

    private Framing tilted(Framing posed, PhotoSpace held, Composition composition, double aspect) {
        Pose pose = posed.pose();
        return parts.contains(Part.TILT)
                ? posed.withPose(pose.withTilt(
                        composition.tilt(pose.tilt(), posed.marks().in(held), aspect)))
                : posed;
    }

    // ---- what is lost ----

    private Set<Loss> losses(PhotoSpace space, Frame wish, Framing after) {
        Frame asked = space.fromAsShot(wish);
        Frame shaped =
                Derivation.shaped(space, asked, after.crop(format).orElseThrow().held(format));
        return losses(shaped, shaped, Derivation.frame(space.asShot(), after, format, brief));
    }

    /**
     * @param asked in its full size
     * @param possible as large as there is room, where it should be
     */
    private static Set<Loss> losses(Frame asked, Frame possible, Frame frame) {
        EnumSet<Loss> losses = EnumSet.noneOf(Loss.class);
        if (frame.width() < asked.width() - Tolerance.LENGTH) {
            losses.add(Loss.SMALLER);
        }
        if (frame.centre().distance(possible.centre()) > Tolerance.LENGTH) {
            losses.add(Loss.MOVED);
        }
        return losses;
    }
}
