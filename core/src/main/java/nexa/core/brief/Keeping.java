package nexa.core.brief;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.outline.Outline;
import nexa.core.sight.Sight;

/**
 * The frame that keeps what is seen in a photo: no head cut, air above it, the subject whole where it fits, what is looked at
 * about a third from the edge rather than at it, and otherwise as near to the middle and as large as fits. All in level space.
 */
final class Keeping {
    /** Of a face's height: hair above the brows, cheeks and chin beside what is detected of it. */
    private static final double HAIR = 0.55;

    /** As much higher than a person is found the hair may reach. */
    private static final double BRIM = 0.1;

    private static final double CHEEK = 0.2;
    private static final double CHIN = 0.25;

    /** Of the frame's height: air above a head, as far as the photo has it. */
    private static final double HEAD_ROOM = 0.06;

    /** What is left of that air where the frame holds but a part of the body: more of it is worth more. */
    private static final double CLOSE = 0.5;

    /** Of the frame's side: air about a subject. */
    private static final double AIR = 0.04;

    /** Where in the frame the middle of what is looked at may lie, in fractions: between the lines of thirds. */
    private static final Range THIRDS = new Range(1 / 3.0, 2 / 3.0);

    /** Eyes belong in the upper half. */
    private static final Range EYES = new Range(0.22, 0.46);

    /** Less is a look at us. */
    private static final double LOOKS_ASIDE = 0.35;

    /** A frame that cuts a head though there is room becomes smaller step by step, down to this share. */
    private static final double SMALLEST = 0.7;

    private static final double STEP = 0.95;

    /** Farther than any photo reaches. */
    private static final double FAR = 2;

    /** Where not all heads have room: half a head is worse than none, a little hair at the edge is not. */
    private static final double CUT_THROUGH = 2;

    private Keeping() {}

    private record Range(double from, double to) {
        double length() {
            return to - from;
        }

        Range with(Range other) {
            return new Range(Math.min(from, other.from), Math.max(to, other.to));
        }

        double middle() {
            return (from + to) / 2;
        }

        boolean holds(Range other) {
            return other.from >= from && other.to <= to;
        }

        double nearest(double value) {
            return from <= to ? Math.clamp(value, from, to) : middle();
        }
    }

    /**
     * @param sight not none
     * @param focus of the marks, if there are any
     * @param largest of the wanted shape, where it lies if nothing is seen
     */
    static Frame frame(Outline outline, Sight sight, Optional<Point> focus, Frame largest) {
        Frame best = placed(outline, sight, focus, largest);
        if (cutsHead(best, sight)) {
            for (double scale = STEP; scale >= SMALLEST; scale *= STEP) {
                Frame smaller = placed(outline, sight, focus, largest.scaled(scale));
                if (!cutsHead(smaller, sight)) {
                    return smaller;
                }
            }
        }
        return best;
    }

    private static boolean cutsHead(Frame frame, Sight sight) {
        return sight.faces().stream().anyMatch(face -> !frame.contains(face));
    }

    private static Frame placed(Outline outline, Sight sight, Optional<Point> focus, Frame size) {
        Point middle = focus.orElseGet(() -> middle(sight));
        List<Frame> faces = sight.faces();
        List<Frame> heads = heads(sight);
        double x = centre(
                new Side(size.centreX(), size.width(), () -> room(outline, size, new Point(FAR, 0), Frame::centreX)),
                middle.x(),
                across(sight),
                sight.subject().map(Keeping::across),
                fitting(faces, heads, Keeping::across, size.width()),
                0);
        double y = centre(
                new Side(size.centreY(), size.height(), () -> room(outline, size, new Point(0, FAR), Frame::centreY)),
                middle.y(),
                faces.isEmpty() ? THIRDS : EYES,
                sight.subject().map(Keeping::down),
                fitting(faces, heads, Keeping::down, size.height()),
                HEAD_ROOM);
        return Fit.within(outline, Frame.around(new Point(x, y), size.width(), size.height()));
    }

    /** The heads along a side; the faces alone where only those have room, all of them or a single one. */
    private static List<Range> fitting(
            List<Frame> faces, List<Frame> heads, Function<Frame, Range> along, double length) {
        List<Range> whole = heads.stream().map(along).toList();
        List<Range> bare = faces.stream().map(along).toList();
        boolean asFaces = fit(bare, length) || whole.stream().anyMatch(head -> head.length() > length);
        return fit(whole, length) || !asFaces ? whole : bare;
    }

    private static boolean fit(List<Range> ranges, double length) {
        return ranges.stream()
                .reduce(Range::with)
                .filter(all -> all.length() <= length)
                .isPresent();
    }

    /** Between which places the photo has room for a frame that is moved this way and the other. */
    private static Range room(Outline outline, Frame size, Point way, ToDoubleFunction<Frame> place) {
        return new Range(
                place.applyAsDouble(Fit.within(outline, size.movedBy(way.times(-1)))),
                place.applyAsDouble(Fit.within(outline, size.movedBy(way))));
    }

    /** A side of the frame: where its middle lies when nothing is seen, how long it is, and where its middle can lie. */
    private record Side(double middle, double length, Supplier<Range> room) {
        /** Where its middle may lie so that it holds a stretch with air before and behind; the nearest place if it is too short. */
        double holding(double centre, Range stretch, double before, double behind) {
            return new Range(stretch.to + behind - length / 2, stretch.from - before + length / 2).nearest(centre);
        }

