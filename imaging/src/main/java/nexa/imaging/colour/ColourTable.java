package nexa.imaging.colour;

import java.util.function.UnaryOperator;

/**
 * What an engine makes of red, green and blue, read off at the nodes of a cube and in between taken linearly from the
 * corners of the tetrahedron that a colour lies in (Kang, Computational Color Technology, 9.3): 16 bits, and many times
 * faster than the engine. Immutable.
 */
final class ColourTable implements FastColours {
    /** From node to node of a channel; fewer are too far from edges, where colours are cut off or one ink replaces others. */
    static final int STEPS = 96;

    /** For what is only looked at, and is to be made soon. */
    static final int FEWER_STEPS = 64;

    /** Of a place between two nodes. */
    private static final int BETWEEN_BITS = 16;

    private static final int WHOLE = 1 << BETWEEN_BITS;

    /** Every second channel of a node, so that sums of them have room. */
    private static final long LANES = 0x0000_FFFF_0000_FFFFL;

    private static final long HALF = (WHOLE / 2L << 32) + WHOLE / 2L;

    /** Where bright colours are cut off, edges lie between its nodes: measured are up to 0.72 of CIEDE2000. */
    private static final int TOLERANCE = 5000;

    private static final int TOLERANCE_NEAR_BLACK = 500;

    /** Up to four channels of 16 bits each, the first in the lowest bits. */
    private final long[] nodes;

    private final int channels;
    private final int steps;
    private final int greenStep;
    private final int redStep;
    private final int opposite;

    /** From the first corner to the next, by which of red, green and blue are less than which: see {@link #order}. */
    private final int[] second;

    /** From the first corner to the one before the opposite one. */
    private final int[] third;

    /**
     * @param engine from red, green, blue, red, … in 16 bits to the same in other colours, or to inks
     * @param channels of what the engine makes: up to 4
     * @param steps from node to node of a channel
     */
    ColourTable(UnaryOperator<short[]> engine, int channels, int steps) {
        this.nodes = packed(engine.apply(cube(steps)), channels);
        this.channels = channels;
        this.steps = steps;
        this.greenStep = steps + 1;
        this.redStep = greenStep * greenStep;
        this.opposite = redStep + greenStep + 1;
        int toBlue = opposite - 1;
        int toGreen = opposite - greenStep;
        int toRed = opposite - redStep;
        this.second = new int[] {redStep, redStep, 1, 1, greenStep, redStep, greenStep, 1};
        this.third = new int[] {toBlue, toGreen, toGreen, toGreen, toBlue, toBlue, toRed, toRed};
    }

    private static long[] packed(short[] colours, int channels) {
        long[] nodes = new long[colours.length / channels];
        for (int i = 0; i < colours.length; i++) {
            nodes[i / channels] |= (colours[i] & 0xFFFFL) << 16 * (i % channels);
        }
        return nodes;
    }

    private static short[] cube(int steps) {
        short[] colours = new short[(steps + 1) * (steps + 1) * (steps + 1) * 3];
        int at = 0;
        for (int red = 0; red <= steps; red++) {
            for (int green = 0; green <= steps; green++) {
                for (int blue = 0; blue <= steps; blue++) {
                    colours[at++] = value(red, steps);
                    colours[at++] = value(green, steps);
                    colours[at++] = value(blue, steps);
                }
            }
        }
        return colours;
    }

    private static short value(int node, int steps) {
        return (short) Math.round(node * (VALUES - 1.0) / steps);
    }

    @Override
    public int channels() {
        return channels;
    }

    @Override
    public int tolerance() {
        return TOLERANCE;
    }

    /** Exceeded by linear light, whose curve bends more there than the nodes follow. */
    @Override
    public int toleranceNearBlack() {
        return TOLERANCE_NEAR_BLACK;
    }

    @Override
    public void convert(short[] colours, short[] converted) {
        for (int from = 0, to = 0; from < colours.length; from += 3, to += channels) {
            int red = colours[from] & 0xFFFF;
            int green = colours[from + 1] & 0xFFFF;
            int blue = colours[from + 2] & 0xFFFF;
            convert(place(red), place(green), place(blue), converted, to);
        }
    }

    /** Nodes from the first on, with {@link #BETWEEN_BITS} behind the point: 65,535 is the last one. */
    private int place(int value) {
        return (value + (value >>> 15)) * steps;
    }

    /** The corners of the tetrahedron are reached by going along the channel that is farthest beyond its node first. */
    private void convert(int red, int green, int blue, short[] converted, int to) {
        int redNode = node(red);
        int greenNode = node(green);
        int blueNode = node(blue);
        int r = red - (redNode << BETWEEN_BITS);
        int g = green - (greenNode << BETWEEN_BITS);
        int b = blue - (blueNode << BETWEEN_BITS);
        int most = Math.max(Math.max(r, g), b);
        int least = Math.min(Math.min(r, g), b);
        mix(
                redNode * redStep + greenNode * greenStep + blueNode,
                order(r, g, b),
                most,
                r + g + b - most - least,
                least,
                converted,
                to);
    }

    private int node(int place) {
        return Math.min(place >>> BETWEEN_BITS, steps - 1);
    }

    /** A bit for each of: red less than green, red less than blue, green less than blue; without branches. */
    private static int order(int r, int g, int b) {
        return (r - g >>> 31) << 2 | (g - b >>> 31) | (r - b >>> 31) << 1;
    }

    private void mix(int corner, int order, int most, int middle, int least, short[] converted, int to) {
        long one = nodes[corner];
        long two = nodes[corner + second[order]];
        long three = nodes[corner + third[order]];
        long four = nodes[corner + opposite];
        long even = sum(one, two, three, four, most, middle, least);
        long odd = sum(one >>> 16, two >>> 16, three >>> 16, four >>> 16, most, middle, least);
        converted[to] = (short) (even >>> BETWEEN_BITS);
        converted[to + 1] = (short) (odd >>> BETWEEN_BITS);
        converted[to + 2] = (short) (even >>> 32 + BETWEEN_BITS);
        if (channels == 4) {
            converted[to + 3] = (short) (odd >>> 32 + BETWEEN_BITS);
        }
    }

    /** Of two channels, each times {@link #WHOLE}: at most 2^32 - 2^15. */
    private static long sum(long one, long two, long three, long four, int most, int middle, int least) {
        return HALF
                + (WHOLE - most) * (one & LANES)
                + (most - middle) * (two & LANES)
                + (middle - least) * (three & LANES)
                + least * (four & LANES);
    }
}
