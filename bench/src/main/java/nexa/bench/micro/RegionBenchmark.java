package nexa.bench.micro;

import java.util.List;
import java.util.concurrent.TimeUnit;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.gesture.FrameDrag;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.gesture.Grip;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.outline.Region;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Geometry of one pointer move on a photo whose outline a lens correction bends, in 384 to 512 sides. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class RegionBenchmark {
    /** The strongest wide angles bow a photo's edge by about this. */
    @Param({"inwards", "outwards"})
    private String bend = "";

    private Region outline = new Region(List.of(Point.ORIGIN, new Point(1, 0), new Point(0, 1)));
    private PhotoSpace space = new PhotoSpace(new PixelSize(1, 1), Pose.AS_SHOT);
    private Frame inside = new Frame(0, 0, 1, 1);
    private int step;

    @Setup
    public void bend() {
        ByHand hand = new ByHand(bend.equals("inwards") ? -0.07 : 0.14, 0, 0.5);
        Pose pose = new Pose(Turn.NONE, new Tilt(2.3)).withLens(Lens.byHand(hand));
        space = new PhotoSpace(new PixelSize(24_000, 16_000), pose);
        outline = (Region) space.outline();
        inside = Fit.within(outline, new Frame(0.02, 0.03, 0.5, 0.4)).scaled(0.99);
        System.out.println(outline.size() + " sides");
    }

    private double angle() {
        return step++ % 360 / 57.3;
    }

    /** A frame pulled over the edge on all sides in turn. */
    @Benchmark
    public Frame moved() {
        double angle = angle();
        return Fit.within(outline, inside.movedBy(new Point(0.4 * Math.cos(angle), 0.4 * Math.sin(angle))));
    }

    /** A frame that lies inside. */
    @Benchmark
    public Frame asItIs() {
        return Fit.within(outline, inside);
    }

    /** A wish a little larger than anything that fits. */
    @Benchmark
    public Frame tooLarge() {
        double angle = angle();
        return Fit.within(outline, new Frame(0.1 * Math.cos(angle), 0.1 * Math.sin(angle), 1, 0.8));
    }

    /** A corner dragged, the shape kept. */
    @Benchmark
    public Frame corner() {
        double angle = angle();
        Point to = new Point(inside.right() + 0.2 * Math.cos(angle), inside.bottom() + 0.2 * Math.sin(angle));
        return new FrameDrag(outline, inside, Grip.BOTTOM_RIGHT, inside.at(1, 1), Hold.SHAPE).to(to);
    }

    /** Following the photo's edge through the correction. */
    @Benchmark
    public Object outlined() {
        return space.outline();
    }
}
