package nexa.desktop.bench;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.scene.layout.Region;
import nexa.core.geometry.Point;
import nexa.desktop.bench.layer.BenchSpots;
import nexa.desktop.session.Session;

/**
 * A cross that arrow keys move over the photo while a drag or a click is waited for: whatever the pointer draws, touches
 * and takes hold of, keys do where the cross is.
 */
final class Aim {
    /** What a step moves it, in canvas units. */
    private static final double STEP = 2;

    private final Region bench;
    private final Session session;
    private final ObjectProperty<BenchMode> mode;
    private final Press press;
    private final Runnable redraw;
    private Optional<Point> at = Optional.empty();

    /**
     * @param mode what is waited for; in {@link BenchMode#FRAMING} there is no cross, as arrow keys move the frame
     * @param redraw called when the cross changed
     */
    Aim(Region bench, Session session, ObjectProperty<BenchMode> mode, Press press, Runnable redraw) {
        this.bench = bench;
        this.session = session;
        this.mode = mode;
        this.press = press;
        this.redraw = redraw;
    }

    /** Where it is on the canvas; empty unless it shows. */
    Optional<Point> at() {
        return at;
    }

    /**
     * Moves the cross, which first shows itself.
     *
     * @param start where it shows itself
     * @param right steps
     * @param down steps
     * @return false where there is none
     */
    boolean move(Point start, int right, int down) {
        if (mode.get() == BenchMode.FRAMING) {
            return false;
        }
        Point from = at.orElse(start);
        Point to = new Point(
                Math.clamp(from.x() + right * STEP, 0, bench.getWidth()),
                Math.clamp(from.y() + down * STEP, 0, bench.getHeight()));
        at = Optional.of(to);
        press.to(to);
        redraw.run();
        return true;
    }

    /** Presses where the cross is, or lets go of what was pressed; false where there is no cross. */
    boolean press() {
        Optional<Point> place = at; // what ends may take the cross away
        place.ifPresent(press.isOn() ? press::end : from -> press.begin(from, false));
        place.ifPresent(from -> redraw.run());
        return place.isPresent();
    }

    /** Nothing shows any more, and what keys began is given up. */
    void leave() {
        if (at.isEmpty()) {
            return;
        }
        if (press.isOn()) {
            session.gestures().abandon();
            press.letGo();
        }
        at = Optional.empty();
        redraw.run();
    }

    void draw(BenchSpots drawn) {
        at.ifPresent(place -> drawn.cross(place, press.isOn()));
    }
}
