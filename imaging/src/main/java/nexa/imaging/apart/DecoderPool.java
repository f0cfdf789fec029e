package nexa.imaging.apart;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A few processes apart, started when they are needed and ended when nobody has needed them for a while. Thread-safe. */
final class DecoderPool {
    private static final Logger LOG = LoggerFactory.getLogger(DecoderPool.class);
    private static final long IDLE_SECONDS = 60;

    /** As much longer may a patient process take, since others go first. */
    private static final int PATIENCE = 4;

    private final Semaphore places;
    private final boolean isPatient;
    private final Deque<Idle> idle = new ArrayDeque<>();
    private final AtomicBoolean isWarm = new AtomicBoolean();

    /** @param since by {@link System#nanoTime} */
    private record Idle(DecoderProcess process, long since) {}

    /**
     * @param most at the same time; whoever wants one more waits
     * @param isPatient whether they leave the processors to others
     */
    DecoderPool(int most, boolean isPatient) {
        this.places = new Semaphore(most);
        this.isPatient = isPatient;
    }

    /** What is made of an answer, while the process does nothing else. */
    @FunctionalInterface
    interface Use<T> {
        T of(Answer answer, PixelFile pixels) throws IOException;
    }

    /**
     * Has an order done.
     *
     * @param limit how long that may take where a processor is free
     * @throws IOException if the process ended, was too slow or could not be started
     */
    <T> T ask(Order order, Duration limit, Use<T> use) throws IOException {
        isWarm.set(true);
        places.acquireUninterruptibly();
        try {
            DecoderProcess process = taken();
            boolean isGood = false;
            try {
                Answer answer = process.ask(order, isPatient ? limit.multipliedBy(PATIENCE) : limit);
                T used = use.of(answer, process.pixels());
                isGood = true;
                return used;
            } finally {
                if (isGood) {
                    giveBack(process);
                } else {
                    process.close();
                }
            }
        } finally {
            places.release();
        }
    }

    private DecoderProcess taken() throws IOException {
        synchronized (idle) {
            while (!idle.isEmpty()) {
                DecoderProcess process = idle.removeLast().process();
                if (process.isAlive()) {
                    return process;
                }
            }
        }
        return DecoderProcess.start(isPatient);
    }

    /** Starts one in the background if none was started yet, so that it is there when it is needed. */
    void warm() {
        if (isWarm.compareAndSet(false, true)) {
            Thread.ofPlatform().name("nexa-decoder-start").daemon().start(() -> {
                if (places.tryAcquire()) {
                    try {
                        giveBack(DecoderProcess.start(isPatient));
                    } catch (IOException failed) { // whoever needs it finds out and says so
                        LOG.info("No decoder process can be started", failed);
                    } finally {
                        places.release();
                    }
                }
            });
        }
    }

    private void giveBack(DecoderProcess process) {
        synchronized (idle) {
            idle.addLast(new Idle(process, System.nanoTime()));
        }
        CompletableFuture.delayedExecutor(IDLE_SECONDS, TimeUnit.SECONDS).execute(this::endIdle);
    }

    private void endIdle() {
        long limit = System.nanoTime() - TimeUnit.SECONDS.toNanos(IDLE_SECONDS);
        synchronized (idle) {
            while (!idle.isEmpty() && idle.getFirst().since() - limit <= 0) {
                idle.removeFirst().process().close();
            }
        }
    }
}
