package nexa.desktop.widget;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.ZoomEvent;
import javafx.scene.layout.Pane;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

/** Events as a wheel, a touchpad of which nothing more is known, and fingers give them. */
class WheelTest {
    private final Node node = new Pane();
    private double closer = 1;
    private double scrolled;
    private Point pushed = Point.ORIGIN;
    private int steps;
    private int pinched;
    private long now;

    private void look() {
        Wheel.looks(node, new Wheel.Looked() {
            @Override
            public void zoom(double factor, Point at) {
                closer *= factor;
                assertEquals(new Point(30, 20), at);
            }

            @Override
            public void push(Point way) {
                pushed = pushed.plus(way);
            }

            @Override
            public void pinch() {
                pinched++;
            }
        });
    }

    @Test
    void looks_closerAsFarAsItTurns_inOneNotchOrInManyParts() {
        look();
        turn(40);
        assertEquals(1.2, closer, 1e-9);
        for (int part = 0; part < 20; part++) {
            turn(2);
        }
        assertEquals(1.44, closer, 1e-9);
        turn(-80);
        assertEquals(1, closer, 1e-9);
    }

    @Test
    void looks_pushedByTwoFingersUntilTheyGlideOut_andByNoneThatDrags() {
        look();
        fire(ScrollEvent.SCROLL_STARTED, 0, 0, 0, false, false);
        fire(ScrollEvent.SCROLL, 3, 40, 0, false, false);
        fire(ScrollEvent.SCROLL_FINISHED, 0, 0, 0, false, false);
        fire(ScrollEvent.SCROLL, 1, 20, 0, true, false);
        assertEquals(new Point(4, 60), pushed);
        fire(ScrollEvent.SCROLL_STARTED, 0, 0, 1, false, false);
        fire(ScrollEvent.SCROLL, 3, 40, 1, false, false);
        assertEquals(new Point(4, 60), pushed, "one finger on the screen drags already");
        fire(ScrollEvent.SCROLL, 3, 40, 2, false, false);
        assertEquals(new Point(7, 100), pushed);
        assertEquals(1, closer);
    }

    @Test
    void looks_closerWhenPinched() {
        look();
        pinch(ZoomEvent.ZOOM_STARTED, 1);
        pinch(ZoomEvent.ZOOM, 1.5);
        assertEquals(1.5, closer);
        assertEquals(1, pinched);
    }

    @Test
    void scrolls_twiceAsFarByAWheel_asFarAsFingersGo_andLargerWithCtrl() {
        Wheel.scrolls(node, way -> scrolled += way, factor -> closer *= factor);
        turn(-40);
        assertEquals(80, scrolled);
        fire(ScrollEvent.SCROLL_STARTED, 0, 0, 0, false, false);
        fire(ScrollEvent.SCROLL, 0, -15, 0, false, false);
        fire(ScrollEvent.SCROLL_FINISHED, 0, 0, 0, false, false);
        fire(ScrollEvent.SCROLL, 0, -5, 0, true, false);
        assertEquals(100, scrolled);
        fire(ScrollEvent.SCROLL, 0, 40, 0, false, true);
        assertEquals(1.2, closer, 1e-9);
        pinch(ZoomEvent.ZOOM, 0.5);
        assertEquals(0.6, closer, 1e-9);
        assertEquals(100, scrolled);
    }

    @Test
    void counts_eachNotch() {
        count();
        turn(40);
        turn(80);
        turn(-40);
        assertEquals(2, steps);
    }

    @Test
    void counts_partsTogether_theFirstAtOnce_andNothingThatGlides() {
        count();
        turn(4);
        assertEquals(1, steps, "one sees at once that it turns");
        for (int part = 0; part < 9; part++) {
            turn(4);
        }
        assertEquals(1, steps);
        for (int part = 0; part < 10; part++) {
            turn(4);
        }
        assertEquals(2, steps);
        fire(ScrollEvent.SCROLL, 0, 400, 0, true, false);
        assertEquals(2, steps);
    }

    @Test
    void counts_anewAfterAPauseAndWhenTurnedBack() {
        count();
        turn(4);
        turn(-4);
        assertEquals(0, steps);
        now += 1_000_000_000;
        turn(-4);
        assertEquals(-1, steps);
    }

    @Test
    void events_goNoFarther() {
        List<Event> beyond = new ArrayList<>();
        Pane around = new Pane(node);
        around.addEventHandler(ScrollEvent.SCROLL, beyond::add);
        count();
        turn(40);
        assertEquals(List.of(), beyond);
    }

    private void count() {
        Wheel.counts(node, () -> now, by -> steps += by);
    }

    private void turn(double way) {
        fire(ScrollEvent.SCROLL, 0, way, 0, false, false);
    }

    /** @param touches fingers on the screen; 0 where it is no screen that is touched */
    private void fire(
            EventType<ScrollEvent> type, double right, double up, int touches, boolean glides, boolean control) {
        Event.fireEvent(
                node,
                new ScrollEvent(
                        type,
                        30,
                        20,
                        30,
                        20,
                        false,
                        control,
                        false,
                        false,
                        touches > 0,
                        glides,
                        right,
                        up,
                        right,
                        up,
                        ScrollEvent.HorizontalTextScrollUnits.NONE,
                        0,
                        ScrollEvent.VerticalTextScrollUnits.NONE,
                        0,
                        touches,
                        null));
    }

    private void pinch(EventType<ZoomEvent> type, double factor) {
        Event.fireEvent(
                node,
                new ZoomEvent(type, 30, 20, 30, 20, false, false, false, false, false, false, factor, factor, null));
    }
}
