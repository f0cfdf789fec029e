package nexa.bench.base;

import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.ScrollEvent;

/** A wheel that is turned by a notch at each pulse, down through the photos and back. */
public final class Scrolling {
    /** What a wheel gives for a notch, canvas units. */
    private static final double NOTCH = 40;

    private static final int STEPS = 400;
    private static final long PICTURES = 15_000;

    private Scrolling() {}

    /** @param view selects what is scrolled */
    public static void measure(String what, String view, Scene scene) {
        awaitPictures(scene);
        Node node = Fx.on(() -> scene.lookup(view));
        Frames.measure(
                what + ", scrolled", step -> Event.fireEvent(node, wheel(step / STEPS % 2 == 0 ? -NOTCH : NOTCH)));
    }

    private static ScrollEvent wheel(double by) {
        return new ScrollEvent(
                ScrollEvent.SCROLL,
                600,
                400,
                600,
                400,
                false,
                false,
                false,
                false,
                false,
                false,
                0,
                by,
                0,
                by,
                ScrollEvent.HorizontalTextScrollUnits.NONE,
                0,
                ScrollEvent.VerticalTextScrollUnits.NONE,
                0,
                0,
                null);
    }

    /** Until no picture arrives any more. */
    public static void awaitPictures(Scene scene) {
        Fx.layout(scene);
        try {
            Thread.sleep(PICTURES);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
