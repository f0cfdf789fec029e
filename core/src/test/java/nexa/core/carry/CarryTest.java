package nexa.core.carry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.Cases;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.plumb.Plumb;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CarryTest {
    private static final PixelSize WIDE = new PixelSize(3000, 2000);
    private static final Set<Part> ALL = EnumSet.allOf(Part.class);
    private static final Set<Part> FRAME = EnumSet.of(Part.SHAPE, Part.PLACE);

    private static Format format(String shape) {
        return new Format(1, "Print", Shape.parse(shape), OrientationRule.FOLLOW_PHOTO);
    }

    private static Framing placed(PixelSize photo, Pose pose, Format format, Frame level) {
        return Framing.UNTOUCHED.withPose(pose).withCrop(format, new Crop(new PhotoSpace(photo, pose).toAsShot(level)));
    }

    private static Carry carry(PixelSize photo, Framing framing, Format format, Set<Part> parts, Opposite opposite) {
        return new Carry(photo, framing, format, new Brief(List.of(format), 2), parts, opposite, By.PLACE);
    }

    private static void assertSame(Frame expected, Frame actual) {
        assertEquals(0, expected.centre().distance(actual.centre()), 1e-9);
        assertEquals(expected.width(), actual.width(), 1e-9);
        assertEquals(expected.height(), actual.height(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({"4:5", "1:1", "16:9", "free", "as photo"})
    void to_anyPhoto_liesInsideInTheFormatsShape(String shape) {
        Format format = format(shape);
        for (Opposite opposite : Opposite.values()) {
            Cases.some(300).forEach(c -> {
                PixelSize from = c.photo();
                PixelSize to = c.photo();
                Framing source = placed(from, c.pose(), format, c.wish());
                Framing target = placed(to, c.pose(), format, c.wish());
                Framing after = carry(from, source, format, ALL, opposite)
                        .to(to, target)
                        .framing();
                Frame frame = Derivation.frame(to, after, format);
                PhotoSpace space = new PhotoSpace(to, after.pose());
                assertTrue(space.outline().contains(frame, 1e-9));
                if (format.shape() instanceof Shape.Ratio ratio) {
                    double lying = Math.max(frame.aspect(), 1 / frame.aspect());
                    assertEquals(Math.max(ratio.aspect(), 1 / ratio.aspect()), lying, 1e-9);
                }
            });
        }
    }

    @Test
    void to_aPhotoLikeIt_isTheSameFrame() {
        Cases.some(300).forEach(c -> {
            Format format = format("4:5");
            PixelSize photo = c.photo();
            Framing source = placed(photo, c.pose(), format, c.wish());
            Carried carried = carry(photo, source, format, ALL, Opposite.TURN).to(photo, Framing.UNTOUCHED);
            assertSame(Derivation.frame(photo, source, format), Derivation.frame(photo, carried.framing(), format));
            assertEquals(source.pose(), carried.framing().pose());
        });
    }

    @ParameterizedTest
    @EnumSource
    void to_turnedPhotos_isTheTurnedResult(Opposite opposite) {
        Cases.some(300).forEach(c -> {
            Format format = format("4:5");
            PixelSize from = c.photo();
            PixelSize to = c.photo();
            Framing source = placed(from, c.pose(), format, c.wish());
            Framing target = placed(to, c.pose(), format, c.wish());
            Turn by = new Turn(c.below(4), c.below(2) == 0);
            Framing straight =
                    carry(from, source, format, FRAME, opposite).to(to, target).framing();
            Framing turned = carry(from, source.withPose(source.pose().turned(by)), format, FRAME, opposite)
                    .to(to, target.withPose(target.pose().turned(by)))
                    .framing();
            assertSame(by.apply(Derivation.frame(to, straight, format)), Derivation.frame(to, turned, format));
        });
    }

    @Test
    void to_anUprightPhoto_turnsKeepsOrSkips() {
        Format format = format("4:5");
        Framing source = placed(WIDE, Pose.AS_SHOT, format, new Frame(0.1, 0.05, 0.25, 0.2));
        PixelSize upright = WIDE.transposed();
        Framing turned = carry(WIDE, source, format, FRAME, Opposite.TURN)
                .to(upright, Framing.UNTOUCHED)
                .framing();
        // a fifth right of the middle and 15 % below it, in the photo's own measures
        assertSame(new Frame(0.1 * 2 / 3, 0.05 * 3 / 2, 0.2, 0.25), Derivation.frame(upright, turned, format));
        Framing kept = carry(WIDE, source, format, FRAME, Opposite.KEEP)
                .to(upright, Framing.UNTOUCHED)
                .framing();
        assertEquals(1.25, Derivation.frame(upright, kept, format).aspect(), 1e-9);
        Carried skipped = carry(WIDE, source, format, ALL, Opposite.SKIP).to(upright, Framing.UNTOUCHED);
        assertEquals(new Carried(Framing.UNTOUCHED, Set.of(Loss.LEFT_ALONE)), skipped);
    }

    @Test
    void parts_areCarriedByThemselves() {
        Format format = format("free");
        Framing source = placed(WIDE, new Pose(Turn.MIRROR, new Tilt(2)), format, new Frame(0.1, 0.05, 0.3, 0.2));
        Framing target = placed(WIDE, Pose.AS_SHOT, format, new Frame(-0.1, -0.05, 0.4, 0.4));
        Frame own = Derivation.frame(WIDE, target, format);
        Framing tilted = carry(WIDE, source, format, Set.of(Part.TILT), Opposite.TURN)
                .to(WIDE, target)
                .framing();
        assertEquals(new Pose(Turn.NONE, new Tilt(2)), tilted.pose());
        assertEquals(target.crops(), tilted.crops());
        Framing sized = carry(WIDE, source, format, Set.of(Part.SHAPE), Opposite.TURN)
                .to(WIDE, target)
                .framing();
        assertSame(new Frame(-0.1, -0.05, 0.3, 0.2), Derivation.frame(WIDE, sized, format));
        Framing moved = carry(WIDE, source, format, Set.of(Part.PLACE), Opposite.TURN)
                .to(WIDE, target)
                .framing();
        Frame there = Derivation.frame(WIDE, moved, format);
        assertEquals(own.width(), there.width(), 1e-9);
        assertTrue(there.centreX() > 0.05);
        Framing mirrored = carry(WIDE, source, format, Set.of(Part.MIRROR), Opposite.TURN)
                .to(WIDE, target.withPose(new Pose(Turn.CLOCKWISE, new Tilt(1))))
                .framing();
        assertEquals(new Pose(Turn.CLOCKWISE.then(Turn.MIRROR), new Tilt(-1)), mirrored.pose());
        Framing turned = carry(
                        WIDE,
                        source.withPose(new Pose(Turn.CLOCKWISE, Tilt.NONE)),
                        format,
                        Set.of(Part.TURN),
                        Opposite.TURN)
                .to(WIDE, target)
                .framing();
        assertEquals(new Pose(Turn.CLOCKWISE, Tilt.NONE), turned.pose());
    }

    @Test
    void losses_nameWhatCouldNotBeKept() {
        Format format = format("4:5");
        Framing source = placed(WIDE, Pose.AS_SHOT, format, new Frame(0.2, 0, 0.8, 0.64));
        PixelSize panorama = new PixelSize(4000, 1000);
        Carried carried = carry(WIDE, source, format, FRAME, Opposite.TURN).to(panorama, Framing.UNTOUCHED);
        assertTrue(carried.losses().contains(Loss.SMALLER));
        Framing corner = placed(WIDE, Pose.AS_SHOT, format, new Frame(0.3, 0.2, 0.3, 0.24));
        Carried moved = carry(WIDE, corner, format, FRAME, Opposite.TURN).to(panorama, Framing.UNTOUCHED);
        assertTrue(moved.losses().contains(Loss.MOVED) || moved.losses().contains(Loss.SMALLER));
        Carried same = carry(WIDE, corner, format, FRAME, Opposite.TURN).to(WIDE, Framing.UNTOUCHED);
        assertTrue(same.losses().isEmpty());
    }

    @Test
    void ownShapeAndOutside_goWithTheShape() {
        Format format = format("4:5");
        Crop own = new Crop(new Frame(0.4, 0, 0.3, 0.3), Optional.of(Shape.parse("1:1")), true, true);
        Framing source = Framing.UNTOUCHED.withCrop(format, own);
        Framing after = carry(WIDE, source, format, FRAME, Opposite.TURN)
                .to(WIDE, Framing.UNTOUCHED)
                .framing();
        Crop carried = after.crop(format).orElseThrow();
        assertEquals(own.ownShape(), carried.ownShape());
        assertTrue(carried.outside());
        assertTrue(!carried.checked(), "what was carried is not looked at yet");
    }

    /** Corrections go along each by itself, and nothing else changes. */
    @Test
    void correctionsAndOverlay_areCarriedByThemselves() {
        Format format = format("free");
        Lens lens = Lens.byHand(new ByHand(-0.05, 0, 0.5));
        Plumb plumb = Plumb.of(4, 1, 1);
        Neutral warm = new Neutral(new White(0.36, 0.36), 0.5, Optional.empty());
        OverlayChoice overlay = OverlayChoice.of(Overlay.GRID);
        Pose held = Pose.AS_SHOT.withLens(lens).withPlumb(plumb).withNeutral(warm);
        Framing source =
                placed(WIDE, held, format, new Frame(0.1, 0.05, 0.3, 0.2)).withOverlay(overlay);
        Framing target = placed(WIDE, Pose.AS_SHOT, format, new Frame(-0.1, -0.05, 0.4, 0.4));
        assertEquals(
                Pose.AS_SHOT.withLens(lens),
                only(Part.LENS, source, target, format).pose());
        assertEquals(
                Pose.AS_SHOT.withPlumb(plumb),
                only(Part.PLUMB, source, target, format).pose());
        assertEquals(
                Pose.AS_SHOT.withNeutral(warm),
                only(Part.NEUTRAL, source, target, format).pose());
        assertEquals(
                Optional.of(overlay), only(Part.OVERLAY, source, target, format).overlay());
        for (Part other : List.of(Part.LENS, Part.PLUMB, Part.NEUTRAL)) {
            assertEquals(Optional.empty(), only(other, source, target, format).overlay());
        }
        assertEquals(Pose.AS_SHOT, only(Part.OVERLAY, source, target, format).pose());
    }

    /** What the correction comes to on the other photo is here what it is on the first. */
    private static Framing only(Part part, Framing source, Framing target, Format format) {
        return carry(WIDE, source, format, Set.of(part), Opposite.TURN)
                .to(WIDE, target, source.pose().correction())
                .framing();
    }
}