        /** What the photo has of a head at its edge; where it has none of it, the head. */
        Range onPhoto(Range head, Range room) {
            double from = Math.max(head.from, room.from - length / 2);
            double to = Math.min(head.to, room.to + length / 2);
            return from < to ? new Range(from, to) : head;
        }

        /** What it has of the photo. */
        Range at(double centre) {
            return new Range(centre - length / 2 - Tolerance.LENGTH, centre + length / 2 + Tolerance.LENGTH);
        }

        /** How much of heads it has whole, less those that it cuts through. */
        double whole(double centre, List<Range> heads) {
            Range here = at(centre);
            return heads.stream().mapToDouble(head -> worth(here, head)).sum();
        }

        /** With the heads that it has whole in its middle, as far as all others stay out; where one is cut it is left so. */
        double around(double centre, List<Range> heads) {
            Range here = at(centre);
            Range whole = heads.stream().filter(here::holds).reduce(Range::with).orElse(here);
            double least = Double.NEGATIVE_INFINITY;
            double most = Double.POSITIVE_INFINITY;
            for (Range head : heads) {
                if (head.to <= here.from) {
                    least = Math.max(least, head.to + length / 2);
                } else if (head.from >= here.to) {
                    most = Math.min(most, head.from - length / 2);
                } else if (!here.holds(head)) {
                    return centre;
                }
            }
            return new Range(Math.min(least, centre), Math.max(most, centre)).nearest(whole.middle());
        }

        private static double worth(Range here, Range head) {
            if (here.holds(head)) {
                return head.length();
            }
            double in = Math.max(0, Math.min(head.to, here.to) - Math.max(head.from, here.from)) / head.length();
            return -CUT_THROUGH * 4 * in * (1 - in) * head.length();
        }
    }

    /** The wanted middle of a side: each wish gives way to the one after it. */
    private static double centre(
            Side side, double focus, Range lies, Optional<Range> subject, List<Range> heads, double room) {
        double centre = new Range(focus + (0.5 - lies.to) * side.length, focus + (0.5 - lies.from) * side.length)
                .nearest(side.middle);
        if (subject.isPresent()) {
            Range whole = subject.get();
            double air = Math.max(0, Math.min(AIR * side.length, (side.length - whole.length()) / 2));
            boolean fits = whole.length() <= side.length;
            centre = fits ? side.holding(centre, whole, air, air) : inside(side, centre, whole);
        }
        boolean cut = subject.filter(whole -> whole.length() > side.length).isPresent();
        double above = (cut ? CLOSE : 1) * room * side.length;
        return heads.isEmpty() ? centre : withHeads(side, centre, heads, above);
    }

    private static double withHeads(Side side, double centre, List<Range> heads, double above) {
        Range all = heads.stream().reduce(Range::with).orElseThrow();
        if (all.length() <= side.length) {
            return side.holding(centre, all, above, 0);
        }
        if (heads.stream().allMatch(head -> head.length() > side.length)) {
            return inside(side, centre, heads.getFirst());
        }
        Range room = side.room.get();
        List<Range> there = heads.stream().map(head -> side.onPhoto(head, room)).toList();
        return there.stream()
                .flatMap(head -> Stream.of(head.from, head.to))
                .flatMap(edge -> Stream.of(edge - side.length / 2, edge + side.length / 2))
                .map(room::nearest)
                .max(Comparator.<Double>comparingDouble(place -> side.whole(place, there))
                        .thenComparingDouble(place -> -Math.abs(place - centre)))
                .map(place -> side.around(place, there))
                .orElse(centre);
    }

    /** What is longer than the side fills it. */
    private static double inside(Side side, double centre, Range whole) {
        return new Range(whole.from + side.length / 2, whole.to - side.length / 2).nearest(centre);
    }

    private static Range across(Sight sight) {
        if (Math.abs(sight.gaze()) < LOOKS_ASIDE) {
            return THIRDS;
        }
        return sight.gaze() > 0 ? new Range(THIRDS.from, 0.5) : new Range(0.5, THIRDS.to);
    }

    /** Of the faces their brows; else of the subject. */
    private static Point middle(Sight sight) {
        if (sight.faces().isEmpty()) {
            return sight.subject().orElseThrow().centre();
        }
        Frame all = sight.faces().stream().reduce(Frame::union).orElseThrow();
        return all.at(0.5, 0.3);
    }

    private static List<Frame> heads(Sight sight) {
        return sight.faces().stream().map(face -> head(face, sight.subject())).toList();
    }

    /** No higher than the person, as far as one is found: not everybody has as much hair. */
    private static Frame head(Frame face, Optional<Frame> body) {
        double cheek = CHEEK * face.width();
        double crown = body.map(found -> Math.min(found.top() - BRIM * face.height(), face.top()))
                .orElse(Double.NEGATIVE_INFINITY);
        return Frame.between(
                new Point(face.left() - cheek, Math.max(crown, face.top() - HAIR * face.height())),
                new Point(face.right() + cheek, face.bottom() + CHIN * face.height()));
    }

    private static Range across(Frame box) {
        return new Range(box.left(), box.right());
    }

    private static Range down(Frame box) {
        return new Range(box.top(), box.bottom());
    }

    /** Air above the highest head, as a share of the frame's height; negative if it is cut. */
    static double headRoom(Frame frame, Sight sight) {
        double top = heads(sight).stream().mapToDouble(Frame::top).min().orElse(frame.top());
        return (top - frame.top()) / frame.height();
    }
}
