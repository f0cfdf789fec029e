package nexa.imaging.colour;

import java.util.Arrays;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * What an engine makes of four inks, read off at nodes and taken linearly from the corners of the simplex that the amounts
 * lie in (Rovatti, Borgatti and Guerrieri, IEEE Transactions on Computers 47, 1998). 16 bits, and many times faster than the
 * engine. Immutable.
 */
final class InkTable implements FastColours {
    /** Steps of even length from no ink to all of it. */
    private static final int EVEN = 32;

    /** So many nodes has the first of them: where ink begins, presses' curves bend more than evenly placed nodes follow. */
    private static final int IN_FIRST = 3;

    private static final int FIRST = VALUES / EVEN;

    /** From node to node of an ink; made of 1.5 million of them. */
    private static final int STEPS = IN_FIRST + EVEN - 1;

    private static final int INKS = 4;

    /** To the next node of each ink; the last one changes fastest. */
    private static final int FOURTH = 1;

    private static final int THIRD = STEPS + 1;
    private static final int SECOND = THIRD * THIRD;
    private static final int CUBE = SECOND * THIRD;

    /** Measured are up to 0.5 of CIEDE2000. */
    private static final int TOLERANCE = 3500;

    private final long[] nodes;

    /** @param engine from cyan, magenta, yellow, black, cyan, … in 16 bits to red, green, blue, … */
    InkTable(UnaryOperator<short[]> engine) {
        nodes = IntStream.rangeClosed(0, STEPS)
                .parallel()
                .mapToObj(first -> Lanes.packed(engine.apply(cube(first)), 3))
                .flatMapToLong(Arrays::stream)
                .toArray();
    }

    /** All of the other inks beside a node of the first. */
    private static short[] cube(int first) {
        short[] inks = new short[CUBE * INKS];
        int at = 0;
        for (int second = 0; second <= STEPS; second++) {
            for (int third = 0; third <= STEPS; third++) {
                for (int fourth = 0; fourth <= STEPS; fourth++) {
                    inks[at++] = value(first);
                    inks[at++] = value(second);
                    inks[at++] = value(third);
                    inks[at++] = value(fourth);
                }
            }
        }
        return inks;
    }

    /** How much ink a node stands for. */
    private static short value(int node) {
        double steps = node < IN_FIRST ? (double) node / IN_FIRST : node - IN_FIRST + 1;
        return (short) Math.round(steps / EVEN * (VALUES - 1));
    }

    @Override
    public int channelsFrom() {
        return INKS;
    }

    @Override
    public int channels() {
        return 3;
    }

    @Override
    public int tolerance() {
        return TOLERANCE;
    }

    @Override
    public void convert(short[] inks, short[] converted) {
        for (int from = 0, to = 0; from < inks.length; from += INKS, to += 3) {
            int first = place(inks[from] & 0xFFFF);
            int second = place(inks[from + 1] & 0xFFFF);
            int third = place(inks[from + 2] & 0xFFFF);
            int fourth = place(inks[from + 3] & 0xFFFF);
            Lanes.unpack(at(first, second, third, fourth), converted, to, 3);
        }
    }

    /** Nodes from the first on, with 16 bits behind the point; the largest amount is the last node. */
    private static int place(int ink) {
        int amount = ink + (ink >>> 15);
        return (amount + (IN_FIRST - 1) * Math.min(amount, FIRST)) * EVEN;
    }

    /** The last node before a place, of which there is one more behind. */
    private static int node(int place) {
        return Math.min(place >>> Lanes.WEIGHT_BITS, STEPS - 1);
    }

    /** What is at a place; the corners are reached by going along the ink that is farthest beyond its node first. */
    private long at(int first, int second, int third, int fourth) {
        long a = way(first, CUBE);
        long b = way(second, SECOND);
        long c = way(third, THIRD);
        long d = way(fourth, FOURTH);
        long more = Math.max(a, b);
        long less = Math.min(a, b);
        long alsoMore = Math.max(c, d);
        long alsoLess = Math.min(c, d);
        long middle = Math.min(more, alsoMore);
        long alsoMiddle = Math.max(less, alsoLess);
        int corner = node(first) * CUBE + node(second) * SECOND + node(third) * THIRD + node(fourth);
        return mixed(
                corner,
                Math.max(more, alsoMore),
                Math.max(middle, alsoMiddle),
                Math.min(middle, alsoMiddle),
                Math.min(less, alsoLess));
    }

    /** How far a place is beyond its node, and in the lower half of the number how many nodes on the next one is. */
    private static long way(int place, int step) {
        return (long) (place - (node(place) << Lanes.WEIGHT_BITS)) << 32 | step;
    }

    /** @param first the way that is gone first, which is the longest one */
    private long mixed(int corner, long first, long second, long third, long fourth) {
        int atSecond = corner + (int) first;
        int atThird = atSecond + (int) second;
        int atFourth = atThird + (int) third;
        int a = (int) (first >>> 32);
        int b = (int) (second >>> 32);
        int c = (int) (third >>> 32);
        int d = (int) (fourth >>> 32);
        long one = nodes[corner];
        long two = nodes[atSecond];
        long three = nodes[atThird];
        long four = nodes[atFourth];
        long five = nodes[atFourth + (int) fourth];
        return Lanes.joined(
                sum(
                        Lanes.even(one),
                        Lanes.even(two),
                        Lanes.even(three),
                        Lanes.even(four),
                        Lanes.even(five),
                        a,
                        b,
                        c,
                        d),
                sum(Lanes.odd(one), Lanes.odd(two), Lanes.odd(three), Lanes.odd(four), Lanes.odd(five), a, b, c, d));
    }

    private static long sum(long one, long two, long three, long four, long five, int a, int b, int c, int d) {
        return Lanes.HALF + (Lanes.WHOLE - a) * one + (a - b) * two + (b - c) * three + (c - d) * four + d * five;
    }
}
