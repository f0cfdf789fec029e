package nexa.imaging.colour;

import java.util.function.UnaryOperator;

/**
 * What an engine makes of red, green and blue, read off at the nodes of a cube and in between taken linearly from the
 * corners of the tetrahedron that a colour lies in (Kang, Computational Color Technology, 9.3): 16 bits, and many times
 * faster than the engine. Immutable.
 */
final class ColourTable implements FastColours {
    private static final int NODES = 65;
    private static final int WHOLE = 1 << 15;

    /** Where a value lies among the nodes of a channel, and how far beyond the node in parts of {@link #WHOLE}. */
    private static final int[] NODE = new int[VALUES];

    private static final int[] BEYOND = new int[VALUES];

    /** Where bright colours are cut off, edges lie between its nodes: measured are up to 0.7 of CIEDE2000. */
    private static final int TOLERANCE = 5000;

    private static final int TOLERANCE_NEAR_BLACK = 500;

    static {
        for (int value = 0; value < VALUES; value++) {
            long place = (long) value * (NODES - 1) * WHOLE / (VALUES - 1);
            int node = (int) Math.min(place / WHOLE, NODES - 2);
            NODE[value] = node;
            BEYOND[value] = (int) (place - (long) node * WHOLE);
        }
    }

    private final short[] nodes;
    private final int channels;
    private final int greenStep;
    private final int redStep;

    /**
     * @param engine from red, green, blue, red, … in 16 bits to the same in other colours, or to inks
     * @param channels of what the engine makes
     */
    ColourTable(UnaryOperator<short[]> engine, int channels) {
        this.nodes = engine.apply(cube());
        this.channels = channels;
        this.greenStep = NODES * channels;
        this.redStep = NODES * NODES * channels;
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
            convert(colours, from, converted, to);
        }
    }

    /** The corners of the tetrahedron are reached by going along the channel that is farthest beyond its node first. */
    private void convert(short[] colours, int at, short[] converted, int to) {
        int red = colours[at] & 0xFFFF;
        int green = colours[at + 1] & 0xFFFF;
        int blue = colours[at + 2] & 0xFFFF;
        int r = BEYOND[red];
        int g = BEYOND[green];
        int b = BEYOND[blue];
        int corner = NODE[red] * redStep + NODE[green] * greenStep + NODE[blue] * channels;
        int opposite = corner + redStep + greenStep + channels;
        int second;
        int third;
        int most;
        int middle;
        int least;
        if (r >= g) {
            if (g >= b) {
                second = corner + redStep;
                third = second + greenStep;
                most = r;
                middle = g;
                least = b;
            } else if (r >= b) {
                second = corner + redStep;
                third = second + channels;
                most = r;
                middle = b;
                least = g;
            } else {
                second = corner + channels;
                third = second + redStep;
                most = b;
                middle = r;
                least = g;
            }
        } else if (b >= g) {
            second = corner + channels;
            third = second + greenStep;
            most = b;
            middle = g;
            least = r;
        } else if (b >= r) {
            second = corner + greenStep;
            third = second + channels;
            most = g;
            middle = b;
            least = r;
        } else {
            second = corner + greenStep;
            third = second + redStep;
            most = g;
            middle = r;
            least = b;
        }
        for (int channel = 0; channel < channels; channel++) {
            // unsigned: the weights are 2^15 together, the values below 2^16
            int sum = (WHOLE - most) * (nodes[corner + channel] & 0xFFFF)
                    + (most - middle) * (nodes[second + channel] & 0xFFFF)
                    + (middle - least) * (nodes[third + channel] & 0xFFFF)
                    + least * (nodes[opposite + channel] & 0xFFFF);
            converted[to + channel] = (short) (sum + WHOLE / 2 >>> 15);
        }
    }
}
