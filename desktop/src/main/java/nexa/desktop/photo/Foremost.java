package nexa.desktop.photo;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * Threads for what others give way to. A decode that is begun can't be interrupted, so whoever does less urgent work
 * begins none while these have some. Thread-safe.
 */
final class Foremost implements Executor, AutoCloseable {
    /** Somebody may jump on while a photo that nobody wants any more is still being decoded. */
    private static final int THREADS = 2;

    /** How long the cores are left to a photo that was just asked for, so that it is drawn, in nanoseconds. */
    private static final long DRAWING = 80_000_000;

    /** How long others wait before they ask again, in nanoseconds. */
    private static final long PAUSE = 2_000_000;

    private final ExecutorService threads;
    private final AtomicInteger left = new AtomicInteger();
    private volatile long drawnBy = System.nanoTime();

    Foremost(String name) {
        threads = Executors.newFixedThreadPool(
                THREADS, Thread.ofPlatform().name(name, 0).daemon().factory());
    }

    @Override
    public void execute(Runnable work) {
        left.incrementAndGet();
        threads.execute(() -> {
            try {
                work.run();
            } finally {
                left.decrementAndGet();
            }
        });
    }

    /** The photo being worked on is another from now on, be it loaded already. */
    void begins() {
        drawnBy = System.nanoTime() + DRAWING;
    }

    /** Waits, on the thread of less urgent work, until all that is wanted here is there, and a photo being worked on is drawn. */
    void giveWay() {
        while ((left.get() > 0 || System.nanoTime() - drawnBy < 0)
                && !Thread.currentThread().isInterrupted()) {
            LockSupport.parkNanos(PAUSE);
        }
    }

    @Override
    public void close() {
        threads.shutdownNow();
        left.set(0);
    }
}
