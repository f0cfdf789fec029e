package nexa.bench.base;

import java.util.Arrays;
import java.util.concurrent.CountDownLatch;
import java.util.function.IntConsumer;
import javafx.animation.AnimationTimer;

/** One step a pulse, and how long frames take; pulses run as fast as they can. */
public final class Frames extends AnimationTimer {
    private static final int WARM_UP = 300;
    private static final int MEASURED = 1000;

    private final IntConsumer step;
    private final double[] times = new double[MEASURED];
    private final double[] ours = new double[MEASURED];
    private final CountDownLatch done = new CountDownLatch(1);
    private int pulses;
    private long last;

    private Frames(IntConsumer step) {
        this.step = step;
    }

    /** Does something at every pulse, and says how long frames took, and the window's own share of them. */
    public static void measure(String what, IntConsumer step) {
        Frames frames = new Frames(step);
        Fx.run(frames::start);
        frames.await();
        say(what + ", frame p50", frames.times, 50);
        say(what + ", frame p75", frames.times, 75);
        say(what + ", frame p95", frames.times, 95);
        say(what + ", our share p95", frames.ours, 95);
    }

    private static void say(String what, double[] sorted, int percent) {
        Figures.say(what, sorted[MEASURED * percent / 100]);
    }

    @Override
    public void handle(long now) {
        long time = System.nanoTime();
        int measured = pulses - WARM_UP - 1;
        if (measured >= 0 && measured < MEASURED) {
            times[measured] = (time - last) / 1e6;
        }
        if (measured == MEASURED) {
            stop();
            done.countDown();
            return;
        }
        last = time;
        step.accept(pulses++);
        if (measured + 1 >= 0 && measured + 1 < MEASURED) {
            ours[measured + 1] = Figures.since(time);
        }
    }

    private void await() {
        try {
            done.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        Arrays.sort(times);
        Arrays.sort(ours);
    }
}
