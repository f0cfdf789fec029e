package nexa.core.trim;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.Cases;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Tolerance;
import nexa.core.geometry.Turn;
import nexa.core.plumb.Plumb;
import nexa.core.shape.Shape;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class TrimTest {
    private static final PixelSize PHOTO = new PixelSize(3000, 2000);
    private static final Trim TRIM = new Trim(-0.4, -0.3, 0.45, 0.25, new Tilt(1.5), 0);

    @Test
    void untrimmed_isTheWholePhoto_howeverNarrow() {
        for (PixelSize photo : List.of(new PixelSize(6000, 4000), new PixelSize(20_000, 40), new PixelSize(2, 300))) {
            Frame whole = Trim.NONE.within(photo);
            assertEquals((double) photo.width() / photo.longEdge(), whole.width(), 1e-12);
            assertEquals((double) photo.height() / photo.longEdge(), whole.height(), 1e-12);
            assertEquals(0, whole.centre().length(), 1e-12);
        }
    }

    @Test
    void text_readsBackToTheLastBit() {
        assertEquals(TRIM, Trim.parse(TRIM.text()));
        assertEquals("", Trim.NONE.text());
        assertEquals(Trim.NONE, Trim.parse(""));
        assertThrows(IllegalArgumentException.class, () -> Trim.parse("0 0 0 0 0 0"));
        assertThrows(IllegalArgumentException.class, () -> Trim.parse("1 2"));
    }

    @Test
    void corners_ofAWholePhoto_areItsOwn() {
        assertEquals(new PhotoSpace(PHOTO, Pose.AS_SHOT).outline().corners(), Trim.NONE.corners(PHOTO));
    }

    @Test
    void corners_neverLeaveThePhoto() {
        Cases.some(200).forEach(cases -> {
            Trim trim = any(cases);
            for (Point corner : trim.corners(PHOTO)) {
                assertTrue(Math.abs(corner.x()) <= 0.5 + Tolerance.LENGTH, trim.text());
                assertTrue(Math.abs(corner.y()) <= 1.0 / 3 + Tolerance.LENGTH, trim.text());
                Point own = trim.onAxes(corner);
                assertTrue(own.x() >= trim.left() - Tolerance.LENGTH && own.x() <= trim.right() + Tolerance.LENGTH);
            }
        });
    }

    @Test
    void outline_ofALeaningTrim_liesStraight_whereTheTiltUndoesIt() {
        Pose pose = Pose.AS_SHOT.withTrim(TRIM).withTilt(TRIM.lean().negated());
        PhotoSpace space = new PhotoSpace(PHOTO, pose);

        assertEquals(2, space.outline().levelSides().size());
        assertEquals(TRIM.top(), space.outline().levelSides().getFirst(), 1e-9);
        assertEquals(2, space.outline().uprightSides().size());
        assertEquals(TRIM.right(), space.outline().uprightSides().getFirst(), 1e-9);
    }

    @Test
    void derivedFrames_showNothingOfTheBorder_howeverThePhotoIsHeld() {
        Cases.some(200).forEach(cases -> {
            Trim trim = any(cases);
            Pose pose = new Pose(
                            Correction.NONE,
                            new Turn(cases.below(4), cases.below(2) == 0),
                            new Tilt(cases.between(-10, 10)),
                            trim)
                    .withPlumb(cases.below(2) == 0 ? Plumb.NONE : Plumb.of(cases.between(-8, 8), 3, 0.8));
            PhotoSpace space = new PhotoSpace(PHOTO, pose);
            Format format = format(new Shape.Ratio(4, 5));
            Frame frame = Derivation.frame(PHOTO, Framing.UNTOUCHED.withPose(pose), format);
            assertTrue(space.outline().holds(frame), trim.text());
            for (Point corner : frame.corners()) {
                Point own = trim.onAxes(space.toAsShot(corner));
                assertTrue(own.x() >= trim.left() - 1e-4 && own.x() <= trim.right() + 1e-4, trim.text());
                assertTrue(own.y() >= trim.top() - 1e-4 && own.y() <= trim.bottom() + 1e-4, trim.text());
            }
        });
    }

    @Test
    void asPhoto_isTheShapeOfWhatIsLeft_centredThere() {
        Trim square = new Trim(-0.4, -0.2, 0, 0.2, Tilt.NONE, 0);
        PhotoSpace space = new PhotoSpace(PHOTO, Pose.AS_SHOT.withTrim(square));

        Frame whole = Derivation.largest(space, format(Shape.AS_PHOTO));
        Frame wide = Derivation.largest(space, format(new Shape.Ratio(2, 1)));

        assertEquals(new PixelSize(1200, 1200), space.keptSize());
        assertEquals(1, whole.aspect(), 1e-9);
        assertEquals(0.4, whole.width(), 1e-9);
        assertEquals(-0.2, wide.centreX(), 1e-9);
        assertEquals(0, wide.centreY(), 1e-9);
    }

    @Test
    void trimmedAndBack_givesTheSameFrameToTheLastBit() {
        Cases.some(100).forEach(cases -> {
            Format format = format(new Shape.Ratio(1, 1));
            Frame wish = new Frame(cases.between(-0.3, 0.3), cases.between(-0.2, 0.2), 0.3, 0.3);
            Framing framing = Framing.UNTOUCHED.withCrop(format, new Crop(wish));
            Frame before = Derivation.frame(PHOTO, framing, format);
            Framing trimmed = framing.withPose(framing.pose().withTrim(any(cases)));
            Derivation.frame(PHOTO, trimmed, format);
            Framing back = trimmed.withPose(trimmed.pose().withTrim(Trim.NONE));
            assertEquals(before, Derivation.frame(PHOTO, back, format));
        });
    }

    @Test
    void with_movesOneSide_andNeverPastTheOther() {
        assertEquals(-0.35, TRIM.with(Side.LEFT, -0.35).left());
        assertEquals(TRIM.right() - Trim.SMALLEST, TRIM.with(Side.LEFT, 0.9).left(), 1e-12);
        assertEquals(1, TRIM.with(Side.BOTTOM, 7).bottom());
        assertEquals(
                0.05,
                new Trim(-0.4, -0.3, 0.4, 0.3, Tilt.NONE, 0.2)
                        .with(Side.TOP, 0.2)
                        .round(),
                1e-12);
    }

    @Test
    void turned_coversWhatTheTurnedCornersDo() {
        Cases.some(100).forEach(cases -> {
            Trim trim = any(cases);
            Turn turn = cases.turn();
            Trim turned = trim.turned(turn);
            for (Point corner : trim.corners(PHOTO)) {
                Point own = turned.onAxes(turn.apply(corner));
                assertTrue(own.x() >= turned.left() - 1e-9 && own.x() <= turned.right() + 1e-9, trim.text());
                assertTrue(own.y() >= turned.top() - 1e-9 && own.y() <= turned.bottom() + 1e-9, trim.text());
            }
        });
    }

    @Test
    void roundCorners_areLeftOut() {
        Trim slide = new Trim(-0.4, -0.3, 0.4, 0.3, Tilt.NONE, 0.05);
        PhotoSpace space = new PhotoSpace(PHOTO, Pose.AS_SHOT.withTrim(slide));

        assertTrue(slide.corners(PHOTO).size() > 20);
        assertTrue(space.outline().contains(new Point(0.39, 0), 0));
        assertTrue(!space.outline().contains(new Point(0.395, 0.295), 0));
    }

    private static Format format(Shape shape) {
        return Brief.EMPTY.with("One", shape).formats().getFirst();
    }

    private static Trim any(Cases cases) {
        double left = cases.between(-0.6, 0);
        double top = cases.between(-0.5, 0);
        return new Trim(
                left,
                top,
                left + cases.between(0.3, 0.6),
                top + cases.between(0.3, 0.6),
                new Tilt(cases.between(-8, 8)),
                cases.below(2) == 0 ? 0 : cases.between(0, 0.1));
    }

    @Test
    void leaning_changesTheLeanAlone() {
        assertEquals(new Trim(-0.4, -0.3, 0.45, 0.25, new Tilt(-2), 0), TRIM.leaning(new Tilt(-2)));
        assertEquals(TRIM, TRIM.leaning(new Tilt(-2)).leaning(TRIM.lean()));
    }

    @Test
    void sides_areOppositeInPairs() {
        assertEquals(Side.RIGHT, Side.LEFT.opposite());
        assertEquals(Side.BOTTOM, Side.TOP.opposite());
        for (Side side : Side.values()) {
            assertEquals(side, side.opposite().opposite());
            assertEquals(side.isUpright(), side.opposite().isUpright());
            assertEquals(side.isFar(), !side.opposite().isFar());
        }
        assertTrue(Side.LEFT.isUpright() && Side.BOTTOM.isFar() && Side.RIGHT.isFar());
        assertFalse(Side.TOP.isUpright());
    }

    @Test
    void bands_addedOneByOne_orAtOnce_areTheSame() {
        Bands.Band one = new Bands.Band(true, new Gaps.Gap(-0.2, -0.1));
        Bands.Band other = new Bands.Band(false, new Gaps.Gap(0.1, 0.15));
        Bands.Band touching = new Bands.Band(true, new Gaps.Gap(-0.1, 0));
        Bands all =
                Bands.NONE.plus(List.of(one, other, touching), PHOTO, Trim.NONE).orElseThrow();
        assertEquals(Bands.NONE.plus(one).plus(other).plus(touching), all);
        assertEquals(2, all.count(), "those that touch are one");
        assertEquals(List.of(new Bands.Band(true, new Gaps.Gap(-0.2, 0)), other), all.all());
        assertEquals(List.of(other), all.minus(all.all().getFirst()).all());
        assertEquals(Bands.NONE, all.minus(all.all().getFirst()).minus(other));
        assertThrows(
                IllegalArgumentException.class, () -> Bands.NONE.plus(new Bands.Band(true, new Gaps.Gap(-0.45, 0.46))));
    }

    /** Four quarter circles, each about a point as far from both sides as they are round. */
    @Test
    void roundCorners_areQuarterCircles() {
        Trim round = new Trim(-0.4, -0.3, 0.4, 0.3, Tilt.NONE, 0.05);
        List<Point> corners = round.corners(PHOTO);
        assertEquals(0, corners.size() % 4);
        for (Point corner : corners) {
            double x = Math.abs(corner.x()) - 0.35;
            double y = Math.abs(corner.y()) - 0.25;
            assertTrue(x >= -1e-9 && y >= -1e-9, corner::toString);
            assertEquals(0.05, Math.hypot(x, y), 1e-9);
        }
        for (int which = 0; which < 4; which++) {
            double x = which % 2 == 0 ? -1 : 1;
            double y = which < 2 ? -1 : 1;
            assertEquals(
                    corners.size() / 4,
                    corners.stream().filter(c -> c.x() * x > 0 && c.y() * y > 0).count());
        }
    }
}
