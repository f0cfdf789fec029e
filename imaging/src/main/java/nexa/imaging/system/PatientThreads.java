package nexa.imaging.system;

import static java.lang.foreign.ValueLayout.JAVA_INT;

import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.invoke.MethodHandle;
import java.util.Optional;
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

    /** {@code setpriority(2)}. Other systems than Linux would make the whole program patient. */
    private static final Optional<MethodHandle> SET_PRIORITY =
            System.getProperty("os.name").equals("Linux")
                    ? Linker.nativeLinker().defaultLookup().find("setpriority").map(function -> Linker.nativeLinker()
                            .downcallHandle(function, FunctionDescriptor.of(JAVA_INT, JAVA_INT, JAVA_INT, JAVA_INT)))
                    : Optional.empty();

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
            SET_PRIORITY.ifPresent(PatientThreads::yield);
            work.run();
        });
    }

    /** Whether all that was executed is done. */
    public boolean isIdle() {
        return running.get() == 0;
    }

    private static void yield(MethodHandle setPriority) {
        try {
            int failed = (int) setPriority.invokeExact(PRIORITY_OF_A_PROCESS, THE_CALLER, NICENESS);
            if (failed != 0) {
                LOG.info("The system lets no thread be patient");
            }
        } catch (Throwable impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
