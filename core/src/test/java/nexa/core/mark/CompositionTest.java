package nexa.core.mark;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.outline.TurnedRectangle;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class CompositionTest {
    private static List<Point> marks(Cases c, int count) {
        return count == 1
                ? List.of(new Point(c.between(-0.5, 0.5), c.between(-0.5, 0.5)))
                : List.of(
                        new Point(c.between(-0.5, 0), c.between(-0.5, 0)),
                        new Point(c.between(0.1, 0.5), c.between(0.1, 0.5)));
    }

    @Test
    void marks_areBackWhereTheyWereHoweverThePhotoIsTurned() {
        Cases.some(500).forEach(c -> {
            PhotoSpace space = new PhotoSpace(c.photo(), c.pose());
            List<Point> level = marks(c, 2);
            List<Point> again = Marks.of(space, level).in(space);
            assertEquals(0, level.getFirst().distance(again.getFirst()), Cases.ROUNDING);
            assertEquals(0, level.getLast().distance(again.getLast()), Cases.ROUNDING);
        });
    }

    @Test
    void marks_stayOnThePhotosContent() {
        Cases.some(500).forEach(c -> {
            PhotoSpace before = new PhotoSpace(c.photo(), Pose.AS_SHOT);
            PhotoSpace after = new PhotoSpace(before.asShot(), Pose.AS_SHOT.withTilt(c.tilt()));
            Point pixel = new Point(c.between(0, 1000), c.between(0, 1000));
            Marks marks = Marks.of(before, List.of(before.toLevel(pixel)));
            Point there = after.toUpright(marks.in(after).getFirst());
            assertEquals(0, pixel.distance(there), 1e-6);
        });
    }

    @Test
    void frame_ofTheSameMarks_isTheSameFrame() {
        Cases.some(500).forEach(c -> {
            Frame frame = c.wish();
            List<Point> marks = marks(c, c.below(2) + 1);
            Composition composition = Composition.of(frame, marks);
            Frame again = composition.frame(marks, frame.aspect());
            assertEquals(0, frame.centre().distance(again.centre()), 1e-8);
            assertEquals(frame.width(), again.width(), 1e-8 * frame.width());
            assertEquals(0, composition.error(frame, marks), 1e-8);
        });
    }

    @Test
    void frame_putsAnyMarksWhereTheyWereInFramesOfAnyShape() {
        Cases.some(500).forEach(c -> {
            Composition composition = Composition.of(c.wish(), marks(c, 2));
            List<Point> others = marks(c, 2);
            double aspect = c.aspect();
            Tilt tilt = composition.tilt(Tilt.NONE, others, aspect);
            List<Point> tilted = others.stream().map(tilt::rotate).toList();
            if (Math.abs(tilt.degrees()) < Tilt.LIMIT) {
                assertEquals(0, composition.error(composition.frame(tilted, aspect), tilted), 1e-8);
            }
        });
    }

    @Test
    void frame_withoutRoom_keepsThePlaceRightAndFits() {
        Cases.some(500).forEach(c -> {
            Composition composition = Composition.of(c.wish(), marks(c, 1));
            TurnedRectangle room = c.outline();
            List<Point> others = List.of(new Point(0.01, 0.02));
            Frame frame = composition.frame(room, others, c.aspect());
            assertEquals(
                    0,
                    Composition.fraction(frame, others.getFirst()).distance(Marks.middle(composition.places())),
                    1e-8);
            assertTrue(room.halfRoomAcross(frame.width(), frame.height()) <= room.halfWidth() + 1e-9);
        });
    }

    @Test
    void oneMark_keepsTheAreaInAnyShape() {
        Composition composition = Composition.of(new Frame(0, 0, 0.4, 0.2), List.of(new Point(0.1, 0)));
        Frame other = composition.frame(List.of(new Point(-0.1, 0.1)), 0.5);
        assertEquals(0.08, other.width() * other.height(), 1e-12);
        assertEquals(0.5, other.aspect(), 1e-12);
        assertEquals(0.75, Composition.fraction(other, new Point(-0.1, 0.1)).x(), 1e-12);
    }

    @Test
    void brokenMarks_areRefused() {
        Point p = new Point(0.1, 0.1);
        assertThrows(IllegalArgumentException.class, () -> new Marks(List.of(p, p)));
        assertThrows(IllegalArgumentException.class, () -> new Marks(List.of(p, Point.ORIGIN, new Point(1, 1))));
        assertThrows(IllegalArgumentException.class, () -> new Marks(List.of(new Point(Double.NaN, 0))));
        assertThrows(IllegalArgumentException.class, () -> new Composition(List.of(), 1));
        assertThrows(IllegalArgumentException.class, () -> new Composition(List.of(p), 0));
    }
}
