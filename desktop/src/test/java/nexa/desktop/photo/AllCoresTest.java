package nexa.desktop.photo;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AllCoresTest {
    private static final int COUNT = 200;

    @Test
    void eachThingIsWorkedOnOnce() {
        ConcurrentLinkedQueue<Integer> done = new ConcurrentLinkedQueue<>();
        try (ExecutorService work = Executors.newCachedThreadPool()) {
            AllCores.begin(COUNT, done::add, work);
        }
        assertEquals(
                IntStream.range(0, COUNT).boxed().toList(),
                done.stream().sorted().toList());
    }

    @Test
    void whatIsStoppedBeginsNothingMore() {
        List<Integer> done = new ArrayList<>();
        List<Runnable> threads = new ArrayList<>();
        AllCores[] begun = new AllCores[1];
        begun[0] = AllCores.begin(
                COUNT,
                place -> {
                    done.add(place);
                    if (place == 2) {
                        begun[0].stop();
                    }
                },
                threads::add);
        threads.forEach(Runnable::run);
        assertEquals(List.of(0, 1, 2), done);
    }

    @Test
    void ofNothing_noThreadIsTaken() {
        List<Runnable> threads = new ArrayList<>();
        AllCores.begin(0, place -> {}, threads::add);
        assertEquals(List.of(), threads);
    }
}
