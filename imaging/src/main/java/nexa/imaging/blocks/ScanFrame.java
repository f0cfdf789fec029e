package nexa.imaging.blocks;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.ToldException;

/** What a picture's scans have in common (B.2.2): its size, and its components as they are sampled. Coded by Huffman's tables, 8 bits. */
record ScanFrame(boolean isProgressive, PixelSize size, List<Sampled> components) {
    private static final int BASELINE = 0xC0;
    private static final int EXTENDED = 0xC1;
    private static final int PROGRESSIVE = 0xC2;
    private static final int HEADER = 6;

    /** Samples along a side. */
    private static final int BLOCK = 8;

    /**
     * @param across blocks side by side in a unit of all components
     * @param down blocks one below the other
     * @param steps which table says how coarsely its coefficients were told
     */
    record Sampled(byte id, int across, int down, int steps) {
        int blocks() {
            return across * down;
        }
    }

    /** Empty if it is of another kind. */
    static Optional<ScanFrame> of(int marker, byte[] payload) {
        if (marker < BASELINE || marker > PROGRESSIVE || payload.length < HEADER || payload[0] != Byte.SIZE) {
            return Optional.empty();
        }
        int height = (payload[1] & 0xFF) << 8 | payload[2] & 0xFF;
        int width = (payload[3] & 0xFF) << 8 | payload[4] & 0xFF;
        List<Sampled> components = new ArrayList<>();
        for (int at = HEADER; at + 2 < payload.length; at += 3) {
            int sampling = payload[at + 1] & 0xFF;
            components.add(new Sampled(payload[at], sampling >> 4, sampling & 0xF, payload[at + 2]));
        }
        boolean known = width > 0
                && height > 0
                && !components.isEmpty()
                && components.size() == payload[5]
                && components.stream().allMatch(component -> component.blocks() > 0);
        return known
                ? Optional.of(
                        new ScanFrame(marker == PROGRESSIVE, new PixelSize(width, height), List.copyOf(components)))
                : Optional.empty();
    }

    static boolean isMarker(int marker) {
        return marker >= BASELINE && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
    }

    /** @throws IOException if no component has that identifier */
    int place(byte id) throws IOException {
        for (int i = 0; i < components.size(); i++) {
            if (components.get(i).id() == id) {
                return i;
            }
        }
        throw new ToldException("told.blocks.header-damaged");
    }

    /** Blocks of a component where a scan has no other: those that its own samples fill (A.2.2). */
    int blocks(int component) {
        Sampled sampled = components.get(component);
        return blocks(size.width(), sampled.across(), mostAcross()) * blocks(size.height(), sampled.down(), mostDown());
    }

    private static int blocks(int pixels, int sampled, int most) {
        return Math.ceilDiv(Math.ceilDiv(pixels * sampled, most), BLOCK);
    }

    /** Units where a scan has several components (A.2.3). */
    int units() {
        return Math.ceilDiv(size.width(), BLOCK * mostAcross()) * Math.ceilDiv(size.height(), BLOCK * mostDown());
    }

    private int mostAcross() {
        return components.stream().mapToInt(Sampled::across).max().orElseThrow();
    }

    private int mostDown() {
        return components.stream().mapToInt(Sampled::down).max().orElseThrow();
    }
}
