package nexa.desktop.photo;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class ForemostTest {
    private final Foremost foremost = new Foremost("test-");
    private final CountDownLatch passed = new CountDownLatch(1);

    @AfterEach
    void close() {
        foremost.close();
    }

    private Thread lessUrgent() {
        return Thread.ofPlatform().daemon().start(() -> {
            foremost.giveWay();
            passed.countDown();
        });
    }

    private static void waitsFor(Thread thread) {
        while (thread.getState() != Thread.State.TIMED_WAITING) {
            assertTrue(thread.isAlive(), "it did not wait");
            Thread.onSpinWait();
        }
    }

    private boolean passes() throws InterruptedException {
        return passed.await(10, TimeUnit.SECONDS);
    }

    @Test
    void lessUrgentWork_waitsForThePhotoBeingWorkedOn() throws InterruptedException {
        CountDownLatch decoded = new CountDownLatch(1);
        foremost.execute(() -> await(decoded));
        Thread other = lessUrgent();
        waitsFor(other);
        assertFalse(passed.await(0, TimeUnit.SECONDS));
        decoded.countDown();
        assertTrue(passes());
    }

    @Test
    void photoThatIsThereAlready_isLetBeDrawn() throws InterruptedException {
        foremost.begins();
        waitsFor(lessUrgent());
        assertTrue(passes(), "but no longer than that");
    }

    @Test
    void failedWork_letsOthersGoOn() throws InterruptedException {
        CountDownLatch said = new CountDownLatch(1);
        foremost.execute(() -> {
            // said here: by the usual way the next test of a window would be told of it
            Thread.currentThread().setUncaughtExceptionHandler((thread, failed) -> said.countDown());
            throw new IllegalStateException("said by the thread");
        });
        assertTrue(said.await(10, TimeUnit.SECONDS));
        lessUrgent();
        assertTrue(passes());
    }

    @Test
    void closing_letsWaitingWorkEnd() throws InterruptedException {
        CountDownLatch never = new CountDownLatch(1);
        foremost.execute(() -> await(never));
        Thread other = lessUrgent();
        waitsFor(other);
        other.interrupt(); // as the loader's own threads are
        assertTrue(passes());
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException closed) {
            Thread.currentThread().interrupt();
        }
    }
}
