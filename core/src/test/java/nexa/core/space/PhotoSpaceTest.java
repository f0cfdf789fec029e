package nexa.core.space;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.List;
import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
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
}
