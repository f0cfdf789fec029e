package nexa.desktop.widget;

import nexa.desktop.session.Session;
import nexa.words.Words;

/** What is said where results of several photos would show, and none does. */
public final class NoResults {
    private NoResults() {}

    /** Why none does. */
    public static String why(Session session) {
        if (session.format().isEmpty()) {
            return Words.of("results.formatless");
        }
        return Words.of(session.list().photos().isEmpty() ? "wall.filtered" : "results.unreadable");
    }
}
