package nexa.core.lineup;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.space.PhotoSpace;

/**
 * How the subject lies in one photo's frame.
 *
 * @param place of the one mark, or the point half way between two, in fractions of the frame
 * @param size between two marks, in fractions of the frame
 * @param direction from the first to the second mark in the result, in degrees, 90 = down
 */
public record Placing(Point place, OptionalDouble size, OptionalDouble direction) {
    /** The photo's frame in a format; empty if the photo has no marks. */
    public static Optional<Placing> of(PixelSize asShot, Framing framing, Format format, Brief brief) {
        List<Point> marks = framing.marks().in(new PhotoSpace(asShot, framing.pose()));
        return marks.isEmpty()
                ? Optional.empty()
                : Optional.of(of(Derivation.frame(asShot, framing, format, brief), marks));
    }

    /** The same by what is seen of a photo that has no marks: from the middle of its subject's top to that of its foot. */
    public static Optional<Placing> ofMarksOrSight(PixelSize asShot, Framing framing, Format format, Brief brief) {
        return of(asShot, framing, format, brief).or(() -> framing.subject()
                .sight()
                .flatMap(sight ->
                        sight.in(new PhotoSpace(asShot, framing.pose())).subject())
                .map(box ->
                        of(Derivation.frame(asShot, framing, format, brief), List.of(box.at(0.5, 0), box.at(0.5, 1)))));
    }

    /** @param marks one or two, in level space */
    static Placing of(Frame frame, List<Point> marks) {
        Point from = Composition.fraction(frame, marks.getFirst());
        Point to = Composition.fraction(frame, marks.getLast());
        boolean two = marks.size() == Marks.MOST;
        return new Placing(
                from.plus(to).times(0.5),
                two ? OptionalDouble.of(from.distance(to)) : OptionalDouble.empty(),
                two ? OptionalDouble.of(marks.getLast().minus(marks.getFirst()).degrees()) : OptionalDouble.empty());
    }

    /** How this one differs from the exemplar. */
    public Deviation from(Placing exemplar) {
        return new Deviation(
                place.minus(exemplar.place),
                both(size, exemplar.size)
                        ? OptionalDouble.of(size.orElseThrow() / exemplar.size.orElseThrow())
                        : OptionalDouble.empty(),
                both(direction, exemplar.direction)
                        ? OptionalDouble.of(turn(exemplar.direction.orElseThrow(), direction.orElseThrow()))
                        : OptionalDouble.empty());
    }

    private static boolean both(OptionalDouble one, OptionalDouble other) {
        return one.isPresent() && other.isPresent();
    }

    /** The angle from one direction to another, from -180 to 180. */
    private static double turn(double from, double to) {
        double turn = to - from;
        return turn - 360 * Math.rint(turn / 360);
    }
}
