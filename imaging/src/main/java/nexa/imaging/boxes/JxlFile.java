package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.boxes.FileBoxes.Place;
import nexa.imaging.source.SourceMetadata;
import org.brotli.dec.BrotliInputStream;

/**
 * What a JPEG XL file says (ISO/IEC 18181-1, 18181-2): a bare codestream, or one in boxes with its metadata. Its profile
 * is coded with the pixels and is known when they are decoded.
 *
 * @param stored before it is turned
 * @param orientation how it is turned and mirrored, as EXIF numbers it
 */
public record JxlFile(PixelSize stored, int orientation, SourceMetadata metadata) {
    private static final int LARGEST_BLOCK = 32 << 20;
    private static final int BEGINNING = 64;
    private static final int CODESTREAM = 0xFF0A;

    /** Whether a file of these first bytes is one. */
    public static boolean isOne(byte[] beginning) {
        ByteBuffer in = ByteBuffer.wrap(beginning);
        if (in.remaining() < 12) {
            return false;
        }
        return (in.getShort(0) & 0xFFFF) == CODESTREAM
                || in.getInt(0) == 12 && in.getInt(4) == 0x4A584C20 && in.getInt(8) == 0x0D0A870A;
    }

    /** @throws ImageProcessingException if it is damaged */
    public static JxlFile read(SeekableByteChannel channel) throws IOException, ImageProcessingException {
        try {
            ByteBuffer first = FileBoxes.read(channel, 0, BEGINNING);
            if ((first.getShort(0) & 0xFFFF) == CODESTREAM) {
                return codestream(first, SourceMetadata.NONE);
            }
            FileBoxes top = FileBoxes.of(channel);
            return codestream(ByteBuffer.wrap(beginning(channel, top)), metadata(top));
        } catch (RuntimeException senseless) { // numbers that point beyond what is there
            throw new ImageProcessingException(senseless);
        }
    }

    /** Of the codestream, which may lie in several boxes, each after its number. */
    private static byte[] beginning(SeekableByteChannel channel, FileBoxes top) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        for (Place place : top.places()) {
            int number = place.type().equals("jxlp") ? Integer.BYTES : 0;
            if (bytes.size() < BEGINNING && (number > 0 || place.type().equals("jxlc"))) {
                int most = (int) Math.clamp(place.length() - number, 0, BEGINNING);
                bytes.writeBytes(Box.rest(FileBoxes.read(channel, place.start() + number, most)));
            }
        }
        return bytes.toByteArray();
    }

    private static SourceMetadata metadata(FileBoxes top) throws IOException, ImageProcessingException {
        Optional<ByteBuffer> exif = content(top, "Exif");
        Optional<ByteBuffer> xmp = content(top, "xml ");
        return new SourceMetadata(
                exif.map(Box::exif).orElse(null), null, xmp.map(Box::rest).orElse(null));
    }

    /** What a box holds, which may be packed in another one after its type (18181-2, "brob"). */
    private static Optional<ByteBuffer> content(FileBoxes top, String type)
            throws IOException, ImageProcessingException {
        for (Place place : top.places()) {
            if (place.type().equals("brob")) {
                ByteBuffer packed = top.content(place);
                if (Box.word(packed).equals(type)) {
                    return Optional.of(unpacked(Box.rest(packed)));
                }
            }
        }
        return top.content(type);
    }

    private static ByteBuffer unpacked(byte[] packed) throws IOException, ImageProcessingException {
        try (InputStream in = new BrotliInputStream(new ByteArrayInputStream(packed))) {
            byte[] bytes = in.readNBytes(LARGEST_BLOCK);
            if (bytes.length == LARGEST_BLOCK) {
                throw new ImageProcessingException("a block without end");
            }
            return ByteBuffer.wrap(bytes);
        }
    }

    /** The size header and the beginning of the image header (18181-1, annexes D.2 and D.3). */
    private static JxlFile codestream(ByteBuffer stream, SourceMetadata metadata) throws ImageProcessingException {
        if ((stream.getShort() & 0xFFFF) != CODESTREAM) {
            throw new ImageProcessingException("no codestream");
        }
        LowBits in = new LowBits(stream);
        PixelSize size = size(in);
        int orientation = 1;
        boolean usual = in.flag();
        if (!usual && in.flag()) { // it says more than the usual
            orientation = in.bits(3) + 1;
        }
        return new JxlFile(size, orientation, metadata);
    }

    private static PixelSize size(LowBits in) {
        boolean small = in.flag();
        int height = side(in, small);
        int ratio = in.bits(3);
        long width =
                switch (ratio) {
                    case 1 -> height;
                    case 2 -> height * 12L / 10;
                    case 3 -> height * 4L / 3;
                    case 4 -> height * 3L / 2;
                    case 5 -> height * 16L / 9;
                    case 6 -> height * 5L / 4;
                    case 7 -> height * 2L;
                    default -> side(in, small);
                };
        return new PixelSize(Math.toIntExact(width), height);
    }

    private static int side(LowBits in, boolean small) {
        if (small) {
            return 8 * (in.bits(5) + 1);
        }
        int length =
                switch (in.bits(2)) {
                    case 0 -> 9;
                    case 1 -> 13;
                    case 2 -> 18;
                    default -> 30;
                };
        return in.bits(length) + 1;
    }
}
