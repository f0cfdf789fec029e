package nexa.imaging.blocks;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import nexa.imaging.file.ToldException;

/**
 * What a scan says (B.2.3).
 *
 * @param components in its order
 */
record ScanHeader(List<Tables> components, Part part) {
    /** Of a frame's component by its place there, the numbers of its tables. */
    record Tables(int component, int dc, int ac) {}

    /**
     * What of each block: all, unless the picture is progressive.
     *
     * @param from the first coefficient
     * @param to the last one
     * @param refines whether it only adds a bit to what an earlier scan said
     */
    record Part(int from, int to, boolean refines) {
        boolean isOfFirstCoefficients() {
            return from == 0;
        }
    }

    /** @throws IOException if it is none of the frame */
    static ScanHeader of(byte[] payload, ScanFrame frame) throws IOException {
        int count = payload[0];
        if (count < 1 || payload.length != 4 + 2 * count) {
            throw damaged();
        }
        List<Tables> components = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int tables = payload[2 + 2 * i] & 0xFF;
            components.add(new Tables(frame.place(payload[1 + 2 * i]), tables >> 4, tables & 0xF));
        }
        Part part = new Part(payload[1 + 2 * count], payload[2 + 2 * count], (payload[3 + 2 * count] & 0xF0) != 0);
        if (frame.isProgressive() && !isOfOne(part, count)) {
            throw damaged();
        }
        return new ScanHeader(List.copyOf(components), part);
    }

    /** Whether it is of the first coefficients alone, or of others of one component (G.1.1.1.1). */
    private static boolean isOfOne(Part part, int components) {
        return part.isOfFirstCoefficients()
                ? part.to() == 0
                : components == 1 && part.from() > 0 && part.from() <= part.to() && part.to() < Long.SIZE;
    }

    private static ToldException damaged() {
        return new ToldException("told.blocks.header-damaged");
    }
}
