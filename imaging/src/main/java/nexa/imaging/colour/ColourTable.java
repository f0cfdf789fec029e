package nexa.imaging.colour;

import java.util.function.UnaryOperator;

/**
 * What an engine makes of red, green and blue, read off at the nodes of a cube and taken from the nearest ones in between:
 * 16 bits, and many times faster than the engine. Immutable.
 */
final class ColourTable implements FastColours {
    /** From node to node of a channel; fewer are too far from edges, where colours are cut off or one ink replaces others. */
    static final int STEPS = 96;

    /** For what is only looked at, and is to be made soon. */
    static final int FEWER_STEPS = 64;

    /** Where bright colours are cut off, edges lie between its nodes: measured are up to 0.72 of CIEDE2000. */
    private static final int TOLERANCE = 5000;

    private static final int TOLERANCE_NEAR_BLACK = 500;

    private final long[] nodes;
    private final int channels;
    private final NodeCube cube;

    /**
     * @param engine from red, green, blue, red, … in 16 bits to the same in other colours, or to inks
     * @param channels of what the engine makes: up to 4
     * @param steps from node to node of a channel
     */
    ColourTable(UnaryOperator<short[]> engine, int channels, int steps) {
        this.nodes = Lanes.packed(engine.apply(cube(steps)), channels);
        this.channels = channels;
        this.cube = new NodeCube(steps);
    }

    private static short[] cube(int steps) {
        short[] colours = new short[(steps + 1) * (steps + 1) * (steps + 1) * 3];
        int at = 0;
        for (int red = 0; red <= steps; red++) {
            for (int green = 0; green <= steps; green++) {
                for (int blue = 0; blue <= steps; blue++) {
                    colours[at++] = NodeCube.value(red, steps);
                    colours[at++] = NodeCube.value(green, steps);
                    colours[at++] = NodeCube.value(blue, steps);
                }
            }
        }
        return colours;
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
            int red = cube.place(colours[from] & 0xFFFF);
            int green = cube.place(colours[from + 1] & 0xFFFF);
            int blue = cube.place(colours[from + 2] & 0xFFFF);
            Lanes.unpack(cube.at(nodes, red, green, blue), converted, to, channels);
        }
    }
}
