package nexa.imaging.blocks;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import nexa.core.geometry.PixelSize;
import nexa.imaging.blocks.BlockJpeg.Component;
import nexa.imaging.file.ToldException;

/** Cuts a JPEG on its grid. Only how the mean of each block is told changes, as that is told from block to block. */
public final class BlockCut {
    private static final int COEFFICIENTS = 64;
    private static final int END_OF_BLOCK = 0x00;
    private static final int SIXTEEN_ZEROS = 0xF0;
    private static final int APP0 = 0xE0;
    private static final int APP14 = 0xEE;

    private final BlockJpeg jpeg;
    private final Part part;
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    /**
     * A part of a JPEG in its stored pixels.
     *
     * @param left on the grid
     * @param top on the grid
     */
    public record Part(int left, int top, int width, int height) {}

    /** The grid on which a JPEG can be cut: its unit in pixels. */
    public record Grid(int width, int height) {}

    private BlockCut(BlockJpeg jpeg, Part part) {
        this.jpeg = jpeg;
        this.part = part;
    }

    /** @throws IOException with words for the user if such a JPEG can't be cut so */
    public static Grid grid(byte[] file) throws IOException {
        BlockJpeg jpeg = BlockJpeg.read(file);
        return new Grid(jpeg.unitWidth(), jpeg.unitHeight());
    }

    /**
     * The part as a JPEG of its own.
     *
     * @param file a whole JPEG
     * @param added segments, with their markers and lengths, that come first
     * @param keeps tells which of the file's own application segments and comments go along; those that the pixels need always do
     * @throws IOException with words for the user if such a JPEG can't be cut so, or is damaged
     * @throws IllegalArgumentException if the part is not on the grid or not inside
     */
    public static byte[] cut(byte[] file, Part part, List<byte[]> added, Predicate<byte[]> keeps) throws IOException {
        BlockJpeg jpeg = BlockJpeg.read(file);
        PixelSize size = jpeg.size();
        boolean onGrid = part.left % jpeg.unitWidth() == 0 && part.top % jpeg.unitHeight() == 0;
        boolean inside = part.left >= 0
                && part.top >= 0
                && part.width > 0
                && part.height > 0
                && part.left + part.width <= size.width()
                && part.top + part.height <= size.height();
        if (!onGrid || !inside) {
            throw new IllegalArgumentException(part + " is no part on the grid of " + size);
        }
        return new BlockCut(jpeg, part).cut(added, keeps);
    }

    private byte[] cut(List<byte[]> added, Predicate<byte[]> keeps) throws IOException {
        marker(0xD8);
        jpeg.segments().stream()
                .filter(segment -> marker(segment) == APP0)
                .flatMap(segment -> JfifHeader.plain(segment).stream())
                .forEach(out::writeBytes);
        added.forEach(out::writeBytes);
        ownSegments(segment -> marker(segment) != APP0 && (isNeeded(marker(segment)) || keeps.test(segment)));
        segment(jpeg.frameMarker(), frame());
        for (Map.Entry<Integer, Huffman> table : jpeg.acTables().entrySet()) {
            segment(0xC4, table.getValue().segment(0x10 | table.getKey()));
        }
        for (int number : jpeg.dcTables().keySet()) {
            segment(0xC4, Huffman.DC.segment(number));
        }
        segment(0xDA, jpeg.scanHeader());
        new Scan().copy();
        marker(0xD9);
        return out.toByteArray();
    }

    private static int marker(byte[] segment) {
        return segment[1] & 0xFF;
    }

    /** All but application data and comments; how colours are coded is application data too. */
    private static boolean isNeeded(int marker) {
        return marker == APP14 || marker < APP0 || marker > 0xEF && marker != 0xFE;
    }

    private void ownSegments(Predicate<byte[]> which) {
        jpeg.segments().stream().filter(which).forEach(out::writeBytes);
    }

    private void marker(int marker) {
        out.write(0xFF);
        out.write(marker);
    }

    private void segment(int marker, byte[] payload) {
        marker(marker);
        out.write(payload.length + 2 >> 8);
        out.write(payload.length + 2);
        out.writeBytes(payload);
    }

    private byte[] frame() {
        byte[] frame = jpeg.frame().clone();
        ByteBuffer.wrap(frame).putShort(1, (short) part.height).putShort(3, (short) part.width);
        return frame;
    }

    /** Goes through the units of the grid, and copies those of the part. */
    private final class Scan {
        private final BitReader in = new BitReader(jpeg.bytes(), jpeg.scan());
        private final BitWriter bits = new BitWriter(out);
        private final int[] meanRead = new int[jpeg.components().size()];
        private final int[] meanWritten = new int[jpeg.components().size()];

        void copy() throws IOException {
            int across = Math.ceilDiv(jpeg.size().width(), jpeg.unitWidth());
            int firstX = part.left / jpeg.unitWidth();
            int firstY = part.top / jpeg.unitHeight();
            int endX = Math.ceilDiv(part.left + part.width, jpeg.unitWidth());
            int endY = Math.ceilDiv(part.top + part.height, jpeg.unitHeight());
            for (int unit = 0; unit < across * endY; unit++) {
                if (jpeg.restart() > 0 && unit > 0 && unit % jpeg.restart() == 0) {
                    in.restart();
                    Arrays.fill(meanRead, 0);
                }
                int x = unit % across;
                unit(unit / across >= firstY && x >= firstX && x < endX);
            }
            bits.end();
        }

        private void unit(boolean kept) throws IOException {
            for (int i = 0; i < jpeg.components().size(); i++) {
                Component component = jpeg.components().get(i);
                for (int block = 0; block < component.across() * component.down(); block++) {
                    mean(i, component, kept);
                    rest(component, kept);
                }
            }
        }

        /** The first coefficient is told as the difference to that of the block before (F.1.2.1). */
        private void mean(int number, Component component, boolean kept) throws IOException {
            int category = jpeg.dcTable(component).read(in);
            if (category > 11) {
                throw new ToldException("told.blocks.data-damaged");
            }
            meanRead[number] += extended(in.read(category), category);
            if (kept) {
                int difference = meanRead[number] - meanWritten[number];
                meanWritten[number] = meanRead[number];
                int size = Integer.SIZE - Integer.numberOfLeadingZeros(Math.abs(difference));
                if (size > 11) {
                    throw new ToldException("told.blocks.data-damaged");
                }
                Huffman.DC.write(size, bits);
                bits.write(difference < 0 ? difference - 1 : difference, size);
            }
        }

        /** Figure F.12. */
        private static int extended(int value, int category) {
            return category > 0 && value < 1 << category - 1 ? value - (1 << category) + 1 : value;
        }

        /** The others are copied bit by bit (F.1.2.2). */
        private void rest(Component component, boolean kept) throws IOException {
            Huffman table = jpeg.acTable(component);
            int coefficient = 1;
            while (coefficient < COEFFICIENTS) {
                int symbol = table.read(in);
                int size = symbol & 0xF;
                int value = in.read(size);
                if (kept) {
                    table.write(symbol, bits);
                    bits.write(value, size);
                }
                if (symbol == END_OF_BLOCK) {
                    return;
                }
                coefficient += (symbol >> 4) + 1;
                if (size == 0 && symbol != SIXTEEN_ZEROS || coefficient > COEFFICIENTS) {
                    throw new ToldException("told.blocks.data-damaged");
                }
            }
        }
    }
}
