package nexa.desktop.photo;

import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/** Work on several things in their order, each on one of as many threads as there are cores. Thread-safe. */
public final class AllCores {
    /** Of nothing. */
    public static final AllCores NONE = new AllCores(0, place -> {});

    private final int count;
    private final IntConsumer each;
    private final AtomicInteger next = new AtomicInteger();

    private AllCores(int count, IntConsumer each) {
        this.count = count;
        this.each = each;
    }

    /**
     * Begins.
     *
     * @param count how many things there are
     * @param each works on the one with a number, from 0 on; what it throws ends one thread's work
     * @param work has work done on other threads
     */
    public static AllCores begin(int count, IntConsumer each, Executor work) {
        AllCores begun = new AllCores(count, each);
        int threads = Math.min(count, Runtime.getRuntime().availableProcessors());
        for (int thread = 0; thread < threads; thread++) {
            work.execute(begun::run);
        }
        return begun;
    }

    private void run() {
        for (int i = next.getAndIncrement(); i < count; i = next.getAndIncrement()) {
            each.accept(i);
        }
    }

    /** Begins nothing more; what is begun ends. */
    public void stop() {
        next.set(count);
    }
}
