package nexa.shoot.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.handover.request.HandoverRequest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ByPhotoTest {
    @TempDir
    Path base;

    private List<Delivery> deliveries() throws IOException {
        TestShoot test = new TestShoot(base);
        for (int i = 0; i < 12; i++) {
            test.photo("k" + i + ".jpg", 60, 40);
        }
        try (Shoot shoot = test.open()) {
            return HandoverPlan.of(
                            shoot,
                            new HandoverRequest(
                                    base.resolve("out"),
                                    List.of(
                                            TestShoot.addFormat(shoot, "Print", "4:5"),
                                            TestShoot.addFormat(shoot, "Square", "1:1"))))
                    .deliveries();
        }
    }

    @Test
    void work_isGivenAllDeliveriesOfAPhoto_andAnswersInTheirOrder() throws IOException {
        List<Delivery> deliveries = deliveries();
        List<List<Delivery>> given = ByPhoto.work(deliveries, List::copyOf);
        assertEquals(12, given.size());
        List<Delivery> all = new ArrayList<>();
        for (List<Delivery> ofOne : given) {
            assertEquals(1, ofOne.stream().map(Delivery::photo).distinct().count());
            all.addAll(ofOne);
        }
        assertEquals(deliveries, all);
    }

    @Test
    void photosForWhichThereIsNoRoomTogether_waitForEachOther() throws IOException {
        AtomicInteger atOnce = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        ByPhoto.work(deliveries(), 1, ofOne -> {
            most.accumulateAndGet(atOnce.incrementAndGet(), Math::max);
            Thread.yield();
            return atOnce.decrementAndGet();
        });
        assertEquals(1, most.get());
        assertTrue(atOnce.get() == 0, "all are done");
    }
}
