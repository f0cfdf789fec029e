package nexa.bench.micro;

import java.util.List;
import java.util.concurrent.TimeUnit;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.gesture.FrameDrag;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.gesture.Grip;
import nexa.core.gesture.Snap;
import nexa.core.outline.Outline;
import nexa.core.outline.TurnedRectangle;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Geometry of one pointer move. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBenchmark {
    private final Outline outline = TurnedRectangle.of(new PixelSize(6000, 4000), new Tilt(2.3));
    private final Frame wish = new Frame(0.2, -0.1, 0.7, 0.56);
    private final Frame start = Fit.within(outline, new Frame(0.05, 0, 0.5, 0.4));
    private int step;

    /** Where the pointer is now: it circles around the frame's corner. */
    private Point pointer() {
        double angle = step++ % 360 / 57.3;
        return new Point(start.right() + 0.2 * Math.cos(angle), start.bottom() + 0.2 * Math.sin(angle));
    }

    @Benchmark
    public Frame fit() {
        return Fit.within(outline, wish);
    }

    /** Hit, constrain, fit: what one pointer move of a corner drag costs. */
    @Benchmark
    public Frame dragStep() {
        Point from = new Point(start.right(), start.bottom());
        Grip grip = Grip.at(start, from, 0.01).orElseThrow();
        Frame dragged = new FrameDrag(outline, start, grip, from, Hold.SHAPE).to(pointer());
        return Fit.within(outline, dragged);
    }

    /** The same with lines that may catch the frame. */
    @Benchmark
    public Frame snappingStep() {
        Point from = new Point(start.right(), start.bottom());
        FrameDrag drag = new FrameDrag(outline, start, Grip.BOTTOM_RIGHT, from, Hold.SHAPE);
        return Snap.of(outline, List.of(), 0.008).drag(drag, pointer()).frame();
    }
}
