package nexa.desktop.delivering;

import java.util.ArrayDeque;
import java.util.Deque;

/** How fast a run goes, by its last files, so that a pause is soon forgotten. Thread-safe. */
final class Pace {
    private static final int REMEMBERED = 20;

    private final Deque<Long> ends = new ArrayDeque<>();

    Pace() {
        ends.add(System.nanoTime());
    }

    /** Files a second, another one being done now. */
    synchronized double next() {
        ends.add(System.nanoTime());
        if (ends.size() > REMEMBERED) {
            ends.remove();
        }
        return (ends.size() - 1) * 1e9 / Math.max(1, ends.getLast() - ends.getFirst());
    }
}
