package nexa.core;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Outline;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Pose;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;

/** Random photos, tilts and frames for property tests; the same ones at every run. */
public final class Cases {
    /** Rounding of doubles near 1 leaves less than this; in a 100-megapixel photo it is a millionth of a pixel. */
    public static final double ROUNDING = 1e-10;

    private static final long SEED = 20_261_123;

    private final RandomGenerator random;

    private Cases(long seed) {
        random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    }

    public static Stream<Cases> some(int count) {
        return IntStream.range(0, count).mapToObj(i -> new Cases(SEED + i));
    }

    public double between(double low, double high) {
        return random.nextDouble(low, high);
    }

    public int below(int bound) {
        return random.nextInt(bound);
    }

    public PixelSize photo() {
        return new PixelSize(random.nextInt(1, 9000), random.nextInt(1, 9000));
    }

    /** One in five is exactly level. */
    public Tilt tilt() {
        return random.nextInt(5) == 0 ? Tilt.NONE : new Tilt(between(-45, 45));
    }

    public Turn turn() {
        return new Turn(random.nextInt(4), random.nextBoolean());
    }

    public Pose pose() {
        return new Pose(turn(), tilt());
    }

    public Outline outline() {
        return Outline.of(photo(), tilt());
    }

    /** From far too small to far too large, inside, across the edge and away from the photo. */
    public Frame wish() {
        return new Frame(between(-1, 1), between(-1, 1), Math.exp(between(-4, 1)), Math.exp(between(-4, 1)));
    }

    public double aspect() {
        return Math.exp(between(-2, 2));
    }
}
