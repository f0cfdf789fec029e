package nexa.imaging.pixels;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

class DecodingRoomTest {
    private static final long MEGABYTE = 1 << 20;

    /** Of files of 40 MB, which take 80 each, two have room in 200. */
    @Test
    @Timeout(20)
    void take_letsInOnlyWhatHasRoom_andAllInTheEnd() throws Exception {
        DecodingRoom room = new DecodingRoom(200 * MEGABYTE);
        AtomicInteger inside = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        AtomicInteger done = new AtomicInteger();
        List<Future<?>> works = new ArrayList<>();
        try (ExecutorService threads = Executors.newFixedThreadPool(8)) {
            CountDownLatch all = new CountDownLatch(8);
            for (int i = 0; i < 64; i++) {
                works.add(threads.submit(() -> {
                    all.countDown();
                    assertTrue(all.await(10, TimeUnit.SECONDS)); // so that they meet
                    try (DecodingRoom.Held held = room.take(40 * MEGABYTE)) {
                        assertTrue(room.taken() <= 200, held::toString);
                        most.accumulateAndGet(inside.incrementAndGet(), Math::max);
                        Thread.yield();
                        inside.decrementAndGet();
                    }
                    return done.incrementAndGet();
                }));
            }
            for (Future<?> work : works) {
                work.get();
            }
        }
        assertEquals(64, done.get());
        assertTrue(most.get() <= 2, most + " at once");
    }

    @Test
    @Timeout(20)
    void take_ofMoreThanThereIs_takesAll_andGivesItBack() {
        DecodingRoom room = new DecodingRoom(100 * MEGABYTE);
        for (int i = 0; i < 3; i++) {
            try (DecodingRoom.Held held = room.take(900 * MEGABYTE)) {
                assertEquals(100, room.taken(), held::toString);
            }
        }
        try (DecodingRoom.Held small = room.take(1)) {
            assertEquals(1, room.taken(), small::toString);
        }
    }
}
