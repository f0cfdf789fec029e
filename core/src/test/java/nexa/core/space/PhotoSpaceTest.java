package nexa.core.space;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import nexa.core.Cases;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.Bend;
import nexa.core.lens.Lens;
import nexa.core.lens.LensTerms;
import nexa.core.lens.LensUse;
import nexa.core.plumb.Plumb;
import org.junit.jupiter.api.Test;

class PhotoSpaceTest {
    private static void assertNear(Point expected, Point actual, double slack) {
        assertEquals(expected.x(), actual.x(), slack);
        assertEquals(expected.y(), actual.y(), slack);
    }

    @Test
    void toUpright_ofLevelCorners_areTheUprightPicturesCorners() {
        Cases.some(200).forEach(c -> {
            PhotoSpace space = new PhotoSpace(c.photo(), c.pose());
            PixelSize size = space.upright();
            List<Point> corners =
                    space.outline().corners().stream().map(space::toUpright).toList();
            assertNear(new Point(0, 0), corners.get(0), 1e-8);
            assertNear(new Point(size.width(), 0), corners.get(1), 1e-8);
            assertNear(new Point(size.width(), size.height()), corners.get(2), 1e-8);
            assertNear(new Point(0, size.height()), corners.get(3), 1e-8);
        });
    }

    @Test
    void toLevel_undoesToUpright() {
        Cases.some(200).forEach(c -> {
            PhotoSpace space = new PhotoSpace(c.photo(), c.pose());
            Point level = new Point(c.between(-1, 1), c.between(-1, 1));
            assertNear(level, space.toLevel(space.toUpright(level)), ROUNDING);
        });
    }

    @Test
    void fromAsShot_undoesToAsShot() {
        Cases.some(300).forEach(c -> {
            PhotoSpace space = new PhotoSpace(c.photo(), c.pose());
            Frame frame = c.wish();
            Frame back = space.fromAsShot(space.toAsShot(frame));
            assertNear(frame.centre(), back.centre(), ROUNDING);
            assertEquals(frame.width(), back.width());
            assertEquals(frame.height(), back.height());
        });
    }

    @Test
    void outputToStored_goesThroughAllSpaces() {
        for (int orientation = 1; orientation <= 8; orientation++) {
            Turn exif = Turn.ofExif(orientation);
            Cases.some(50).forEach(c -> {
                PhotoSpace space = new PhotoSpace(c.photo(), c.pose());
                Frame frame = c.wish();
                PixelSize output = new PixelSize(200, 100);
                Mapping map = space.outputToStored(exif, frame, output);
                Point upright = space.toUpright(frame.at(0.25, 0.5));
                assertNear(storedOf(space, exif, upright), map.apply(new Point(50, 50)), 1e-6);
            });
        }
    }

    /** By hand: the upright point relative to the centre, turned back through the photographer's and EXIF's turns. */
    private static Point storedOf(PhotoSpace space, Turn exif, Point upright) {
        PixelSize size = space.upright();
        Point centred = upright.minus(new Point(size.width() / 2.0, size.height() / 2.0));
        Point asShot = space.pose().turn().inverse().apply(centred);
        Point stored = exif.inverse().apply(asShot);
        PixelSize storedSize = exif.inverse().apply(space.asShot());
        return stored.plus(new Point(storedSize.width() / 2.0, storedSize.height() / 2.0));
    }

    @Test
    void positiveTilt_turnsContentClockwise() {
        PhotoSpace space = new PhotoSpace(new PixelSize(300, 200), new Pose(Turn.NONE, new Tilt(10)));
        Point right = space.toLevel(new Point(300, 100));
        assertEquals(10, right.degrees(), ROUNDING);
    }

    @Test
    void pose_mirrored_leansTheOtherWay() {
        Pose pose = new Pose(Turn.NONE, new Tilt(3)).turned(Turn.MIRROR);
        assertEquals(-3, pose.tilt().degrees());
        assertEquals(new Pose(Turn.NONE, new Tilt(3)), pose.turned(Turn.MIRROR));
    }

