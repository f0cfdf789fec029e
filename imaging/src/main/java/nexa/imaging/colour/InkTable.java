package nexa.imaging.colour;

import java.util.Arrays;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * What an engine makes of four inks, read off at nodes: for each node of the first ink a cube of the other three, and
 * linearly from one cube to the next. 16 bits, and many times faster than the engine. Immutable.
 */
final class InkTable implements FastColours {
    /** From node to node of an ink; made of 1.2 million of them. */
    static final int STEPS = 32;

    private static final int INKS = 4;

    /** Measured are up to 0.65 of CIEDE2000. */
    private static final int TOLERANCE = 3500;

    private final NodeCube cube = new NodeCube(STEPS);
    private final long[] nodes;

    /** @param engine from cyan, magenta, yellow, black, cyan, … in 16 bits to red, green, blue, … */
    InkTable(UnaryOperator<short[]> engine) {
        nodes = IntStream.rangeClosed(0, STEPS)
                .parallel()
                .mapToObj(first -> NodeCube.packed(engine.apply(cube(first)), 3))
                .flatMapToLong(Arrays::stream)
                .toArray();
    }

    /** All of the other inks beside a node of the first. */
    private short[] cube(int first) {
        short[] inks = new short[cube.count() * INKS];
        int at = 0;
        for (int second = 0; second <= STEPS; second++) {
            for (int third = 0; third <= STEPS; third++) {
                for (int fourth = 0; fourth <= STEPS; fourth++) {
                    inks[at++] = NodeCube.value(first, STEPS);
                    inks[at++] = NodeCube.value(second, STEPS);
                    inks[at++] = NodeCube.value(third, STEPS);
                    inks[at++] = NodeCube.value(fourth, STEPS);
                }
            }
        }
        return inks;
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
            int first = cube.place(inks[from] & 0xFFFF);
            int second = cube.place(inks[from + 1] & 0xFFFF);
            int third = cube.place(inks[from + 2] & 0xFFFF);
            int fourth = cube.place(inks[from + 3] & 0xFFFF);
            int node = cube.node(first);
            long before = cube.at(nodes, node * cube.count(), second, third, fourth);
            long after = cube.at(nodes, (node + 1) * cube.count(), second, third, fourth);
            NodeCube.unpack(NodeCube.between(before, after, NodeCube.beyond(first, node)), converted, to, 3);
        }
    }
}
