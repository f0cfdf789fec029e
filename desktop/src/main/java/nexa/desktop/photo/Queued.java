package nexa.desktop.photo;

import org.jspecify.annotations.Nullable;

/**
 * Work with its place in the queue: the more urgent first, then the one that came first.
 */
record Queued(Urgency urgency, long number, Runnable work) implements Runnable, Comparable<Queued> {
    @Override
    public void run() {
        work.run();
    }

    @Override
    public int compareTo(Queued other) {
        int order = urgency.compareTo(other.urgency);
        return order != 0 ? order : Long.compare(number, other.number);
    }

    /** A place is only equal to itself, as its order is. */
    @Override
    public boolean equals(@Nullable Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(number);
    }
}
