package nexa.imaging.pixels;

import java.util.concurrent.Semaphore;

/**
 * Memory for large files that are decoded at the same time. Each takes what it needs while it is decoded, so that the largest
 * wait for each other; one that needs more than there is takes all of it. Thread-safe.
 */
public final class DecodingRoom {
    private static final int UNIT = 1 << 20;

    /** As read, and as decoded; or as decoded, and what is made of it. */
    private static final int COPIES = 2;

    private final int units;
    private final Semaphore free;

    /** @param bytes in all */
    public DecodingRoom(long bytes) {
        units = (int) Math.max(1, bytes / UNIT);
        free = new Semaphore(units);
    }

    /** In units of a megabyte. */
    int taken() {
        return units - free.availablePermits();
    }

    /** To be closed when the file is decoded. */
    public interface Held extends AutoCloseable {
        @Override
        void close();
    }

    /**
     * Waits until there is enough.
     *
     * @param bytes of the file, or of its pixels where they are more; twice as many are taken
     */
    public Held take(long bytes) {
        int needed = (int) Math.clamp(COPIES * bytes / UNIT, 1, units);
        free.acquireUninterruptibly(needed);
        return () -> free.release(needed);
    }
}
