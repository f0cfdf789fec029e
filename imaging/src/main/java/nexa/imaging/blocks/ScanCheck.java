package nexa.imaging.blocks;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.stream.ImageInputStream;
import nexa.imaging.blocks.BlockJpeg.Component;
import nexa.imaging.file.ToldException;

/**
 * Tells whether a JPEG's picture data is whole: decoders fill in what is damaged and say nothing. Every code of the scan
 * must be one of its tables, and the last one must end where the picture ends. No pixel is decoded, unless the file is of a
 * kind that only a decoder understands.
 */
public final class ScanCheck {
    /** A decoder that only looks for damage gives a small picture. */
    private static final int SAMPLED = 16;

    private static final int COEFFICIENTS = 64;
    private static final int SIXTEEN_ZEROS = 0xF0;

    private ScanCheck() {}

    /** Whether parts of the picture are damaged or missing. */
    public static boolean isDamaged(byte[] jpeg) {
        BlockJpeg blocks;
        try {
            blocks = BlockJpeg.read(jpeg);
        } catch (IOException ofAnotherKind) { // that is the answer
            return decoderComplains(jpeg);
        }
        try {
            new Walk(blocks).toTheEnd();
            return false;
        } catch (IOException damaged) { // that is the answer
            return true;
        }
    }

    private static boolean decoderComplains(byte[] jpeg) {
        AtomicBoolean complaint = new AtomicBoolean();
        ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(jpeg))) {
            reader.setInput(in, true, true);
            reader.addIIOReadWarningListener((IIOReadWarningListener) (source, warning) -> complaint.set(true));
            ImageReadParam small = reader.getDefaultReadParam();
            small.setSourceSubsampling(SAMPLED, SAMPLED, 0, 0);
            reader.readRaster(0, small);
            return complaint.get();
        } catch (IOException | RuntimeException unread) { // a kind this decoder does not know is no damage
            return complaint.get();
        } finally {
            reader.dispose();
        }
    }

    /** Goes through a scan's codes (ITU T.81, F.2.2). */
    private static final class Walk {
        private final BlockJpeg jpeg;
        private final FastBits bits;

        Walk(BlockJpeg jpeg) {
            this.jpeg = jpeg;
            this.bits = new FastBits(jpeg.bytes(), jpeg.scan());
        }

        void toTheEnd() throws IOException {
            int count = jpeg.components().size();
            FastTable[] dc = new FastTable[count];
            FastTable[] ac = new FastTable[count];
            int[] blocks = new int[count];
            for (int i = 0; i < count; i++) {
                Component component = jpeg.components().get(i);
                dc[i] = new FastTable(jpeg.dcTable(component));
                ac[i] = new FastTable(jpeg.acTable(component));
                blocks[i] = component.across() * component.down();
            }
            int units = Math.ceilDiv(jpeg.size().width(), jpeg.unitWidth())
                    * Math.ceilDiv(jpeg.size().height(), jpeg.unitHeight());
            for (int unit = 0; unit < units; unit++) {
                if (jpeg.restart() > 0 && unit > 0 && unit % jpeg.restart() == 0) {
                    bits.restart();
                }
                for (int i = 0; i < count; i++) {
                    for (int block = 0; block < blocks[i]; block++) {
                        block(dc[i], ac[i]);
                    }
                }
            }
            bits.end();
        }

        private void block(FastTable dc, FastTable ac) throws IOException {
            bits.skip(dc.read(bits) & 0x1F);
            int coefficient = 1;
            while (coefficient < COEFFICIENTS) {
                int symbol = ac.read(bits);
                int size = symbol & 0xF;
                if (size == 0 && symbol != SIXTEEN_ZEROS) {
                    if (symbol != 0) {
                        throw new ToldException("told.blocks.data-damaged");
                    }
                    return;
                }
                bits.skip(size);
                coefficient += (symbol >> 4) + 1;
            }
            if (coefficient > COEFFICIENTS) {
                throw new ToldException("told.blocks.data-damaged");
            }
        }
    }

    /** A Huffman table by the next bits: what most codes need is looked up at once. */
    private static final class FastTable {
        private static final int LOOKED_UP = 10;
        private static final int LONGEST = 16;

        /** Length in the upper, symbol in the lower byte; 0 = a longer code. */
        private final short[] byBits = new short[1 << LOOKED_UP];

        private final Huffman table;

        FastTable(Huffman table) {
            this.table = table;
            table.codes((symbol, code, length) -> {
                if (length <= LOOKED_UP) {
                    int first = code << LOOKED_UP - length;
                    for (int i = 0; i < 1 << LOOKED_UP - length && first + i < byBits.length; i++) {
                        byBits[first + i] = (short) (length << 8 | symbol);
                    }
                }
            });
        }

        int read(FastBits bits) throws IOException {
            int entry = byBits[bits.peek(LOOKED_UP)];
            if (entry == 0) {
                entry = table.find(bits.peek(LONGEST));
            }
            bits.skip(entry >> 8);
            return entry & 0xFF;
        }
    }

    /** The bits of a scan, many at a time. Behind its end come zeros, which must not be used. */
    private static final class FastBits {
        private final byte[] bytes;
        private int at;
        private long buffer;
        private int left;
        private int borrowed;

        FastBits(byte[] bytes, int at) {
            this.bytes = bytes;
            this.at = at;
        }

        int peek(int count) {
            if (left < count) {
                fill();
            }
            return (int) (buffer >>> left - count) & (1 << count) - 1;
        }

        void skip(int count) throws IOException {
            if (left < count) {
                fill();
            }
            left -= count;
            if (left < borrowed) {
                throw new ToldException("told.blocks.data-ends-too-early");
            }
        }

        private void fill() {
            while (left <= Long.SIZE - 2 * Byte.SIZE) {
                int value = at < bytes.length ? bytes[at] & 0xFF : 0xFF;
                if (value != 0xFF) { // as nearly all are
                    at++;
                } else if (atMarker()) {
                    value = 0;
                    borrowed += Byte.SIZE;
                } else {
                    at += 2;
                }
                buffer = buffer << Byte.SIZE | value;
                left += Byte.SIZE;
            }
        }

        private boolean atMarker() {
            return at >= bytes.length || bytes[at] == (byte) 0xFF && (at + 1 >= bytes.length || bytes[at + 1] != 0);
        }

        /** Passes over what is left of a byte and the marker that must be next (E.2.4). */
        void restart() throws IOException {
            toMarker();
            if (at + 1 >= bytes.length || (bytes[at + 1] & 0xF8) != 0xD0) {
                throw new ToldException("told.blocks.data-damaged");
            }
            at += 2;
            buffer = 0;
            left = 0;
            borrowed = 0;
        }

        /** The marker that ends the data is next, or the file's end. */
        void end() throws IOException {
            toMarker();
        }

        private void toMarker() throws IOException {
            if (left - borrowed >= Byte.SIZE || !atMarker()) {
                throw new ToldException("told.blocks.data-too-much");
            }
            while (at + 1 < bytes.length && bytes[at + 1] == (byte) 0xFF) { // fill bytes
                at++;
            }
        }
    }
}
