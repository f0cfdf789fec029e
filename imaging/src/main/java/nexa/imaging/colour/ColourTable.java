package nexa.imaging.colour;

import java.util.function.UnaryOperator;

/**
 * What an engine makes of red, green and blue, read off at the nodes of a cube and in between taken linearly from the
 * corners of the tetrahedron that a colour lies in (Kang, Computational Color Technology, 9.3): 16 bits, and many times
 * faster than the engine. Immutable.
 */
final class ColourTable implements FastColours {
    private static final int NODES = 65;

    /** Of a place between two nodes. */
    private static final int BETWEEN_BITS = 10;

    private static final int WHOLE = 1 << BETWEEN_BITS;

    /** Every second channel of a node, so that sums of them have room. */
    private static final long LANES = 0x0000_FFFF_0000_FFFFL;

    private static final long HALF = (WHOLE / 2L << 32) + WHOLE / 2L;

    /** Where bright colours are cut off, edges lie between its nodes: measured are up to 0.7 of CIEDE2000. */
    private static final int TOLERANCE = 5000;

    private static final int TOLERANCE_NEAR_BLACK = 500;

    private static final int RED = NODES * NODES;
    private static final int GREEN = NODES;
    private static final int BLUE = 1;

    /** The corner next to the first, by which of red, green and blue are not beyond which: see {@link #order}. */
    private static final int[] SECOND = {RED, RED, BLUE, BLUE, GREEN, RED, GREEN, BLUE};

    /** The corner before the opposite one. */
    private static final int[] THIRD = {
        RED + GREEN, RED + BLUE, RED + BLUE, RED + BLUE, RED + GREEN, RED + GREEN, GREEN + BLUE, GREEN + BLUE
    };

    /** Up to four channels of 16 bits each, the first in the lowest bits. */
    private final long[] nodes;

    private final int channels;

    /**
     * @param engine from red, green, blue, red, … in 16 bits to the same in other colours, or to inks
     * @param channels of what the engine makes: up to 4
     */
    ColourTable(UnaryOperator<short[]> engine, int channels) {
        this.nodes = packed(engine.apply(cube()), channels);
        this.channels = channels;
    }

    private static long[] packed(short[] colours, int channels) {
        long[] nodes = new long[colours.length / channels];
        for (int i = 0; i < colours.length; i++) {
            nodes[i / channels] |= (colours[i] & 0xFFFFL) << 16 * (i % channels);
        }
        return nodes;
    }

    private static short[] cube() {
        short[] colours = new short[NODES * NODES * NODES * 3];
        int at = 0;
        for (int red = 0; red < NODES; red++) {
            for (int green = 0; green < NODES; green++) {
                for (int blue = 0; blue < NODES; blue++) {
                    colours[at++] = value(red);
                    colours[at++] = value(green);
                    colours[at++] = value(blue);
                }
            }
        }
        return colours;
    }

    private static short value(int node) {
        return (short) Math.round(node * (VALUES - 1.0) / (NODES - 1));
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
    private static int place(int value) {
        return value + (value >>> 15);
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
                redNode * RED + greenNode * GREEN + blueNode,
                order(r, g, b),
                most,
                r + g + b - most - least,
                least,
                converted,
                to);
    }

    private static int node(int place) {
        return Math.min(place >>> BETWEEN_BITS, NODES - 2);
    }

    /** A bit for each of: red less than green, red less than blue, green less than blue; without branches. */
    private static int order(int r, int g, int b) {
        return (r - g >>> 31) << 2 | (g - b >>> 31) | (r - b >>> 31) << 1;
    }

    private void mix(int corner, int order, int most, int middle, int least, short[] converted, int to) {
        long first = nodes[corner];
        long second = nodes[corner + SECOND[order]];
        long third = nodes[corner + THIRD[order]];
        long last = nodes[corner + RED + GREEN + BLUE];
        long even = sum(first, second, third, last, most, middle, least);
        long odd = sum(first >>> 16, second >>> 16, third >>> 16, last >>> 16, most, middle, least);
        converted[to] = (short) (even >>> BETWEEN_BITS);
        converted[to + 1] = (short) (odd >>> BETWEEN_BITS);
        converted[to + 2] = (short) (even >>> 32 + BETWEEN_BITS);
        if (channels == 4) {
            converted[to + 3] = (short) (odd >>> 32 + BETWEEN_BITS);
        }
    }

    /** Of two channels, each times {@link #WHOLE}. */
    private static long sum(long first, long second, long third, long last, int most, int middle, int least) {
        return HALF
                + (WHOLE - most) * (first & LANES)
                + (most - middle) * (second & LANES)
                + (middle - least) * (third & LANES)
                + least * (last & LANES);
    }
}
