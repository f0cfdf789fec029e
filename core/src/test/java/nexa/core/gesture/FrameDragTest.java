package nexa.core.gesture;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
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

class FrameDragTest {
    private static final TurnedRectangle LEVEL = TurnedRectangle.of(new PixelSize(3000, 2000), Tilt.NONE);
    private static final Frame START = new Frame(0, 0, 0.4, 0.32);

    private static FrameDrag drag(Cases c, Outline outline, Grip grip, Hold hold) {
        Frame start = Fit.within(outline, c.wish());
        return new FrameDrag(outline, start, grip, grip.on(start), hold);
    }

    private static Point pointer(Cases c) {
        return new Point(c.between(-1.5, 1.5), c.between(-1.5, 1.5));
    }

    @ParameterizedTest
    @EnumSource
    void to_neverLeavesThePhoto(Grip grip) {
        for (Hold hold : Hold.values()) {
            Cases.some(1000).forEach(c -> {
                Outline outline = c.outline();
                Frame frame = drag(c, outline, grip, hold).to(pointer(c));
                // an edge nearly parallel to the drag may be crossed by Tolerance.LENGTH for each long edge dragged
                assertTrue(outline.contains(frame, 1e-7), () -> grip + " " + hold + " " + frame);
            });
        }
    }

    @ParameterizedTest
    @EnumSource
    void to_whereItBegan_isTheStart(Grip grip) {
        for (Hold hold : Hold.values()) {
            Cases.some(200).forEach(c -> {
                FrameDrag drag = drag(c, c.outline(), grip, hold);
                Frame frame = drag.to(drag.from());
                assertEquals(0, frame.centre().distance(drag.start().centre()), ROUNDING);
                assertEquals(drag.start().width(), frame.width(), 1e-8);
                assertEquals(drag.start().height(), frame.height(), 1e-8);
            });
        }
    }

    @ParameterizedTest
    @EnumSource
    void to_holdingShape_keepsItExactly(Grip grip) {
        Cases.some(500).forEach(c -> {
            FrameDrag drag = drag(c, c.outline(), grip, Hold.SHAPE);
            double aspect = drag.start().aspect();
            assertEquals(aspect, drag.to(pointer(c)).aspect(), aspect * 1e-12);
        });
    }

    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "INSIDE")
    void to_leavesTheOppositeSideWhereItWas(Grip grip) {
        for (Hold hold : Hold.values()) {
            Cases.some(500).forEach(c -> {
                FrameDrag drag = drag(c, c.outline(), grip, hold);
                Frame frame = drag.to(pointer(c));
                assertEquals(0, grip.opposite(drag.start()).distance(grip.opposite(frame)), 1e-9);
            });
        }
    }

    @Test
    void to_cornerWithoutShape_followsThePointer() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.BOTTOM_RIGHT, new Point(0.2, 0.16), Hold.NOTHING);
        Frame frame = drag.to(new Point(0.3, 0.1));
        assertEquals(0.3, frame.right(), ROUNDING);
        assertEquals(0.1, frame.bottom(), ROUNDING);
    }

    @Test
    void to_cornerWithoutShapeBeyondThePhoto_slidesAlongItsEdge() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.BOTTOM_RIGHT, new Point(0.2, 0.16), Hold.NOTHING);
        Frame frame = drag.to(new Point(0.3, 2));
        assertEquals(0.3, frame.right(), ROUNDING);
        assertEquals(LEVEL.halfHeight(), frame.bottom(), ROUNDING);
    }

    @Test
    void to_throughTheOppositeCorner_staysSmallButThere() {
        for (Hold hold : Hold.values()) {
            FrameDrag drag = new FrameDrag(LEVEL, START, Grip.BOTTOM_RIGHT, new Point(0.2, 0.16), hold);
            Frame frame = drag.to(new Point(-1, -1));
            assertEquals(FrameDrag.SMALLEST, Math.min(frame.width(), frame.height()), ROUNDING);
        }
    }

    @Test
    void to_inside_movesByThePointersWay() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.INSIDE, new Point(0.1, 0.1), Hold.SHAPE);
        Frame moved = drag.to(new Point(0.15, 0.08));
        assertEquals(0, moved.centre().distance(new Point(0.05, -0.02)), ROUNDING);
        assertEquals(START.width(), moved.width());
    }

    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "INSIDE")
    void to_aboutTheCentre_leavesItWhereItWas(Grip grip) {
        for (Hold hold : Hold.values()) {
            Cases.some(500).forEach(c -> {
                Outline outline = c.outline();
                Frame start = Fit.within(outline, c.wish());
                Frame frame = new FrameDrag(outline, start, grip, grip.on(start), hold, Pivot.CENTRE).to(pointer(c));
                assertEquals(0, start.centre().distance(frame.centre()), 1e-9);
                assertTrue(outline.contains(frame, 1e-7), () -> grip + " " + hold + " " + frame);
            });
        }
    }

    @Test
    void to_edgeAboutTheCentre_movesBothEdges() {
        FrameDrag drag = new FrameDrag(LEVEL, START, Grip.RIGHT, new Point(0.2, 0), Hold.NOTHING, Pivot.CENTRE);
        Frame frame = drag.to(new Point(0.25, 0));
        assertEquals(0.5, frame.width(), ROUNDING);
        assertEquals(START.height(), frame.height());
    }

    @Test
    void gripAt_prefersCornersThenEdgesThenInside() {
        assertEquals(Optional.of(Grip.TOP_LEFT), Grip.at(START, new Point(-0.201, -0.155), 0.02));
        assertEquals(Optional.of(Grip.TOP), Grip.at(START, new Point(-0.1, -0.165), 0.02));
        assertEquals(Optional.of(Grip.RIGHT), Grip.at(START, new Point(0.19, 0.1), 0.02));
        assertEquals(Optional.of(Grip.INSIDE), Grip.at(START, new Point(0.1, 0.1), 0.02));
        assertEquals(Optional.empty(), Grip.at(START, new Point(0.3, 0.3), 0.02));
    }

    @Test
    void tiltDrag_followsThePointersDirection() {
        TiltDrag drag = new TiltDrag(new Tilt(1), new Point(0.5, 0));
        assertEquals(
                1 + 10,
                drag.to(new Point(0.4 * Math.cos(Math.toRadians(10)), 0.4 * Math.sin(Math.toRadians(10))))
                        .degrees(),
                ROUNDING);
        assertEquals(new Tilt(1), drag.to(new Point(0.9, 0)));
    }

    @Test
    void tiltDrag_acrossTheLeft_takesTheShortWay() {
        TiltDrag drag = new TiltDrag(Tilt.NONE, new Point(-0.5, 0.01));
        assertTrue(Math.abs(drag.to(new Point(-0.5, -0.01)).degrees()) < 3);
    }
}
