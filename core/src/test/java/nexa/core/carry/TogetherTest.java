package nexa.core.carry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.Cases;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class TogetherTest {
    private static final PixelSize WIDE = new PixelSize(3000, 2000);
    private static final Format PRINT = new Format(1, "Print", Shape.parse("4:5"), OrientationRule.FOLLOW_PHOTO);
    private static final Brief BRIEF = new Brief(List.of(PRINT), 2);
    private static final Together TOGETHER = new Together(PRINT, BRIEF);

    private static Frame frame(PixelSize photo, Framing framing) {
        return Derivation.frame(photo, framing, PRINT, BRIEF);
    }

    private static Framing placed(Frame frame) {
        return Framing.UNTOUCHED.withCrop(PRINT, new Crop(frame));
    }

    private static Change any(Cases c) {
        return new Change(
                c.between(-1, 1), c.between(-1, 1), Math.exp(c.between(-1, 1)), c.between(-20, 20), c.below(2) == 1);
    }

    @Test
    void anyChange_staysInsideEveryPhoto_andGoingBackRestoresAll() {
        Cases.some(1000).forEach(c -> {
            PixelSize photo = c.photo();
            Framing start = c.below(3) == 0
                    ? Framing.UNTOUCHED.withPose(c.pose())
                    : Framing.UNTOUCHED.withPose(c.pose()).withCrop(PRINT, new Crop(c.wish()));
            Change change = any(c);
            Framing after = TOGETHER.apply(photo, start, change);
            Frame there = frame(photo, after);
            assertTrue(new PhotoSpace(photo, after.pose()).outline().contains(there, 1e-9));
            assertEquals(1.25, Math.max(there.aspect(), 1 / there.aspect()), 1e-9);
            Change back =
                    new Change(-change.right(), -change.down(), 1 / change.size(), -change.tilt(), change.swapped());
            assertSame(start, TOGETHER.apply(photo, start, change.and(back)));
        });
    }

    @Test
    void theSameChange_isTheSameShareOfEveryFrame() {
        Frame small = new Frame(-0.1, 0, 0.2, 0.16);
        Frame large = new Frame(0.05, 0, 0.4, 0.32);
        Change change = new Change(0.1, -0.2, 1.1, 0, false);
        Frame smallAfter = frame(WIDE, TOGETHER.apply(WIDE, placed(small), change));
        Frame largeAfter = frame(WIDE, TOGETHER.apply(WIDE, placed(large), change));
        for (Frame[] pair : new Frame[][] {{small, smallAfter}, {large, largeAfter}}) {
            Change seen = Change.between(pair[0], pair[1]);
            assertEquals(0.1, seen.right(), 1e-9);
            assertEquals(-0.2, seen.down(), 1e-9);
            assertEquals(1.1, seen.size(), 1e-9);
        }
    }

    @Test
    void aPhotoAtItsEdge_followsAgainOnTheWayBack() {
        Framing atTheEdge = placed(new Frame(0.3, 0, 0.4, 0.32));
        Change far = Change.moved(0.5, 0);
        Frame stuck = frame(WIDE, TOGETHER.apply(WIDE, atTheEdge, far));
        assertEquals(0.5, stuck.right(), 1e-9);
        Frame half = frame(
                WIDE,
                TOGETHER.apply(WIDE, atTheEdge, far.and(Change.moved(-0.5, 0)).and(Change.moved(-0.1, 0))));
        assertEquals(0.3 - 0.04, half.centreX(), 1e-9);
    }

    @Test
    void onlyATilt_leavesDerivedFramesDerived() {
        Framing start = Framing.UNTOUCHED.withPose(new Pose(Pose.AS_SHOT.turn(), new Tilt(44)));
        Framing after = TOGETHER.apply(WIDE, start, Change.tilted(3));
        assertEquals(45, after.pose().tilt().degrees());
        assertTrue(after.crops().isEmpty());
    }

    @Test
    void swapped_isLaidTheOtherWayAlsoAgainstTheRule() {
        Format high = PRINT.lying(OrientationRule.VERTICAL);
        Together together = new Together(high, new Brief(List.of(high), 2));
        Framing after = together.apply(WIDE, Framing.UNTOUCHED, Change.laidTheOtherWay());
        assertEquals(1.25, Derivation.frame(WIDE, after, high).aspect(), 1e-9);
    }
}
