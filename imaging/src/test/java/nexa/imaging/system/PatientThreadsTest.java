package nexa.imaging.system;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class PatientThreadsTest {
    private static final Path OWN = Path.of("/proc/thread-self/stat");

    /** Of the calling thread: the nineteenth word of what Linux says of it. */
    private static int niceness() {
        try {
            String said = Files.readString(OWN);
            return Integer.parseInt(said.substring(said.lastIndexOf(')') + 2).split(" ")[16]);
        } catch (IOException unsaid) {
            throw new AssertionError(unsaid);
        }
    }

    @Test
    void work_leavesTheProcessorsToOthers_whoStayAsTheyAre() throws Exception {
        assumeTrue(Files.isReadable(OWN), "Linux alone says so");
        int usual = niceness();
        CompletableFuture<Integer> patient = new CompletableFuture<>();
        new PatientThreads("test").execute(() -> patient.complete(niceness()));
        assertEquals(19, patient.get(30, TimeUnit.SECONDS));
        assertEquals(usual, niceness());
        assertEquals(
                usual,
                CompletableFuture.supplyAsync(PatientThreadsTest::niceness).get(30, TimeUnit.SECONDS));
    }

    @Test
    void isIdle_onceAllIsDone_alsoAfterAFailure() throws Exception {
        PatientThreads threads = new PatientThreads("test");
        assertTrue(threads.isIdle());
        CountDownLatch goOn = new CountDownLatch(1);
        CompletableFuture<Thread> worker = new CompletableFuture<>();
        threads.execute(() -> {
            worker.complete(Thread.currentThread());
            Thread.currentThread().setUncaughtExceptionHandler((thread, failure) -> {});
            try {
                goOn.await();
            } catch (InterruptedException stopped) {
                throw new AssertionError(stopped);
            }
            throw new IllegalStateException("made on purpose");
        });
        Thread thread = worker.get(30, TimeUnit.SECONDS);
        assertFalse(threads.isIdle());
        goOn.countDown();
        thread.join();
        assertTrue(threads.isIdle());
    }
}