    @Test
    void tilt_beyondItsRange_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Tilt(45.01));
        assertThrows(IllegalArgumentException.class, () -> new Tilt(Double.NaN));
        assertEquals(new Tilt(0), new Tilt(-0.0));
    }

    @Test
    void frame_withoutArea_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Frame(0, 0, 0, 1));
        assertThrows(IllegalArgumentException.class, () -> new Frame(Double.NaN, 0, 1, 1));
    }

    /** Red and blue are read where the lens brings them; what they are asked of is green's place. */
    @Test
    void coloursOfABentPhoto_areGreensPlaceMovedAsTheLensMovesThem() {
        Cases.some(60).forEach(c -> {
            Bend farther = new Bend(c.between(0.998, 1.002), 0, c.between(-0.002, 0.002), 0, 0);
            Bend nearer = new Bend(c.between(0.998, 1.002), 0, 0, 0, 0);
            Lens lens = Lens.OFF.measured(
                    LensUse.FOUND,
                    "Kiln",
                    new LensTerms(
                            0.6, new Bend(1, 0, c.between(-0.05, 0.05), 0, 0), farther, nearer, Optional.empty()));
            PhotoSpace space = new PhotoSpace(c.photo(), c.pose().withLens(lens));
            Turn exif = new Turn(1, false);
            PixelSize output = new PixelSize(300, 200);
            Frame frame = Frame.around(Point.ORIGIN, 0.3, 0.2);
            ColourMaps maps = space.outputToStoredColours(exif, frame, output);
            Point at = new Point(c.between(0, 300), c.between(0, 200));
            assertNear(
                    space.outputToStored(exif, frame, output).apply(at),
                    maps.green().apply(at),
                    1e-9);
            Point green =
                    space.asShotToStored(exif).inverse().apply(maps.green().apply(at));
            assertNear(
                    space.asShotToStored(exif).apply(lens.red().apply(green)),
                    maps.red().apply(at),
                    1e-6);
            assertNear(
                    space.asShotToStored(exif).apply(lens.blue().apply(green)),
                    maps.blue().apply(at),
                    1e-6);
        });
    }

    @Test
    void colours_ofALensThatScattersNone_areAlike() {
        PhotoSpace space = new PhotoSpace(new PixelSize(600, 400), Pose.AS_SHOT);
        assertTrue(space.correctedToStoredColours(Turn.NONE).areAlike());
        assertNear(
                new Point(10.5, 20.5),
                space.correctedToStoredColours(Turn.NONE).green().apply(new Point(10.5, 20.5)),
                1e-9);
    }

    @Test
    void colourMaps_changeAsOne_andStayAlike() {
        ColourMaps alike = ColourMaps.alike(Affine.scale(2, 3));
        assertTrue(alike.then(Affine.translation(1, 0)).areAlike());
        assertTrue(alike.after(Affine.translation(1, 0)).areAlike());
        ColourMaps apart = new ColourMaps(Affine.scale(1.5, 1.5), Affine.IDENTITY, Affine.translation(4, 4));
        ColourMaps moved = apart.then(Affine.translation(10, 0));
        assertFalse(moved.areAlike());
        assertNear(new Point(13, 3), moved.red().apply(new Point(2, 2)), 1e-12);
        assertNear(new Point(12, 2), moved.green().apply(new Point(2, 2)), 1e-12);
        assertNear(new Point(16, 6), moved.blue().apply(new Point(2, 2)), 1e-12);
        ColourMaps before = apart.after(Affine.translation(10, 0));
        assertNear(new Point(18, 3), before.red().apply(new Point(2, 2)), 1e-12);
        assertNear(new Point(12, 2), before.green().apply(new Point(2, 2)), 1e-12);
    }

    /** The polyline of a frame's edge in stored pixels begins at each corner and goes round. */
    @Test
    void edge_goesRoundTheFrame_fromCornerToCorner() {
        Cases.some(60).forEach(c -> {
            PhotoSpace space = new PhotoSpace(c.photo(), c.pose());
            Frame frame = Frame.around(Point.ORIGIN, 0.4, 0.3);
            List<Point> edge = space.edge(Turn.NONE, frame, 8);
            assertEquals(32, edge.size());
            Mapping toStored = space.outputToStored(Turn.NONE, frame, new PixelSize(8, 8));
            assertNear(toStored.apply(new Point(0, 0)), edge.get(0), 1e-8);
            assertNear(toStored.apply(new Point(3, 0)), edge.get(3), 1e-8);
            assertNear(toStored.apply(new Point(8, 0)), edge.get(8), 1e-8);
            assertNear(toStored.apply(new Point(8, 5)), edge.get(13), 1e-8);
            assertNear(toStored.apply(new Point(8, 8)), edge.get(16), 1e-8);
            assertNear(toStored.apply(new Point(0, 8)), edge.get(24), 1e-8);
            assertNear(toStored.apply(new Point(0, 1)), edge.get(31), 1e-8);
        });
    }

    @Test
    void toOutput_isWhereADeliveredPictureShowsThePhotosCorners() {
        PhotoSpace space = new PhotoSpace(new PixelSize(600, 400), Pose.AS_SHOT);
        Frame frame = Frame.around(new Point(0.1, 0), 0.5, 0.25);
        List<Point> corners = space.toOutput(frame, new PixelSize(200, 100));
        assertEquals(4, corners.size());
        // the photo reaches from -0.5 to 0.5 and from -1/3 to 1/3, the frame from -0.15 to 0.35 and -0.125 to 0.125
        assertNear(new Point(-0.35 / 0.5 * 200, (-1 / 3.0 + 0.125) / 0.25 * 100), corners.get(0), 1e-9);
        assertNear(new Point(0.65 / 0.5 * 200, (1 / 3.0 + 0.125) / 0.25 * 100), corners.get(2), 1e-9);
    }

    @Test
    void extent_ofAPlainPhoto_isItsOwnBox_howeverItIsTilted() {
        Frame extent = new PhotoSpace(new PixelSize(600, 400), Pose.AS_SHOT.withTilt(new Tilt(7))).extent();
        assertEquals(new Frame(0, 0, 1, 2 / 3.0), extent);
    }

    /** The box of the corners, where the plumb brings them; of what it pulls very far only a part. */
    @Test
    void extent_ofAPlumbedPhoto_holdsItsCorners() {
        Cases.some(60).forEach(c -> {
            Pose pose = Pose.AS_SHOT.withPlumb(Plumb.of(c.between(-9, 9), c.between(-9, 9), 1));
            PhotoSpace space = new PhotoSpace(new PixelSize(600, 400), pose.withTilt(c.tilt()));
            List<Point> corners = List.of(
                            new Point(-0.5, -1 / 3.0),
                            new Point(0.5, -1 / 3.0),
                            new Point(0.5, 1 / 3.0),
                            new Point(-0.5, 1 / 3.0))
                    .stream()
                    .map(pose.correction().mapping()::apply)
                    .toList();
            Frame extent = space.extent();
            assertEquals(corners.stream().mapToDouble(Point::x).min().orElseThrow(), extent.left(), 1e-9);
            assertEquals(corners.stream().mapToDouble(Point::x).max().orElseThrow(), extent.right(), 1e-9);
            assertEquals(corners.stream().mapToDouble(Point::y).min().orElseThrow(), extent.top(), 1e-9);
            assertEquals(corners.stream().mapToDouble(Point::y).max().orElseThrow(), extent.bottom(), 1e-9);
        });
    }
}
