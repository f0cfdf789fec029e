package nexa.imaging.blocks;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import nexa.core.geometry.PixelSize;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;

/**
 * A JPEG whose blocks can be taken over as they are: baseline or extended, 8 bits, Huffman coded, all components in one
 * scan. That is what nearly all cameras write; progressive ones are not among them.
 *
 * @param size stored pixels
 * @param components in the order of the scan
 * @param acTables by their number
 * @param segments all before the scan but those of size, tables and scan, with their markers and lengths
 * @param frame the frame header's marker and payload
 * @param restart units between restart markers; 0 = none
 * @param scan where the scan's data begins
 */
record BlockJpeg(
        byte[] bytes,
        PixelSize size,
        List<Component> components,
        Map<Integer, Huffman> dcTables,
        Map<Integer, Huffman> acTables,
        List<byte[]> segments,
        int frameMarker,
        byte[] frame,
        byte[] scanHeader,
        int restart,
        int scan) {
    private static final int BLOCK = 8;
    private static final int MOST_COMPONENTS = 4;

    /**
     * @param across blocks in a unit, side by side
     * @param down blocks in a unit, one below the other
     */
    record Component(int across, int down, int dcTable, int acTable) {}

    /** Reading made sure that each component has its tables. */
    Huffman dcTable(Component component) {
        return Objects.requireNonNull(dcTables.get(component.dcTable()));
    }

    Huffman acTable(Component component) {
        return Objects.requireNonNull(acTables.get(component.acTable()));
    }

    /** Pixels across in a unit of the grid on which such a file can be cut. */
    int unitWidth() {
        return BLOCK * components.stream().mapToInt(Component::across).max().orElseThrow();
    }

    int unitHeight() {
        return BLOCK * components.stream().mapToInt(Component::down).max().orElseThrow();
    }

    /** @throws IOException with words for the user if the file is of another kind or damaged */
    static BlockJpeg read(byte[] bytes) throws IOException {
        try {
            return new Reading(bytes).all();
        } catch (IndexOutOfBoundsException cut) {
            throw new ToldException(Told.of("told.blocks.header-damaged"), cut);
        }
    }

    /** Reads the header, segment by segment. */
    private static final class Reading {
        private final byte[] bytes;
        private final HuffmanTables tables = new HuffmanTables();
        private final List<byte[]> kept = new ArrayList<>();
        private byte[] frame = new byte[0];
        private int frameMarker;
        private int restart;

        Reading(byte[] bytes) {
            this.bytes = bytes;
        }

        BlockJpeg all() throws IOException {
            int at = 2;
            while (at + 4 <= bytes.length) {
                int marker = bytes[at + 1] & 0xFF;
                if ((bytes[at] & 0xFF) != 0xFF) {
                    throw new ToldException("told.blocks.header-damaged");
                }
                if (marker == 0xFF) { // fill byte
                    at++;
                    continue;
                }
                int end = at + 2 + number(at + 2);
                if (end < at + 4 || end > bytes.length) {
                    throw new ToldException("told.blocks.header-damaged");
                }
                byte[] payload = Arrays.copyOfRange(bytes, at + 4, end);
                if (marker == 0xDA) {
                    return scan(payload, end);
                }
                take(marker, payload, Arrays.copyOfRange(bytes, at, end));
                at = end;
            }
            throw new ToldException("told.blocks.header-damaged");
        }

        private int number(int at) {
            return (bytes[at] & 0xFF) << 8 | bytes[at + 1] & 0xFF;
        }

        private void take(int marker, byte[] payload, byte[] whole) throws IOException {
            switch (marker) {
                case 0xC0, 0xC1 -> {
                    frameMarker = marker;
                    frame = payload;
                }
                case 0xC4 -> tables.take(payload);
                case 0xDD -> restart = (payload[0] & 0xFF) << 8 | payload[1] & 0xFF;
                default -> {
                    if (marker > 0xC1 && marker <= 0xCF) {
                        throw new ToldException("told.blocks.progressive-or-rare-kind");
                    }
                    kept.add(whole);
                }
            }
        }

        private BlockJpeg scan(byte[] header, int data) throws IOException {
            int count = header[0];
            if (frame.length < 6 || frame[0] != 8 || frame[5] != count || count < 1 || count > MOST_COMPONENTS) {
                throw new ToldException("told.blocks.rare-kind");
            }
            int height = (frame[1] & 0xFF) << 8 | frame[2] & 0xFF;
            int width = (frame[3] & 0xFF) << 8 | frame[4] & 0xFF;
            List<Component> components = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                components.add(component(header[1 + 2 * i], header[2 + 2 * i] & 0xFF, count));
            }
            if (width == 0 || height == 0) {
                throw new ToldException("told.blocks.rare-kind");
            }
            return new BlockJpeg(
                    bytes,
                    new PixelSize(width, height),
                    components,
                    tables.dc(),
                    tables.ac(),
                    kept,
                    frameMarker,
                    frame,
                    header,
                    restart,
                    data);
        }

        private Component component(byte id, int numbers, int count) throws IOException {
            for (int at = 6; at + 2 < frame.length; at += 3) {
                if (frame[at] == id) {
                    int across = frame[at + 1] >> 4 & 0xF;
                    int down = frame[at + 1] & 0xF;
                    if (across < 1
                            || down < 1
                            || !tables.dc().containsKey(numbers >> 4)
                            || !tables.ac().containsKey(numbers & 0xF)) {
                        throw new ToldException("told.blocks.header-damaged");
                    }
                    // a scan of one component goes block by block (A.2.2)
                    return count == 1
                            ? new Component(1, 1, numbers >> 4, numbers & 0xF)
                            : new Component(across, down, numbers >> 4, numbers & 0xF);
                }
            }
            throw new ToldException("told.blocks.header-damaged");
        }
    }
}
