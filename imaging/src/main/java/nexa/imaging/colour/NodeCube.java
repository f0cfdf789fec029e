package nexa.imaging.colour;

/**
 * Where a colour of three channels lies between the nodes of a cube, and what is there: taken linearly from the corners of
 * the tetrahedron that it lies in (Kang, Computational Color Technology, 9.3). What is at a node is up to four channels of
 * 16 bits ({@link Lanes}). Immutable.
 */
final class NodeCube {
    private final int steps;
    private final int secondStep;
    private final int firstStep;
    private final int opposite;

    /** From the first corner to the next, by which of the channels are less than which: see {@link #order}. */
    private final int[] toSecond;

    /** From the first corner to the one before the opposite one. */
    private final int[] toThird;

    /** @param steps from node to node of a channel */
    NodeCube(int steps) {
        this.steps = steps;
        this.secondStep = steps + 1;
        this.firstStep = secondStep * secondStep;
        this.opposite = firstStep + secondStep + 1;
        int allButThird = opposite - 1;
        int allButSecond = opposite - secondStep;
        int allButFirst = opposite - firstStep;
        this.toSecond = new int[] {firstStep, firstStep, 1, 1, secondStep, firstStep, secondStep, 1};
        this.toThird = new int[] {
            allButThird, allButSecond, allButSecond, allButSecond, allButThird, allButThird, allButFirst, allButFirst
        };
    }

    /** A channel's value at one of its nodes. */
    static short value(int node, int steps) {
        return (short) Math.round(node * (FastColours.VALUES - 1.0) / steps);
    }

    /** How many nodes there are. */
    int count() {
        return secondStep * firstStep;
    }

    /**
     * Nodes from the first on, with 16 bits behind the point: the largest value is the last one.
     *
     * @param value of a channel, 0 to 65535
     */
    int place(int value) {
        return (value + (value >>> 15)) * steps;
    }

    /** The last node before a place, of which there is one more behind. */
    int node(int place) {
        return Math.min(place >>> Lanes.WEIGHT_BITS, steps - 1);
    }

    /** How far a place is beyond a node, of {@link Lanes#WHOLE}. */
    static int beyond(int place, int node) {
        return place - (node << Lanes.WEIGHT_BITS);
    }

    /**
     * What is at a place; the corners are reached by going along the channel that is farthest beyond its node first.
     *
     * @param nodes the first channel changes slowest
     * @param first {@link #place} in each channel
     */
    long at(long[] nodes, int first, int second, int third) {
        int firstNode = node(first);
        int secondNode = node(second);
        int thirdNode = node(third);
        int a = beyond(first, firstNode);
        int b = beyond(second, secondNode);
        int c = beyond(third, thirdNode);
        int most = Math.max(Math.max(a, b), c);
        int least = Math.min(Math.min(a, b), c);
        int corner = firstNode * firstStep + secondNode * secondStep + thirdNode;
        return mixed(nodes, corner, order(a, b, c), most, a + b + c - most - least, least);
    }

    /** A bit for each of: first less than second, first less than third, second less than third; without branches. */
    private static int order(int a, int b, int c) {
        return (a - b >>> 31) << 2 | (b - c >>> 31) | (a - c >>> 31) << 1;
    }

    private long mixed(long[] nodes, int corner, int order, int most, int middle, int least) {
        long one = nodes[corner];
        long two = nodes[corner + toSecond[order]];
        long three = nodes[corner + toThird[order]];
        long four = nodes[corner + opposite];
        return Lanes.joined(
                sum(Lanes.even(one), Lanes.even(two), Lanes.even(three), Lanes.even(four), most, middle, least),
                sum(Lanes.odd(one), Lanes.odd(two), Lanes.odd(three), Lanes.odd(four), most, middle, least));
    }

    /** Of two channels, each times {@link Lanes#WHOLE}: at most 2^32 - 2^15. */
    private static long sum(long one, long two, long three, long four, int most, int middle, int least) {
        return Lanes.HALF
                + (Lanes.WHOLE - most) * one
                + (most - middle) * two
                + (middle - least) * three
                + least * four;
    }
}
