package nexa.bench.base;

import java.util.Locale;

/** Figures as they are printed, one a line. */
public final class Figures {
    private Figures() {}

    /** How long something took. */
    public static void say(String what, double milliseconds) {
        System.out.printf(Locale.ROOT, "%-58s %8.1f ms%n", what, milliseconds);
    }

    /** Milliseconds since a moment of {@link System#nanoTime}. */
    public static double since(long begun) {
        return (System.nanoTime() - begun) / 1e6;
    }
}
