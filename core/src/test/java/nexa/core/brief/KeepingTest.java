package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.mark.Marks;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class KeepingTest {
    private static final PixelSize WIDE = new PixelSize(6000, 4000);
    private static final Format SQUARE = new Format(1, "Square", Shape.parse("1:1"), OrientationRule.FOLLOW_PHOTO);
    private static final Format TALL = new Format(2, "Tall", Shape.parse("9:16"), OrientationRule.VERTICAL);

    private static Framing seen(Frame face, Frame body) {
        return seen(new Sight(List.of(face), Optional.of(body), 0));
    }

    private static Framing seen(Sight sight) {
        return Framing.UNTOUCHED.withSubject(Subject.UNKNOWN.seen(sight));
    }

    private static Frame box(double left, double top, double right, double bottom) {
        return Frame.between(new Point(left, top), new Point(right, bottom));
    }

    @Test
    void nothingSeen_isTheMiddle() {
        assertEquals(
                Derivation.largest(new PhotoSpace(WIDE, Pose.AS_SHOT), SQUARE),
                Derivation.frame(WIDE, Framing.UNTOUCHED, SQUARE));
        assertEquals(new Why.Centred(), why(Framing.UNTOUCHED, SQUARE));
    }

    @Test
    void personAtTheSide_isWholeAndTheFrameAsLarge() {
        Framing framing = seen(box(-0.42, -0.2, -0.34, -0.1), box(-0.48, -0.24, -0.28, 0.3));
        Frame frame = Derivation.frame(WIDE, framing, TALL);
        assertEquals(4000 / 6000.0, frame.height(), 1e-9);
        assertTrue(frame.contains(box(-0.48, -0.24, -0.28, 0.3)), frame::toString);
        assertEquals(1, ((Why.Kept) why(framing, TALL)).faces());
        assertTrue(((Why.Kept) why(framing, TALL)).subject());
    }

    @Test
    void lookToTheRight_hasRoomThere() {
        Frame face = box(-0.05, -0.1, 0.05, 0.02);
        Frame straight = Derivation.frame(WIDE, seen(new Sight(List.of(face), Optional.empty(), 0)), SQUARE);
        Frame aside = Derivation.frame(WIDE, seen(new Sight(List.of(face), Optional.empty(), 0.9)), SQUARE);
        assertEquals(0, straight.centreX(), 1e-9, "in the middle already");
        assertTrue(aside.centreX() >= straight.centreX());
        Frame off = box(0.1, -0.1, 0.2, 0.02);
        double open = Derivation.frame(WIDE, seen(new Sight(List.of(off), Optional.empty(), 0.9)), SQUARE)
                .centreX();
        double closed = Derivation.frame(WIDE, seen(new Sight(List.of(off), Optional.empty(), -0.9)), SQUARE)
                .centreX();
        assertTrue(open > closed, open + " " + closed);
    }

    @Test
    void facesInRandomPlaces_areNeverCutThoughTheyWouldFit() {
        Random random = new Random(7);
        for (int i = 0; i < 5000; i++) {
            double size = 0.02 + 0.12 * random.nextDouble();
            double x = (random.nextDouble() - 0.5) * (1 - size);
            double y = (random.nextDouble() - 0.5) * (WIDE.height() / 6000.0 - 1.2 * size);
            Frame face = Frame.around(new Point(x, y), size, 1.2 * size);
            Frame body = Frame.between(new Point(x - size, y - size), new Point(x + size, 0.33));
            for (Format format : List.of(SQUARE, TALL)) {
                Frame frame = Derivation.frame(WIDE, seen(face, body), format);
                assertTrue(frame.scaled(1 + 1e-9).contains(face), () -> face + " in " + frame);
            }
        }
    }

    @Test
    void tiltedPhoto_getsASmallerFrameRatherThanAFaceCut() {
        Frame face = box(0.3, -0.24, 0.42, -0.12);
        Framing framing = seen(new Sight(List.of(face), Optional.empty(), 0))
                .withPose(new Pose(Pose.AS_SHOT.correction(), Pose.AS_SHOT.turn(), new Tilt(6), Pose.AS_SHOT.trim()));
        PhotoSpace space = new PhotoSpace(WIDE, framing.pose());
        Frame frame = Derivation.frame(space, framing, SQUARE, Brief.EMPTY);
        assertTrue(space.outline().holds(frame));
        assertEquals(1, ((Why.Kept) Derivation.why(space, framing, SQUARE, Brief.EMPTY, frame)).faces());
    }

    @Test
    void nearRepeat_hasANearlyEqualFrame() {
        Frame one = Derivation.frame(WIDE, seen(box(0.1, -0.1, 0.2, 0.02), box(0.05, -0.15, 0.3, 0.3)), SQUARE);
        Frame other =
                Derivation.frame(WIDE, seen(box(0.102, -0.1, 0.202, 0.02), box(0.052, -0.15, 0.302, 0.3)), SQUARE);
        assertEquals(0, one.centre().distance(other.centre()), 0.003);
    }

    @Test
    void formatFromTheMiddle_andFramesThatSomebodyPlaced_stay() {
        Framing framing = seen(box(0.3, -0.1, 0.4, 0.02), box(0.25, -0.15, 0.5, 0.3));
        PhotoSpace space = new PhotoSpace(WIDE, Pose.AS_SHOT);
        assertEquals(Derivation.largest(space, SQUARE), Derivation.frame(WIDE, framing, SQUARE.centred(true)));
        Frame placed = new Frame(-0.2, 0, 0.3, 0.3);
        Framing byHand = framing.withCrop(SQUARE, new Crop(placed));
        assertEquals(placed, Derivation.frame(WIDE, byHand, SQUARE));
        assertEquals(new Why.Placed(), why(byHand, SQUARE));
    }

    @Test
    void marksWithoutARule_areWhatIsLookedAt() {
        PhotoSpace space = new PhotoSpace(WIDE, Pose.AS_SHOT);
        Framing framing = seen(box(0.3, -0.1, 0.4, 0.02), box(0.25, -0.15, 0.5, 0.3));
        Framing marked = framing.withSubject(framing.subject().marked(Marks.of(space, List.of(new Point(0.35, 0)))));
        assertTrue(Derivation.frame(WIDE, marked, TALL).contains(box(0.3, -0.1, 0.4, 0.02)));
    }

    @Test
    void marks_andFramesPlacedElsewhere_areNamedAsReasons() {
        Brief brief = Brief.EMPTY.with("Square", Shape.parse("1:1")).with("Tall", Shape.parse("9:16"));
        Format square = brief.formats().getFirst();
        Format tall = brief.formats().getLast();
        PhotoSpace space = new PhotoSpace(WIDE, Pose.AS_SHOT);
        Framing placed = Framing.UNTOUCHED.withCrop(square, new Crop(new Frame(-0.2, 0, 0.3, 0.3)));
        assertEquals(new Why.AsPlacedElsewhere(), why(placed, tall, brief));
        assertEquals(new Why.Placed(), why(placed, square, brief));
        assertEquals(new Why.Centred(), why(Framing.UNTOUCHED, tall, brief));
        Framing marked = Framing.UNTOUCHED.withSubject(
                Framing.UNTOUCHED.subject().marked(Marks.of(space, List.of(new Point(0.2, 0)))));
        assertEquals(new Why.ByMarks(), why(marked, tall, brief));
        Framing seenToo = placed.withSubject(
                Subject.UNKNOWN.seen(new Sight(List.of(), Optional.of(box(0.3, -0.1, 0.4, 0.02)), 0)));
        assertEquals(new Why.AsPlacedElsewhere(), why(seenToo, tall, brief), "what somebody did counts more");
    }

    @Test
    void whatIsKept_isWhatTheFrameHasWhole() {
        Frame face = box(-0.05, -0.1, 0.05, 0.02);
        Sight far = new Sight(List.of(face, box(0.4, -0.1, 0.5, 0.02)), Optional.of(box(-0.5, -0.2, 0.5, 0.3)), 0);
        assertEquals(new Why.Kept(1, false, headRoom(far)), why(seen(far), TALL));
        Sight thing = new Sight(List.of(), Optional.of(box(-0.1, -0.1, 0.1, 0.1)), 0);
        assertEquals(new Why.Kept(0, true, 0), why(seen(thing), TALL));
    }

    private static double headRoom(Sight sight) {
        PhotoSpace space = new PhotoSpace(WIDE, Pose.AS_SHOT);
        return Keeping.headRoom(Derivation.frame(space, seen(sight), TALL, Brief.EMPTY), sight);
    }

    private static Why why(Framing framing, Format format) {
        return why(framing, format, Brief.EMPTY);
    }

    private static Why why(Framing framing, Format format, Brief brief) {
        PhotoSpace space = new PhotoSpace(WIDE, framing.pose());
        return Derivation.why(space, framing, format, brief, Derivation.frame(space, framing, format, brief));
    }
}
