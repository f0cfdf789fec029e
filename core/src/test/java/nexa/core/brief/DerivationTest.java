package nexa.core.brief;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import nexa.core.Cases;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.mark.Marks;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class DerivationTest {
    private static final Format PRINT = new Format(1, "Print", Shape.parse("4:5"), OrientationRule.FOLLOW_PHOTO);
    private static final Format ANY = new Format(2, "Any", Shape.FREE, OrientationRule.FOLLOW_PHOTO);
    private static final Format WHOLE = new Format(3, "Whole", Shape.AS_PHOTO, OrientationRule.FOLLOW_PHOTO);
    private static final PixelSize WIDE = new PixelSize(3000, 2000);

    private static Framing placed(PixelSize photo, Pose pose, Format format, Frame level) {
        Frame wish = new PhotoSpace(photo, pose).toAsShot(level);
        return Framing.UNTOUCHED.withPose(pose).withCrop(format, new Crop(wish));
    }

    private static void assertSame(Frame expected, Frame actual, double slack) {
        assertEquals(0, expected.centre().distance(actual.centre()), slack);
        assertEquals(expected.width(), actual.width(), slack);
        assertEquals(expected.height(), actual.height(), slack);
    }

    @Test
    void frame_nobodyPlaced_isTheLargestInThePhotosOrientation() {
        assertSame(new Frame(0, 0, 5 / 6.0, 2 / 3.0), Derivation.frame(WIDE, Framing.UNTOUCHED, PRINT), ROUNDING);
        Frame upright = Derivation.frame(WIDE.transposed(), Framing.UNTOUCHED, PRINT);
        assertEquals(0.8, upright.aspect(), ROUNDING);
    }

    @Test
    void frame_alwaysHasTheFormatsShapeAndLiesInside() {
        Cases.some(1000).forEach(c -> {
            PixelSize photo = c.photo();
            Framing framing = placed(photo, c.pose(), PRINT, c.wish()).withPose(c.pose());
            PhotoSpace space = new PhotoSpace(photo, framing.pose());
            Frame frame = Derivation.frame(photo, framing, PRINT);
            assertTrue(space.outline().contains(frame, ROUNDING));
            double shape = frame.aspect() > 1 ? 1.25 : 0.8;
            assertEquals(shape, frame.aspect(), 1e-9);
        });
    }

    @Test
    void tiltingOutAndBack_restoresTheFrameExactly() {
        Cases.some(500).forEach(c -> {
            PixelSize photo = c.photo();
            Framing before = placed(photo, Pose.AS_SHOT, PRINT, c.wish());
            Frame frame = Derivation.frame(photo, before, PRINT);
            Framing tilted = before.withPose(before.pose().withTilt(c.tilt()));
            Derivation.frame(photo, tilted, PRINT);
            assertEquals(frame, Derivation.frame(photo, tilted.withPose(before.pose()), PRINT));
        });
    }

    @Test
    void turningThePhoto_turnsItsFrames() {
        Cases.some(500).forEach(c -> {
            PixelSize photo = c.photo();
            Turn by = new Turn(c.below(4), false);
            for (Format format : new Format[] {PRINT, ANY}) {
                Framing before = placed(photo, c.pose(), format, c.wish());
                Framing after = before.withPose(before.pose().turned(by));
                Frame expected = by.apply(Derivation.frame(photo, before, format));
                assertSame(expected, Derivation.frame(photo, after, format), 1e-9);
            }
        });
    }

    @Test
    void mirroringThePhoto_mirrorsItsFrames() {
        Cases.some(500).forEach(c -> {
            PixelSize photo = c.photo();
            Framing before = placed(photo, c.pose(), PRINT, c.wish());
            Framing after = before.withPose(before.pose().turned(Turn.MIRROR));
            Frame expected = Turn.MIRROR.apply(Derivation.frame(photo, before, PRINT));
            assertSame(expected, Derivation.frame(photo, after, PRINT), 1e-9);
        });
    }

    @Test
    void frame_placedFitting_staysWhereItWasPut() {
        Frame level = new Frame(0.1, -0.05, 0.5, 0.4);
        assertSame(level, Derivation.frame(WIDE, placed(WIDE, Pose.AS_SHOT, PRINT, level), PRINT), ROUNDING);
    }

    @Test
    void frame_ofReshapedFormat_keepsCentreAndArea() {
        Framing framing = placed(WIDE, Pose.AS_SHOT, PRINT, new Frame(0.1, 0, 0.25, 0.2));
        Format square = new Format(1, "Print", Shape.parse("1:1"), OrientationRule.FOLLOW_PHOTO);
        Frame frame = Derivation.frame(WIDE, framing, square);
        assertEquals(1, frame.aspect(), ROUNDING);
        assertEquals(0.05, frame.width() * frame.height(), ROUNDING);
        assertEquals(0.1, frame.centreX(), ROUNDING);
    }

    @Test
    void frame_asPhotoAndFree_areTheWholeLevelPhoto() {
        assertSame(new Frame(0, 0, 1, 2 / 3.0), Derivation.frame(WIDE, Framing.UNTOUCHED, WHOLE), ROUNDING);
        assertSame(new Frame(0, 0, 1, 2 / 3.0), Derivation.frame(WIDE, Framing.UNTOUCHED, ANY), ROUNDING);
    }

    @Test
    void tilt_keepsTheFramesContent() {
        Framing framing = placed(WIDE, Pose.AS_SHOT, PRINT, new Frame(0.2, 0.1, 0.1, 0.08));
        PhotoSpace level = new PhotoSpace(WIDE, Pose.AS_SHOT);
        PhotoSpace tilted = new PhotoSpace(WIDE, new Pose(Turn.NONE, new Tilt(7)));
        Frame before = Derivation.frame(WIDE, framing, PRINT);
        Frame after = Derivation.frame(WIDE, framing.withPose(tilted.pose()), PRINT);
        assertEquals(0, level.toUpright(before.centre()).distance(tilted.toUpright(after.centre())), 1e-6);
    }

    @Test
    void cleared_isDerivedAgain() {
        Framing framing = placed(WIDE, Pose.AS_SHOT, PRINT, new Frame(0.1, 0, 0.25, 0.2));
        assertEquals(FrameState.PLACED, framing.state(PRINT));
        assertEquals(Framing.UNTOUCHED, framing.cleared(PRINT));
        assertEquals(FrameState.DERIVED, framing.cleared(PRINT).state(PRINT));
    }

    @Test
    void frame_ofItsOwnShape_isHeldToItNotToTheFormats() {
        Framing placed = placed(WIDE, Pose.AS_SHOT, PRINT, new Frame(0.1, 0, 0.25, 0.2));
        Crop own = placed.crop(PRINT).orElseThrow().withOwnShape(Optional.of(Shape.parse("1:1")));
        Frame frame = Derivation.frame(WIDE, placed.withCrop(PRINT, own), PRINT);
        assertEquals(1, frame.aspect(), ROUNDING);
        assertEquals(0.05, frame.width() * frame.height(), ROUNDING);
        Framing back = placed.withCrop(PRINT, own.withOwnShape(Optional.empty()));
        assertSame(new Frame(0.1, 0, 0.25, 0.2), Derivation.frame(WIDE, back, PRINT), ROUNDING);
    }

    @Test
    void frame_unlocked_staysAsItIs() {
        Cases.some(200).forEach(c -> {
            PixelSize photo = c.photo();
            Framing before = placed(photo, c.pose(), PRINT, c.wish());
            Frame frame = Derivation.frame(photo, before, PRINT);
            PhotoSpace space = new PhotoSpace(photo, before.pose());
            Crop free = new Crop(space.toAsShot(frame), Optional.of(Shape.FREE), false, false);
            assertSame(frame, Derivation.frame(photo, before.withCrop(PRINT, free), PRINT), 1e-9);
        });
    }

    @Test
    void frame_outsideAllowed_mayLeaveThePhotoButNotByMoreThanItsSize() {
        Frame level = new Frame(0.4, 0.3, 0.5, 0.4);
        Framing placed = placed(WIDE, Pose.AS_SHOT, PRINT, level);
        Crop outside = placed.crop(PRINT).orElseThrow().withOutside(true);
        assertSame(level, Derivation.frame(WIDE, placed.withCrop(PRINT, outside), PRINT), ROUNDING);
        Crop far = new Crop(new Frame(9, 9, 0.5, 0.4), Optional.empty(), true, false);
        Frame kept = Derivation.frame(WIDE, placed.withCrop(PRINT, far), PRINT);
        assertTrue(new PhotoSpace(WIDE, Pose.AS_SHOT).room(true).contains(kept, ROUNDING));
    }

    @Test
    void alternates_areKeptReplacedByNameAndDropped() {
        Crop first = new Crop(new Frame(0, 0, 0.5, 0.4));
        Crop second = new Crop(new Frame(0.1, 0, 0.25, 0.2));
        Framing framing = Framing.UNTOUCHED
                .withCrop(PRINT, first)
                .keeping(PRINT, new Alternate("wide", first))
                .keeping(PRINT, new Alternate("tight", second))
                .keeping(PRINT, new Alternate(" Wide ", second));
        assertEquals(
                List.of("Wide", "tight"),
                framing.alternates(PRINT).stream().map(Alternate::name).toList());
        assertEquals(second, framing.alternates(PRINT).getFirst().crop());
        Framing dropped = framing.without(PRINT, framing.alternates(PRINT).getLast());
        assertEquals(1, dropped.alternates(PRINT).size());
        assertEquals(first, dropped.crop(PRINT).orElseThrow());
        assertTrue(framing.alternates(ANY).isEmpty());
        assertThrows(IllegalArgumentException.class, () -> new Alternate(" ", first));
    }

    private static final Brief BRIEF = new Brief(
            List.of(PRINT, ANY, WHOLE, new Format(4, "Square", Shape.parse("1:1"), OrientationRule.FOLLOW_PHOTO)), 5);
    private static final Format SQUARE = BRIEF.formats().getLast();

    @Test
    void derivedFrame_liesInsideInItsShape_whateverItFollows() {
        Cases.some(1000).forEach(c -> {
            PixelSize photo = c.photo();
            Framing framing = placed(photo, c.pose(), ANY, c.wish()).withPose(c.pose());
            PhotoSpace space = new PhotoSpace(photo, framing.pose());
            Frame frame = Derivation.frame(photo, framing, SQUARE, BRIEF);
            assertTrue(space.outline().contains(frame, 1e-8), () -> framing + " " + frame);
            assertEquals(1, frame.aspect(), 1e-9);
        });
    }

    @Test
    void derivedFrame_containsThePlacedOneWhereItCan() {
        Cases.some(1000).forEach(c -> {
            PixelSize photo = c.photo();
            Framing framing = placed(photo, Pose.AS_SHOT, ANY, c.wish());
            Frame source = Derivation.frame(photo, framing, ANY);
            Frame largest = Derivation.largest(new PhotoSpace(photo, Pose.AS_SHOT), SQUARE);
            Frame frame = Derivation.frame(photo, framing, SQUARE, BRIEF);
            if (Math.max(source.width(), source.height()) <= largest.width()) {
                assertTrue(
                        source.left() >= frame.left() - 1e-9
                                && source.right() <= frame.right() + 1e-9
                                && source.top() >= frame.top() - 1e-9
                                && source.bottom() <= frame.bottom() + 1e-9,
                        () -> source + " in " + frame);
            }
        });
    }

    @Test
    void derivedFrame_keepsTheCentreOfInterest() {
        Framing framing = placed(WIDE, Pose.AS_SHOT, PRINT, new Frame(-0.1, 0.02, 0.25, 0.2));
        Frame square = Derivation.frame(WIDE, framing, SQUARE, BRIEF);
        assertEquals(0, square.centre().distance(new Point(-0.1, 0.02)), ROUNDING);
        assertEquals(2 * (1 / 3.0 - 0.02), square.height(), ROUNDING);
    }

    @Test
    void derivedFrame_followsTheNearestShape() {
        Framing framing = placed(WIDE, Pose.AS_SHOT, WHOLE, new Frame(0.1, 0.1, 0.3, 0.2));
        Frame wish = new PhotoSpace(WIDE, Pose.AS_SHOT).toAsShot(new Frame(-0.1, 0, 0.25, 0.2));
        Frame square = Derivation.frame(WIDE, framing.withCrop(PRINT, new Crop(wish)), SQUARE, BRIEF);
        assertEquals(-0.1, square.centreX(), ROUNDING, "4:5 is nearer to a square than 3:2");
        Frame alone = Derivation.frame(WIDE, Framing.UNTOUCHED, SQUARE, BRIEF);
        assertSame(Derivation.largest(new PhotoSpace(WIDE, Pose.AS_SHOT), SQUARE), alone, 0);
    }

    @Test
    void derivedFrame_ofARemovedFormat_isNotFollowed() {
        Framing framing = placed(WIDE, Pose.AS_SHOT, PRINT, new Frame(-0.1, 0, 0.25, 0.2));
        Frame square = Derivation.frame(WIDE, framing, SQUARE, BRIEF.without(PRINT));
        assertEquals(0, square.centreX(), ROUNDING);
    }

    @Test
    void frame_hasSixteenPixelsOnASide_orAsManyAsFit() {
        Cases.some(500).forEach(c -> {
            PixelSize photo = c.photo();
            double side = Math.pow(10, c.between(-6, 0));
            Framing framing = placed(photo, c.pose(), PRINT, new Frame(0, 0, side, side * 1.25));
            PhotoSpace space = new PhotoSpace(photo, framing.pose());
            Frame frame = Derivation.frame(photo, framing, PRINT);
            double pixels = Math.min(frame.width(), frame.height()) * photo.longEdge();
            Frame largest = Fit.largest(space.outline(), frame.aspect());
            double most = Math.min(largest.width(), largest.height()) * photo.longEdge();
            assertTrue(pixels >= Math.min(Derivation.SMALLEST_PIXELS, most) * (1 - 1e-9), pixels + " of " + most);
            assertTrue(space.outline().contains(frame, ROUNDING));
        });
    }

    @Test
    void crop_withoutAPlaceOnAnyPhoto_isRefused() {
        for (Frame none : List.of(new Frame(0, 0, 1e-320, 1), new Frame(0, 0, 0.5, 1e6), new Frame(1e9, 0, 1, 1))) {
            assertThrows(IllegalArgumentException.class, () -> new Crop(none), none::toString);
        }
    }

    /** Two marks on a photo are two in every frame, however large. */
    @Test
    void marksNearEachOther_andAFrameBeyondThePhoto_giveAFrame() {
        Crop beyond = new Crop(new Frame(0, 0, 1.6, 1.28), Optional.empty(), true, false);
        Marks marks = new Marks(List.of(new Point(0.1, 0.1), new Point(0.1021, 0.1)));
        Framing framing = Framing.UNTOUCHED.withCrop(PRINT, beyond).withMarks(marks);
        Brief brief = new Brief(List.of(PRINT, WHOLE), 4);
        Frame frame = Derivation.frame(WIDE, framing, WHOLE, brief);
        assertTrue(new PhotoSpace(WIDE, Pose.AS_SHOT).outline().contains(frame, ROUNDING));
    }
}
