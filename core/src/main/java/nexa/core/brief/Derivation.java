package nexa.core.brief;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.outline.Outline;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.PhotoSpace;

/** From a photo, what was asked of it, and a format to the frame. */
public final class Derivation {
    /** A frame whose centre lies on the photo's edge would shrink to nothing. */
    private static final double SMALLEST_SHARE = 0.01;

    /** A frame's shorter side in the photo's pixels; less is a slip of the hand. */
    public static final int SMALLEST_PIXELS = 16;

    private Derivation() {}

    /** The frame of a photo in a format that is alone in its brief; see the other. */
    public static Frame frame(PixelSize asShot, Framing framing, Format format) {
        return frame(asShot, framing, format, Brief.EMPTY);
    }

    /**
     * The frame in level space, inside the photo unless its crop may leave it: what fits of the wish. A frame nobody
     * has at least {@value #SMALLEST_PIXELS} pixels on a side, if the photo has. One that nobody
     * placed follows the photo's marks; else the frame placed in the format of the brief whose shape is nearest; else
     * it keeps what is seen in the photo; else it is the largest centred.
     */
    public static Frame frame(PixelSize asShot, Framing framing, Format format, Brief brief) {
        return frame(new PhotoSpace(asShot, framing.pose()), framing, format, brief);
    }

    /**
     * The same for whoever has the photo's space.
     *
     * @param space of the framing's pose
     */
    public static Frame frame(PhotoSpace space, Framing framing, Format format, Brief brief) {
        return framing.crop(format)
                .map(crop -> placed(space, crop, format))
                .orElseGet(() -> noSmaller(space, space.outline(), derived(space, framing, format, brief)));
    }

    /** Grown about its centre where it has too few pixels, as far as there is room. */
    private static Frame noSmaller(PhotoSpace space, Outline room, Frame frame) {
        double pixels = Math.min(frame.width(), frame.height()) * space.asShot().longEdge();
        return pixels >= SMALLEST_PIXELS ? frame : Fit.within(room, frame.scaled(SMALLEST_PIXELS / pixels));
    }

    private static Frame placed(PhotoSpace space, Crop crop, Format format) {
        Outline room = space.room(crop.outside());
        return noSmaller(space, room, Fit.within(room, asked(space, crop.wish(), crop.held(format))));
    }

    private static Frame derived(PhotoSpace space, Framing framing, Format format, Brief brief) {
        Frame largest = largest(space, format);
        Optional<Frame> source = nearest(space, framing, format, brief, largest.aspect());
        List<Point> marks = framing.marks().in(space);
        Optional<Sight> kept = kept(space, framing, format, source.isPresent(), marks);
        if (kept.isPresent()) {
            Optional<Point> focus = marks.isEmpty() ? Optional.empty() : Optional.of(Marks.middle(marks));
            return Keeping.frame(space.outline(), kept.orElseThrow(), focus, largest);
        }
        return marks.isEmpty()
                ? source.map(placed -> around(space.outline(), placed, largest)).orElse(largest)
                : Fit.within(space.outline(), byMarks(space, framing, marks, source, largest));
    }

    /**
     * What is seen in level space, if the frame follows from it: nobody said by a rule or a frame how it shall be, and
     * anything is left of it there.
     */
    private static Optional<Sight> kept(
            PhotoSpace space, Framing framing, Format format, boolean placedElsewhere, List<Point> marks) {
        boolean ruled = !marks.isEmpty()
                && framing.subject().rule().filter(rule -> rule.suits(marks)).isPresent();
        return format.centred() || placedElsewhere || ruled
                ? Optional.empty()
                : framing.subject().sight().map(sight -> sight.in(space)).filter(sight -> !sight.isNone());
    }

    /** Why the frame lies where {@link #frame} has it. @param frame that one */
    public static Why why(PhotoSpace space, Framing framing, Format format, Brief brief, Frame frame) {
        if (framing.crop(format).isPresent()) {
            return new Why.Placed();
        }
        List<Point> marks = framing.marks().in(space);
        boolean elsewhere = isPlacedElsewhere(framing, format, brief);
        Optional<Sight> kept = kept(space, framing, format, elsewhere, marks);
        if (kept.isPresent()) {
            return why(frame, kept.orElseThrow());
        }
        if (!marks.isEmpty()) {
            return new Why.ByMarks();
        }
        return elsewhere ? new Why.AsPlacedElsewhere() : new Why.Centred();
    }

