package nexa.desktop.widget;

import java.util.LinkedHashSet;
import java.util.Set;
import javafx.animation.AnimationTimer;

/**
 * Does what can wait for a few pulses one thing a pulse, so that all of it follows a hand without any pulse being long. What
 * is asked for again before its turn is done once.
 */
public class InTurn extends AnimationTimer {
    private final Set<Runnable> waiting = new LinkedHashSet<>();

    /** @param action the same object each time it is asked for */
    public void ask(Runnable action) {
        waiting.add(action);
        start();
    }

    /** Forgets what waits. */
    public void dispose() {
        waiting.clear();
        stop();
    }

    @Override
    public void handle(long now) {
        if (waiting.isEmpty()) {
            stop();
            return;
        }
        Runnable next = waiting.iterator().next();
        waiting.remove(next);
        next.run();
    }
}
