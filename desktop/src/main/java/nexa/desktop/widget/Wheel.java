package nexa.desktop.widget;

import java.util.function.DoubleConsumer;
import java.util.function.IntConsumer;
import java.util.function.LongSupplier;
import javafx.scene.Node;
import javafx.scene.input.ScrollEvent;
import nexa.core.geometry.Point;

/**
 * What a wheel, a touchpad or fingers say over a node, alike for all that scrolls, zooms or counts. A wheel gives a notch
 * at a time, a touchpad many small parts of one. Where the system tells that fingers lie on something, what they push
 * goes with them and glides on after they left; nothing else glides.
 */
public final class Wheel {
    /** What can be looked at closer. */
    public interface Looked {
        /**
         * Looks closer (factor > 1) or from farther away.
         *
         * @param at what stays where it is, in the node's coordinates
         */
        void zoom(double factor, Point at);

        /** Two fingers push what is seen, in canvas units. */
        void push(Point way);

        /** Two fingers begin to zoom; the first of them may have been taken for a press. */
        void pinch();
    }

    /** Canvas units that the toolkit gives for a notch. */
    static final double NOTCH = 40;

    /** How much closer a notch looks. */
    public static final double CLOSER = 1.2;

    /** How far a wheel scrolls, in what the toolkit gives. */
    private static final double SCROLLED = 2;

    /** After so long, in nanoseconds, or turned back, a part of a notch counts at once. */
    private static final long PAUSE = 200_000_000;

    private final LongSupplier clock;
    private boolean fingers;
    private double rest;
    private double direction;
    private long turned;

    private Wheel(Node node, LongSupplier clock) {
        this.clock = clock;
        this.turned = clock.getAsLong() - PAUSE;
        node.addEventHandler(ScrollEvent.SCROLL_STARTED, event -> fingers = true);
        node.addEventHandler(ScrollEvent.SCROLL_FINISHED, event -> fingers = false);
    }

    private static Wheel over(Node node) {
        return new Wheel(node, System::nanoTime);
    }

    /** Wheel and pinch zoom about the pointer, two fingers push. */
    public static void looks(Node node, Looked looked) {
        Wheel wheel = over(node);
        node.setOnScroll(event -> {
            wheel.looked(event, looked);
            event.consume();
        });
        node.setOnZoomStarted(event -> looked.pinch());
        node.setOnZoom(event -> {
            looked.zoom(event.getZoomFactor(), new Point(event.getX(), event.getY()));
            event.consume();
        });
    }

    /**
     * Wheel and fingers scroll; the wheel with Ctrl, and a pinch, make what is there larger or smaller.
     *
     * @param down given the way in canvas units
     * @param larger given a factor
     */
    public static void scrolls(Node node, DoubleConsumer down, DoubleConsumer larger) {
        Wheel wheel = over(node);
        node.setOnScroll(event -> {
            if (event.isShortcutDown() && !wheel.isPushed(event)) {
                larger.accept(closer(event));
            } else {
                down.accept(-event.getDeltaY() * (wheel.isPushed(event) ? 1 : SCROLLED));
            }
            event.consume();
        });
        node.setOnZoom(event -> {
            larger.accept(event.getZoomFactor());
            event.consume();
        });
    }

    /** Each notch is a step, up (or to the right) 1 and down -1; its parts add up, and what glides on counts nothing. */
    public static void counts(Node node, IntConsumer steps) {
        counts(node, System::nanoTime, steps);
    }

    static void counts(Node node, LongSupplier clock, IntConsumer steps) {
        Wheel wheel = new Wheel(node, clock);
        node.setOnScroll(event -> {
            int whole = event.isInertia() ? 0 : wheel.whole(event.getDeltaY() + event.getDeltaX());
            if (whole != 0) {
                steps.accept(whole);
            }
            event.consume();
        });
    }

    private void looked(ScrollEvent event, Looked looked) {
        if (isDrag(event)) {
            return;
        }
        if (isPushed(event)) {
            looked.push(new Point(event.getDeltaX(), event.getDeltaY()));
        } else if (event.getDeltaY() != 0) {
            looked.zoom(closer(event), new Point(event.getX(), event.getY()));
        }
    }

    private static double closer(ScrollEvent event) {
        return Math.pow(CLOSER, event.getDeltaY() / NOTCH);
    }

    private boolean isPushed(ScrollEvent event) {
        return fingers || event.isInertia();
    }

    /** Whether it is one finger on the screen, which drags as a pointer does. */
    private static boolean isDrag(ScrollEvent event) {
        return event.isDirect() && event.getTouchCount() == 1;
    }

    /** The whole steps that have come together. */
    private int whole(double way) {
        long now = clock.getAsLong();
        double to = Math.signum(way);
        boolean begins = now - turned >= PAUSE || to == -direction;
        turned = now;
        direction = to == 0 ? direction : to;
        double sum = begins ? way : rest + way;
        int whole = (int) ((begins ? Math.max(Math.abs(sum), NOTCH) * to : sum) / NOTCH);
        rest = sum - whole * NOTCH;
        return whole;
    }
}
