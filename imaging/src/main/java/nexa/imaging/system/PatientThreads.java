package nexa.imaging.system;

import static java.lang.foreign.ValueLayout.JAVA_INT;

import java.lang.invoke.MethodHandle;
import java.util.concurrent.Executor;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Threads for work that takes all processors for a while, while somebody goes on using the window: they leave the
 * processors to all others, on systems where a single thread can. As an executor it gives each work a thread of its own,
 * since one that is patient stays so.
 */
public final class PatientThreads implements Executor, ThreadFactory {
    private static final Logger LOG = LoggerFactory.getLogger(PatientThreads.class);

    /** The least there is: a sixtieth of another thread's share. */
    private static final int NICENESS = 19;

    private static final int PRIORITY_OF_A_PROCESS = 0; // for Linux a thread is one
    private static final int THE_CALLER = 0;

    /** {@code setpriority(2)}; looked for by the first such thread, as that takes a moment. */
    private static final class Priority {
        static final MethodHandle SET =
                SystemLibrary.standard().function("setpriority", JAVA_INT, JAVA_INT, JAVA_INT, JAVA_INT);
    }

    private final String name;
    private final AtomicInteger running = new AtomicInteger();

    /** @param name of the threads */
    public PatientThreads(String name) {
        this.name = name;
    }

    @Override
    public void execute(Runnable work) {
        running.incrementAndGet();
        newThread(() -> {
                    try {
                        work.run();
                    } finally {
                        running.decrementAndGet();
                    }
                })
                .start();
    }

    @Override
    public Thread newThread(Runnable work) {
        return Thread.ofPlatform().name(name).daemon().unstarted(() -> {
            if (System.getProperty("os.name").equals("Linux")) { // others would make the whole program patient
                yieldToOthers();
            }
            work.run();
        });
    }

    /** Whether all that was executed is done. */
    public boolean isIdle() {
        return running.get() == 0;
    }

    private static void yieldToOthers() {
        try {
            int failed = (int) Priority.SET.invokeExact(PRIORITY_OF_A_PROCESS, THE_CALLER, NICENESS);
            if (failed != 0) {
                LOG.info("The system lets no thread be patient");
            }
        } catch (Throwable impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
