package nexa.core.carry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import nexa.core.Cases;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class CarryByMarksTest {
    private static final PixelSize WIDE = new PixelSize(1800, 1200);
    private static final PixelSize HIGH = WIDE.transposed();
    private static final Set<Part> FRAME = EnumSet.of(Part.SHAPE, Part.PLACE);
    private static final Format PRINT = new Format(1, "Print", Shape.parse("4:5"), OrientationRule.VERTICAL);
    private static final Format SQUARE = new Format(2, "Square", Shape.parse("1:1"), OrientationRule.FOLLOW_PHOTO);
    private static final Brief BRIEF = new Brief(List.of(PRINT, SQUARE), 3);

    /** A pot in upright pixels. */
    private static Marks pot(PixelSize photo, double x, double top, double foot) {
        PhotoSpace space = new PhotoSpace(photo, Pose.AS_SHOT);
        return Marks.of(space, List.of(space.toLevel(new Point(x, top)), space.toLevel(new Point(x + 10, foot))));
    }

    private static Framing exemplar() {
        Marks marks = pot(WIDE, 900, 300, 900);
        return Framing.UNTOUCHED.withMarks(marks).withCrop(PRINT, new Crop(new Frame(0, 0, 0.4, 0.5)));
    }

    private static Carry carry(Set<Part> parts, Opposite opposite) {
        return new Carry(WIDE, exemplar(), PRINT, BRIEF, parts, opposite, By.MARKS);
    }

    private static List<Point> places(PixelSize photo, Framing framing, Format format) {
        Frame frame = Derivation.frame(photo, framing, format, BRIEF);
        return framing.marks().in(new PhotoSpace(photo, framing.pose())).stream()
                .map(mark -> Composition.fraction(frame, mark))
                .toList();
    }

    @Test
    void everyPotLiesAsTheExemplarsDoes() {
        List<Point> wanted = places(WIDE, exemplar(), PRINT);
        for (PixelSize photo : List.of(WIDE, HIGH)) {
            Framing target = Framing.UNTOUCHED.withMarks(pot(photo, 620, 500, 800));
            Carried carried = carry(EnumSet.of(Part.SHAPE, Part.PLACE, Part.TILT), Opposite.KEEP)
                    .to(photo, target);
            List<Point> there = places(photo, carried.framing(), PRINT);
            assertEquals(0, wanted.getFirst().distance(there.getFirst()), 1e-9);
            assertEquals(0, wanted.getLast().distance(there.getLast()), 1e-9);
            assertEquals(Set.of(), carried.losses());
            assertEquals(0, carried.error(), 1e-9);
        }
    }

    @Test
    void withoutTilt_theErrorIsWhatTheLeanLeaves() {
        Framing target = Framing.UNTOUCHED.withMarks(
                Marks.of(new PhotoSpace(WIDE, Pose.AS_SHOT), List.of(new Point(0, -0.1), new Point(0.03, 0.1))));
        Carried carried = carry(FRAME, Opposite.KEEP).to(WIDE, target);
        assertTrue(carried.error() > 0.01 && carried.error() < 0.1, () -> "error " + carried.error());
        assertEquals(0, carried.framing().pose().tilt().degrees());
        assertEquals(
                0.5,
                (places(WIDE, carried.framing(), PRINT).getFirst().y()
                                + places(WIDE, carried.framing(), PRINT)
                                        .getLast()
                                        .y())
                        / 2,
                1e-9);
    }

    @Test
    void noRoom_isNamed() {
        Framing large = Framing.UNTOUCHED.withMarks(pot(WIDE, 900, 20, 1180));
        Carried carried = carry(FRAME, Opposite.KEEP).to(WIDE, large);
        assertTrue(carried.losses().contains(Loss.SMALLER));
        Framing atTheEdge = Framing.UNTOUCHED.withMarks(pot(WIDE, 40, 300, 900));
        assertTrue(carry(FRAME, Opposite.KEEP).to(WIDE, atTheEdge).losses().contains(Loss.MOVED));
    }

    @Test
    void tooFewMarks_areLeftAlone() {
        Framing one = Framing.UNTOUCHED.withMarks(new Marks(List.of(new Point(0.1, 0.1))));
        for (Framing target : List.of(Framing.UNTOUCHED, one)) {
            Carried carried = carry(FRAME, Opposite.KEEP).to(WIDE, target);
            assertEquals(new Carried(target, Set.of(Loss.NO_MARK)), carried);
            assertTrue(carried.leftAlone());
        }
    }

    @Test
    void anyMarks_endInsideInTheFormatsShape() {
        Cases.some(500).forEach(c -> {
            PixelSize photo = c.photo();
            PhotoSpace space = new PhotoSpace(photo, c.pose());
            Marks marks = Marks.of(
                    space, List.of(new Point(c.between(-1, 0), 0.1), new Point(c.between(0.1, 1), c.between(-1, 1))));
            Framing target = Framing.UNTOUCHED.withPose(space.pose()).withMarks(marks);
            for (Opposite opposite : Opposite.values()) {
                Framing after = carry(EnumSet.allOf(Part.class), opposite)
                        .to(photo, target)
                        .framing();
                Frame frame = Derivation.frame(photo, after, PRINT, BRIEF);
                assertTrue(new PhotoSpace(photo, after.pose()).outline().contains(frame, 1e-9));
                assertEquals(0.8, frame.aspect(), 1e-9);
            }
        });
    }

    @Test
    void theRule_isFollowedByFramesNobodyPlaced() {
        Framing target = Framing.UNTOUCHED.withMarks(pot(HIGH, 500, 900, 1200));
        Framing ruled = carry(Set.of(Part.RULE), Opposite.KEEP).to(HIGH, target).framing();
        assertTrue(ruled.crops().isEmpty());
        List<Point> wanted = places(WIDE, exemplar(), PRINT);
        List<Point> there = places(HIGH, ruled, SQUARE);
        assertEquals(wanted.getFirst().y(), there.getFirst().y(), 1e-2);
        assertEquals(wanted.getLast().y(), there.getLast().y(), 1e-2);
    }

    @Test
    void derivedFrames_followMarksBeforeAnythingElse() {
        Framing marked = Framing.UNTOUCHED.withMarks(pot(WIDE, 500, 300, 900));
        Frame centred = Derivation.frame(WIDE, marked, SQUARE, BRIEF);
        assertEquals(2.0 / 3, centred.height(), 1e-9, "as large as fits");
        assertEquals(
                0,
                marked.marks().in(new PhotoSpace(WIDE, Pose.AS_SHOT)).getFirst().x() - centred.left(),
                0.35);
        Framing placed = exemplar();
        List<Point> wanted = places(WIDE, placed, PRINT);
        List<Point> there = places(WIDE, placed, SQUARE);
        assertEquals(wanted.getFirst().y(), there.getFirst().y(), 1e-2, "as in the frame placed elsewhere");
    }
}
