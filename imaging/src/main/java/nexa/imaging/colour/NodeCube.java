package nexa.imaging.colour;

/**
 * Where a colour of three channels lies between the nodes of a cube, and what is there: taken linearly from the corners of
 * the tetrahedron that it lies in (Kang, Computational Color Technology, 9.3). What is at a node is up to four channels of
 * 16 bits packed in a number, the first in the lowest bits. Immutable.
 */
final class NodeCube {
    /** Of a place between two nodes. */
    private static final int BETWEEN_BITS = 16;

    private static final int WHOLE = 1 << BETWEEN_BITS;

    /** Every second channel of a node, so that sums of them have room. */
    private static final long LANES = 0x0000_FFFF_0000_FFFFL;

    private static final long HALF = (WHOLE / 2L << 32) + WHOLE / 2L;

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

    /** Packs channels as nodes have them. */
    static long[] packed(short[] colours, int channels) {
        long[] nodes = new long[colours.length / channels];
        for (int i = 0; i < colours.length; i++) {
            nodes[i / channels] |= (colours[i] & 0xFFFFL) << 16 * (i % channels);
        }
        return nodes;
    }

    /**
     * Takes packed channels apart.
     *
     * @param to where the first of them goes
     * @param channels 3 or 4
     */
    static void unpack(long packed, short[] colours, int to, int channels) {
        colours[to] = (short) packed;
        colours[to + 1] = (short) (packed >>> 16);
        colours[to + 2] = (short) (packed >>> 32);
        if (channels == 4) {
            colours[to + 3] = (short) (packed >>> 48);
        }
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
        return Math.min(place >>> BETWEEN_BITS, steps - 1);
    }

    /** How far a place is beyond a node, of {@link #WHOLE}. */
    static int beyond(int place, int node) {
        return place - (node << BETWEEN_BITS);
    }

    /**
     * What is at a place; the corners are reached by going along the channel that is farthest beyond its node first.
     *
     * @param nodes the first channel changes slowest
     * @param from where the cube begins in them
     * @param first {@link #place} in each channel
     */
    long at(long[] nodes, int from, int first, int second, int third) {
        int firstNode = node(first);
        int secondNode = node(second);
        int thirdNode = node(third);
        int a = beyond(first, firstNode);
        int b = beyond(second, secondNode);
        int c = beyond(third, thirdNode);
        int most = Math.max(Math.max(a, b), c);
        int least = Math.min(Math.min(a, b), c);
        int corner = from + firstNode * firstStep + secondNode * secondStep + thirdNode;
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
        return joined(
                sum(one, two, three, four, most, middle, least),
                sum(one >>> 16, two >>> 16, three >>> 16, four >>> 16, most, middle, least));
    }

    /** Of two channels, each times {@link #WHOLE}: at most 2^32 - 2^15. */
    private static long sum(long one, long two, long three, long four, int most, int middle, int least) {
        return HALF
                + (WHOLE - most) * (one & LANES)
                + (most - middle) * (two & LANES)
                + (middle - least) * (three & LANES)
                + least * (four & LANES);
    }

    /**
     * What is between two packed numbers.
     *
     * @param beyond how far from the first, of {@link #WHOLE}
     */
    static long between(long one, long two, int beyond) {
        return joined(
                HALF + (WHOLE - beyond) * (one & LANES) + beyond * (two & LANES),
                HALF + (WHOLE - beyond) * (one >>> 16 & LANES) + beyond * (two >>> 16 & LANES));
    }

    /** Of the sums of even and of odd channels. */
    private static long joined(long even, long odd) {
        return even >>> BETWEEN_BITS & LANES | odd & ~LANES;
    }
}
