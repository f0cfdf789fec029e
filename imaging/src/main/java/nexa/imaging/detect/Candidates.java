package nexa.imaging.detect;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.imaging.thing.Thing;

/** Which of the things in a picture it is of. Thresholds from the trial of marks. */
final class Candidates {
    /** Furniture, traffic and screens are where something is, hardly ever what is shown. */
    private static final Set<String> SURROUNDINGS = Set.of(
            "car",
            "train",
            "traffic light",
            "fire hydrant",
            "bench",
            "chair",
            "couch",
            "bed",
            "dining table",
            "tv",
            "remote");

    /** What the network also sees in patterns. */
    private static final Set<String> SEEN_IN_PATTERNS = Set.of(
            "airplane",
            "umbrella",
            "tie",
            "skis",
            "snowboard",
            "kite",
            "knife",
            "banana",
            "cake",
            "laptop",
            "book",
            "scissors");

    private static final double LEAST = 0.38;
    private static final double LEAST_IN_PATTERNS = 0.58;

    /** Smaller things, of the picture's area, must be surer; far smaller ones are none. */
    private static final double SMALL = 0.03;

    private static final double LEAST_SMALL = 0.5;
    private static final double SMALLEST = 0.012;

    /** Of the largest one's area: as large ones of the same kind are one group. */
    private static final double OF_GROUP = 0.3;

    /** Boxes that share as much speak for each other. */
    private static final double SUPPORTS = 0.3;

    /** So many of a kind are a pattern. People are a group however many. */
    private static final int MANY = 6;

    /** How fast what lies aside counts less, of the sides. */
    private static final double ASIDE = 0.35;

    /** Nearer to a side, of it, is at it. */
    private static final double AT_SIDE = 0.03;

    private Candidates() {}

    /**
     * A subject.
     *
     * @param members of the group, at least one
     */
    record Group(List<Thing> members) {
        Frame box() {
            return members.stream().map(Thing::box).reduce(Frame::union).orElseThrow();
        }

        double confidence() {
            return members.stream().mapToDouble(Thing::confidence).max().orElse(0);
        }

        boolean ofPeople() {
            return members.getFirst().isPerson();
        }
    }

    static Optional<Group> best(List<Thing> things, PixelSize picture) {
        List<Thing> likely =
                things.stream().filter(thing -> mayBe(thing, picture)).toList();
        return likely.stream()
                .max(Comparator.comparingDouble(thing -> weight(thing, picture)))
                .map(main -> group(main, likely))
                .filter(group -> group.ofPeople() || group.members().size() < MANY);
    }

    /** What is hardly recognised, and stands out just there: the box about both. */
    static Optional<Frame> supported(List<Thing> things, Frame standsOut, PixelSize picture) {
        return things.stream()
                .filter(thing -> !SURROUNDINGS.contains(thing.name()))
                .map(Thing::box)
                .filter(box -> sides(box, picture.width(), picture.height()) < 3)
                .filter(box -> standsOut.overlap(box) >= SUPPORTS)
                .max(Comparator.comparingDouble(box -> standsOut.overlap(box)))
                .map(standsOut::union);
    }

    private static Group group(Thing main, List<Thing> likely) {
        return new Group(likely.stream()
                .filter(thing -> thing.kind() == main.kind())
                .filter(thing -> area(thing.box()) >= OF_GROUP * area(main.box()))
                .toList());
    }

    private static boolean mayBe(Thing thing, PixelSize picture) {
        double share = area(thing.box()) / ((double) picture.width() * picture.height());
        boolean cutAllAround = !thing.isPerson() && sides(thing.box(), picture.width(), picture.height()) >= 3;
        double least =
                SEEN_IN_PATTERNS.contains(thing.name()) ? LEAST_IN_PATTERNS : share < SMALL ? LEAST_SMALL : LEAST;
        return !SURROUNDINGS.contains(thing.name())
                && !cutAllAround
                && share >= SMALLEST
                && thing.confidence() >= least;
    }

    private static double weight(Thing thing, PixelSize picture) {
        double share = area(thing.box()) / ((double) picture.width() * picture.height());
        double away = Math.hypot(
                thing.box().centreX() / picture.width() - 0.5, thing.box().centreY() / picture.height() - 0.5);
        return thing.confidence() * Math.pow(share, 0.4) * Math.exp(-away * away / (2 * ASIDE * ASIDE));
    }

    private static double area(Frame box) {
        return box.width() * box.height();
    }

    /** How many of a picture's sides a box reaches. */
    static int sides(Frame box, double width, double height) {
        int sides = 0;
        sides += box.left() < AT_SIDE * width ? 1 : 0;
        sides += box.top() < AT_SIDE * height ? 1 : 0;
        sides += box.right() > (1 - AT_SIDE) * width ? 1 : 0;
        sides += box.bottom() > (1 - AT_SIDE) * height ? 1 : 0;
        return sides;
    }
}
