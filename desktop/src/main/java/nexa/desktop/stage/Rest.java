package nexa.desktop.stage;

import java.util.List;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Scene;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.ZoomEvent;

/**
 * Whether nobody does anything in the window just now: what has time until then would make a gesture jerk, however low its
 * priority. Thread-safe.
 */
public final class Rest {
    /** As long as somebody may stop in the middle of a gesture, in nanoseconds. */
    private static final long MOMENT = 700_000_000;

    /** What is done; a pointer that only goes by is nothing. */
    private static final List<EventType<? extends Event>> DONE = List.of(
            MouseEvent.MOUSE_PRESSED,
            MouseEvent.MOUSE_DRAGGED,
            ScrollEvent.SCROLL,
            ZoomEvent.ZOOM,
            KeyEvent.KEY_PRESSED);

    private volatile long last = System.nanoTime() - MOMENT;

    /** From now on what is done there counts. */
    public void watch(Scene scene) {
        DONE.forEach(type -> scene.addEventFilter(type, event -> last = System.nanoTime()));
    }

    public boolean isNow() {
        return System.nanoTime() - last >= MOMENT;
    }
}
