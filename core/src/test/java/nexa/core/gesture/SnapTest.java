package nexa.core.gesture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import nexa.core.Cases;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.gesture.FrameDrag.Pivot;
import nexa.core.outline.Outline;
import nexa.core.outline.TurnedRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SnapTest {
    private static final TurnedRectangle LEVEL = TurnedRectangle.of(new PixelSize(3000, 2000), Tilt.NONE);
    private static final Frame START = new Frame(0.1, 0.05, 0.4, 0.32);

    @ParameterizedTest
    @EnumSource
    void drag_snapped_staysInTheRoomAndNearThePointer(Grip grip) {
        for (Hold hold : Hold.values()) {
            for (Pivot pivot : Pivot.values()) {
                Cases.some(300).forEach(c -> {
                    Outline room = c.outline();
                    Frame start = Fit.within(room, c.wish());
                    FrameDrag drag = new FrameDrag(room, start, grip, grip.on(start), hold, pivot);
                    Snap snap = Snap.of(room, List.of(new Point(c.between(-0.3, 0.3), c.between(-0.3, 0.3))), 0.02);
                    Point pointer = new Point(c.between(-0.7, 0.7), c.between(-0.7, 0.7));
                    Snap.Caught caught = snap.drag(drag, pointer);
                    assertTrue(room.contains(caught.frame(), 1e-7), () -> grip + " " + caught);
                    caught.x().ifPresent(x -> assertTrue(snap.xs().contains(x)));
                    caught.y().ifPresent(y -> assertTrue(snap.ys().contains(y)));
                });
            }
        }
    }

    @Test
    void drag_insideNearTheCentreLines_liesOnThemExactly() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.INSIDE, START.centre(), Hold.SHAPE);
        Snap.Caught caught = Snap.of(LEVEL, List.of(), 0.02).drag(drag, new Point(0.012, -0.009));
        assertEquals(0, caught.frame().centre().distance(Point.ORIGIN), 1e-12);
        assertEquals(OptionalDouble.of(0), caught.x());
        assertEquals(OptionalDouble.of(0), caught.y());
    }

    @Test
    void drag_outOfReach_isFree() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.INSIDE, START.centre(), Hold.SHAPE);
        Point pointer = new Point(0.05, -0.05);
        Snap.Caught caught = Snap.of(LEVEL, List.of(), 0.02).drag(drag, pointer);
        assertEquals(drag.to(pointer), caught.frame());
        assertEquals(
                drag.to(pointer), Snap.NONE.drag(drag, new Point(0.05, -0.05)).frame());
    }

    @Test
    void drag_cornerKeepingShape_catchesTheNearerLineAndKeepsTheShape() {
        for (Pivot pivot : Pivot.values()) {
            FrameDrag drag =
                    new FrameDrag(LEVEL, START, Grip.BOTTOM_RIGHT, Grip.BOTTOM_RIGHT.on(START), Hold.SHAPE, pivot);
            Snap snap = new Snap(List.of(0.35), List.of(), 0.02);
            Snap.Caught caught = snap.drag(drag, Grip.BOTTOM_RIGHT.on(START).plus(new Point(0.055, 0.03)));
            assertEquals(0.35, caught.frame().right(), 1e-12);
            assertEquals(1.25, caught.frame().aspect(), 1e-12);
            assertEquals(OptionalDouble.of(0.35), caught.x());
        }
    }

    /** A frame that keeps its shape has one freedom: its size. */
    @Test
    void drag_cornerKeepingShapeNearTwoLines_catchesTheNearerOne() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.BOTTOM_RIGHT, Grip.BOTTOM_RIGHT.on(START), Hold.SHAPE);
        Point pointer = Grip.BOTTOM_RIGHT.on(START).plus(new Point(0.05, 0.04));
        Frame free = drag.to(pointer);
        Snap below = new Snap(List.of(free.right() + 0.012), List.of(free.bottom() + 0.004), 0.02);
        Frame frame = below.drag(drag, pointer).frame();
        assertEquals(free.bottom() + 0.004, frame.bottom(), 1e-12);
        assertEquals(1.25, frame.aspect(), 1e-12);
        assertEquals(OptionalDouble.empty(), below.drag(drag, pointer).x(), "that line is missed");
        Snap beside = new Snap(List.of(free.right() - 0.003), List.of(free.bottom() + 0.004), 0.02);
        assertEquals(free.right() - 0.003, beside.drag(drag, pointer).frame().right(), 1e-12);
        assertEquals(OptionalDouble.empty(), beside.drag(drag, pointer).y());
    }

    @Test
    void drag_edge_catchesAMark() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.LEFT, Grip.LEFT.on(START), Hold.NOTHING);
        Snap snap = Snap.of(LEVEL, List.of(new Point(-0.2, 0.3)), 0.02);
        assertEquals(-0.2, snap.drag(drag, new Point(-0.19, 0)).frame().left(), 1e-12);
    }

    @Test
    void draw_takesTheWayOfTheDrag() {
        FrameDraw draw = new FrameDraw(LEVEL, new Point(-0.1, -0.1), OptionalDouble.of(0.8));
        assertEquals(1.25, draw.to(new Point(0.3, 0.1)).orElseThrow().aspect(), 1e-9);
        assertEquals(0.8, draw.to(new Point(0.1, 0.2)).orElseThrow().aspect(), 1e-9);
        assertTrue(draw.to(new Point(-0.1, -0.095)).isEmpty());
    }

    @Test
    void draw_staysInTheRoomWithItsFirstCornerInPlace() {
        Cases.some(500).forEach(c -> {
            Outline room = c.outline();
            Point from = Fit.within(room, c.wish()).centre();
            OptionalDouble aspect = c.below(2) == 0 ? OptionalDouble.empty() : OptionalDouble.of(c.aspect());
            Point to = new Point(c.between(-1, 1), c.between(-1, 1));
            new FrameDraw(room, from, aspect).to(to).ifPresent(frame -> {
                assertTrue(room.contains(frame, 1e-7), () -> from + " " + to + " " + frame);
                assertTrue(
                        frame.corners().stream().anyMatch(corner -> corner.distance(from) < 2e-3),
                        () -> from + " " + frame);
                aspect.ifPresent(a -> assertEquals(
                        Math.max(a, 1 / a), Math.max(frame.aspect(), 1 / frame.aspect()), 1e-9 * Math.max(a, 1 / a)));
            });
        });
    }

    /** The first corner stays, whichever way one draws. */
    @Test
    void draw_anyWay_beginsAtTheFirstCorner() {
        Point from = new Point(0.05, 0.02);
        FrameDraw draw = new FrameDraw(LEVEL, from, OptionalDouble.empty());
        Frame rightDown = draw.to(new Point(0.25, 0.12)).orElseThrow();
        assertEquals(0, from.distance(rightDown.at(0, 0)), 1e-9);
        assertEquals(0, new Point(0.25, 0.12).distance(rightDown.at(1, 1)), 1e-9);
        Frame leftUp = draw.to(new Point(-0.15, -0.08)).orElseThrow();
        assertEquals(0, from.distance(leftUp.at(1, 1)), 1e-9);
        assertEquals(0, new Point(-0.15, -0.08).distance(leftUp.at(0, 0)), 1e-9);
        Frame rightUp = draw.to(new Point(0.25, -0.08)).orElseThrow();
        assertEquals(0, from.distance(rightUp.at(0, 1)), 1e-9);
        Frame leftDown = draw.to(new Point(-0.15, 0.12)).orElseThrow();
        assertEquals(0, from.distance(leftDown.at(1, 0)), 1e-9);
    }

    @Test
    void draw_withAFlatOrTallShape_liesAsTheDragGoes() {
        for (double shape : new double[] {2, 0.5}) {
            FrameDraw draw = new FrameDraw(LEVEL, new Point(-0.1, -0.1), OptionalDouble.of(shape));
            assertEquals(2, draw.to(new Point(0.2, 0)).orElseThrow().aspect(), 1e-9);
            assertEquals(0.5, draw.to(new Point(0, 0.2)).orElseThrow().aspect(), 1e-9);
            assertEquals(2, draw.to(new Point(-0.3, -0.15)).orElseThrow().aspect(), 1e-9);
        }
        assertTrue(
                new FrameDraw(LEVEL, new Point(2, 0), OptionalDouble.empty())
                        .to(Point.ORIGIN)
                        .isEmpty(),
                "outside");
    }
}
