package nexa.core;

import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Projective;
import nexa.core.geometry.Radial;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.Bend;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.lens.LensTerms;
import nexa.core.lens.LensUse;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.outline.Region;
import nexa.core.outline.TurnedRectangle;
import nexa.core.plumb.Plumb;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;

/** Random photos, tilts and frames for property tests; the same ones at every run. */
public final class Cases {
    /** Rounding of doubles near 1 leaves less than this; in a 100-megapixel photo it is a millionth of a pixel. */
    public static final double ROUNDING = 1e-10;

    private static final long SEED = 20_261_123;
    private static final int FEWER = Integer.getInteger("nexa.cases.fewer", 1);

    private final RandomGenerator random;

    private Cases(long seed) {
        random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    }

    /** So many cases; fewer by a factor where tests are run once for every mutant. */
    public static Stream<Cases> some(int count) {
        return IntStream.range(0, of(count)).mapToObj(i -> new Cases(SEED + i));
    }

    /** How many cases {@link #some} makes of a number. */
    public static int of(int count) {
        return Math.ceilDiv(count, FEWER);
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

    public TurnedRectangle outline() {
        return TurnedRectangle.of(photo(), tilt());
    }

    /** A region that bends inwards and outwards: a star about a point near the origin. */
    public Region star() {
        int corners = random.nextInt(3, 25);
        double middleX = between(-0.1, 0.1);
        double middleY = between(-0.1, 0.1);
        return new Region(IntStream.range(0, corners)
                .mapToObj(i -> {
                    double angle = 2 * Math.PI * (i + between(0.1, 0.9)) / corners;
                    double far = between(0.15, 0.7);
                    return new Point(middleX + far * Math.cos(angle), middleY + far * Math.sin(angle));
                })
                .toList());
    }

    /** A leaning view of the photo; its far side is up to half as far away again as its near side. */
    public Projective projection() {
        double angle = between(0, 2 * Math.PI);
        double lean = between(0.05, 0.35);
        return new Projective(
                between(0.9, 1.1),
                between(-0.05, 0.05),
                between(-0.02, 0.02),
                between(-0.05, 0.05),
                between(0.9, 1.1),
                between(-0.02, 0.02),
                lean * Math.cos(angle),
                lean * Math.sin(angle),
                1);
    }

    /** A distortion stronger than that of any lens but a fisheye, either way. */
    public Radial distortion() {
        double strength = between(-0.12, 0.25);
        Radial curve = Radial.of(
                new Point(between(-0.03, 0.03), between(-0.03, 0.03)), 0.6, 1, 0, strength, 0, between(-0.02, 0.02));
        return random.nextBoolean() ? curve : curve.inverse();
    }

    /** A leaning view of the photo, finished by hand. */
    public Plumb plumb() {
        double angle = between(0, 2 * Math.PI);
        double lean = between(3, 25);
        return Plumb.of(lean * Math.cos(angle), lean * Math.sin(angle), random.nextInt(3) == 0 ? 0 : between(0.5, 1.5))
                .withFar(random.nextBoolean() ? 1 : between(0.3, 1))
                .finished(between(0.9, 1.1), between(-0.02, 0.02), between(-0.02, 0.02), between(0.9, 1.1));
    }

    /** A distortion stronger than that of any lens but a fisheye, either way, with fringes. */
    public Lens lens() {
        Bend bend = new Bend(1, 0, between(-0.1, 0.2), 0, between(-0.02, 0.02));
        Bend red = new Bend(between(0.999, 1.001), 0, between(-0.001, 0.001), 0, 0);
        Point centre = random.nextBoolean() ? Point.ORIGIN : new Point(between(-0.05, 0.05), between(-0.05, 0.05));
        LensTerms terms = new LensTerms(0.6, centre, bend, red, Bend.NONE, Optional.empty());
        return random.nextInt(4) == 0
                ? Lens.byHand(new ByHand(between(-0.1, 0.2), between(-1, 1), between(0.3, 0.8)))
                : Lens.OFF.measured(LensUse.FOUND, "Kiln 24 mm", terms);
    }

    /** What bends a photo: one of the two, or both. */
    public Correction correction() {
        return switch (random.nextInt(3)) {
            case 0 -> new Correction(Lens.OFF, plumb());
            case 1 -> new Correction(lens(), Plumb.NONE);
            default -> new Correction(lens(), plumb());
        };
    }

    public Neutral neutral() {
        White white = White.of(between(2000, 12000), between(-30, 30));
        return new Neutral(
                white,
                between(-1, 1),
                random.nextBoolean()
                        ? Optional.empty()
                        : Optional.of(new Point(between(-0.5, 0.5), between(-0.3, 0.3))));
    }

    public GlowingEyes eyes() {
        return new GlowingEyes(IntStream.range(0, random.nextInt(4))
                .mapToObj(i -> new GlowingEye(
                        new Point(between(-0.5, 0.5), between(-0.3, 0.3)),
                        between(0.002, 0.1),
                        random.nextBoolean() ? Glow.RED : Glow.BRIGHT,
                        between(0, 1)))
                .toList());
    }

    /** A photo of a usual shape, held somehow and bent. */
    public PhotoSpace bent() {
        PixelSize size = new PixelSize(random.nextInt(600, 9000), random.nextInt(600, 9000));
        return new PhotoSpace(size, pose().withCorrection(correction()));
    }

    /** From far too small to far too large, inside, across the edge and away from the photo. */
    public Frame wish() {
        return new Frame(between(-1, 1), between(-1, 1), Math.exp(between(-4, 1)), Math.exp(between(-4, 1)));
    }

    public double aspect() {
        return Math.exp(between(-2, 2));
    }
}
