package nexa.imaging.colour;

import java.util.Random;
import java.util.function.UnaryOperator;

/**
 * What an engine makes of red, green and blue, read off at the nodes of a cube and in between taken linearly from the
 * corners of the tetrahedron that a colour lies in (Kang, Computational Color Technology, 9.3): 16 bits, and many times
 * faster than the engine. Immutable.
 */
final class ColourTable {
    private static final int NODES = 65;
    private static final int VALUES = 65_536;
    private static final int WHOLE = 1 << 15;
    private static final int GREEN_STEP = NODES * 3;
    private static final int RED_STEP = NODES * NODES * 3;

    /** Where a value lies among the nodes of a channel, and how far beyond the node in parts of {@link #WHOLE}. */
    private static final int[] NODE = new int[VALUES];

    private static final int[] BEYOND = new int[VALUES];

    /** Differences that no eye sees, in 16 bits: less than one level of 8 bits. */
    private static final int CLOSE = 200;

    private static final int TRIED = 3000;

    static {
        for (int value = 0; value < VALUES; value++) {
            long place = (long) value * (NODES - 1) * WHOLE / (VALUES - 1);
            int node = (int) Math.min(place / WHOLE, NODES - 2);
            NODE[value] = node;
            BEYOND[value] = (int) (place - (long) node * WHOLE);
        }
    }

    private final short[] nodes;
    private final boolean isClose;

    /** @param engine from red, green, blue, red, … in 16 bits to the same in other colours */
    ColourTable(UnaryOperator<short[]> engine) {
        nodes = engine.apply(cube());
        isClose = isCloseTo(engine);
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

    /** Not where a profile's curve bends more than the nodes follow, as near the black of linear light. */
    private boolean isCloseTo(UnaryOperator<short[]> engine) {
        Random random = new Random(5);
        short[] colours = new short[TRIED * 3];
        for (int i = 0; i < colours.length; i++) {
            int most = i % 2 == 0 ? VALUES : VALUES / 32; // half of them near black
            colours[i] = (short) random.nextInt(most);
        }
        short[] exact = engine.apply(colours);
        convert(colours, 0, TRIED);
        for (int i = 0; i < exact.length; i++) {
            if (Math.abs((exact[i] & 0xFFFF) - (colours[i] & 0xFFFF)) > CLOSE) {
                return false;
            }
        }
        return true;
    }

    /** Whether no eye sees a difference to the engine. */
    boolean isClose() {
        return isClose;
    }

    /**
     * Converts pixels in place.
     *
     * @param colours red, green, blue, red, … in 16 bits
     */
    void convert(short[] colours, int from, int count) {
        for (int i = 3 * from, end = 3 * (from + count); i < end; i += 3) {
            convert(colours, i);
        }
    }

    /** The corners of the tetrahedron are reached by going along the channel that is farthest beyond its node first. */
    private void convert(short[] colours, int at) {
        int red = colours[at] & 0xFFFF;
        int green = colours[at + 1] & 0xFFFF;
        int blue = colours[at + 2] & 0xFFFF;
        int r = BEYOND[red];
        int g = BEYOND[green];
        int b = BEYOND[blue];
        int corner = NODE[red] * RED_STEP + NODE[green] * GREEN_STEP + NODE[blue] * 3;
        int opposite = corner + RED_STEP + GREEN_STEP + 3;
        int second;
        int third;
        int most;
        int middle;
        int least;
        if (r >= g) {
            if (g >= b) {
                second = corner + RED_STEP;
                third = second + GREEN_STEP;
                most = r;
                middle = g;
                least = b;
            } else if (r >= b) {
                second = corner + RED_STEP;
                third = second + 3;
                most = r;
                middle = b;
                least = g;
            } else {
                second = corner + 3;
                third = second + RED_STEP;
                most = b;
                middle = r;
                least = g;
            }
        } else if (b >= g) {
            second = corner + 3;
            third = second + GREEN_STEP;
            most = b;
            middle = g;
            least = r;
        } else if (b >= r) {
            second = corner + GREEN_STEP;
            third = second + 3;
            most = g;
            middle = b;
            least = r;
        } else {
            second = corner + GREEN_STEP;
            third = second + RED_STEP;
            most = g;
            middle = r;
            least = b;
        }
        for (int channel = 0; channel < 3; channel++) {
            // unsigned: the weights are 2^15 together, the values below 2^16
            int sum = (WHOLE - most) * (nodes[corner + channel] & 0xFFFF)
                    + (most - middle) * (nodes[second + channel] & 0xFFFF)
                    + (middle - least) * (nodes[third + channel] & 0xFFFF)
                    + least * (nodes[opposite + channel] & 0xFFFF);
            colours[at + channel] = (short) (sum + WHOLE / 2 >>> 15);
        }
    }
}