    private static Why why(Frame frame, Sight sight) {
        int faces = (int)
                sight.faces().stream().filter(face -> frame.contains(face)).count();
        boolean subject = sight.subject().filter(frame::contains).isPresent();
        return new Why.Kept(faces, subject, faces == 0 ? 0 : Keeping.headRoom(frame, sight));
    }

    private static boolean isPlacedElsewhere(Framing framing, Format format, Brief brief) {
        return brief.formats().stream()
                .anyMatch(other ->
                        other.id() != format.id() && framing.crop(other).isPresent());
    }

    /** The frame placed in the format of the brief whose shape is nearest. */
    private static Optional<Frame> nearest(
            PhotoSpace space, Framing framing, Format format, Brief brief, double aspect) {
        return brief.formats().stream()
                .filter(other -> other.id() != format.id())
                .flatMap(other -> framing.crop(other).map(crop -> placed(space, crop, other)).stream())
                .min(Comparator.comparingDouble(placed -> Math.abs(Math.log(placed.aspect() / aspect))));
    }

    /** The marks lie as the rule has it, or as in the frame placed elsewhere; else as near to the middle as fits. */
    private static Frame byMarks(
            PhotoSpace space, Framing framing, List<Point> marks, Optional<Frame> source, Frame largest) {
        return framing.subject()
                .rule()
                .filter(rule -> rule.suits(marks))
                .or(() -> source.map(placed -> Composition.of(placed, marks)))
                .map(rule -> rule.frame(space.outline(), marks, largest.aspect()))
                .orElseGet(() -> Frame.around(Marks.middle(marks), largest.width(), largest.height()));
    }

    /** What holds a photo's frame in a format: its crop, or one that asks for the derived frame. */
    public static Crop crop(PixelSize asShot, Framing framing, Format format, Brief brief) {
        return framing.crop(format).orElseGet(() -> {
            PhotoSpace space = new PhotoSpace(asShot, framing.pose());
            return new Crop(space.toAsShot(frame(space, framing, format, brief)));
        });
    }

    /**
     * A frame of another shape about a placed one: the same centre, as large as fits; if the placed frame is not inside
     * that, the smallest that contains it, moved no further than it must; if there is none in the photo, the largest.
     *
     * @param largest of the wanted shape
     */
    static Frame around(Outline outline, Frame placed, Frame largest) {
        Frame centred = Frame.around(placed.centre(), largest.width(), largest.height());
        double growth = outline.growth(centred, placed.centre());
        Frame grown = centred.scaled(Math.clamp(growth, SMALLEST_SHARE, 1));
        if (outline.holds(grown) && grown.contains(placed)) {
            return grown;
        }
        double aspect = largest.aspect();
        double width = Math.max(placed.width(), placed.height() * aspect);
        Frame holding = Frame.around(placed.centre(), width, width / aspect);
        return Fit.within(outline, width <= largest.width() ? holding : centred);
    }

    /** The largest centred frame of the format on a photo. */
    public static Frame largest(PhotoSpace space, Format format) {
        double photo = space.keptSize().aspect();
        return Fit.largest(space.outline(), format.aspect(space.keptSize().orientation(), photo, photo));
    }

    /** A frame in level space brought to a format's shape: centre and area kept; unchanged if it has the shape. */
    public static Frame shaped(PhotoSpace space, Frame level, Format format) {
        Orientation along = Orientation.of(level.width(), level.height());
        double aspect = format.aspect(along, space.keptSize().aspect(), level.aspect());
        // a wish which already has the shape stays exactly as it is
        return Tolerance.sameRatio(level.aspect(), aspect) ? level : level.reshaped(aspect);
    }

    /** A crop laid the other way, held to a shape of its own where the format's rule or the photo would lay it back. */
    public static Crop keepingItsWay(PhotoSpace space, Crop laid, Format format) {
        Frame asked = space.fromAsShot(laid.wish());
        Format held = laid.held(format);
        if (asked.aspect() >= 1 == shaped(space, asked, held).aspect() >= 1) {
            return laid;
        }
        return laid.withOwnShape(Optional.of(
                held.shape() instanceof Shape.Ratio ratio
                        ? ratio.turned()
                        : new Shape.Ratio(
                                space.keptSize().height(), space.upright().width())));
    }

    /** The wish in level space, in the format's present shape. */
    private static Frame asked(PhotoSpace space, Frame wish, Format format) {
        return shaped(space, space.fromAsShot(wish), format);
    }
}
