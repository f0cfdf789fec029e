package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import nexa.core.geometry.PixelSize;
import nexa.imaging.boxes.FileBoxes.Place;
import nexa.imaging.source.SourceMetadata;
import org.jspecify.annotations.Nullable;

/**
 * What a JPEG 2000 file says (ISO/IEC 15444-1, annexes A and I): a bare codestream, or one in boxes with its profile and
 * metadata. Its samples are never laid down turned.
 *
 * @param bits of the first component
 */
public record Jpeg2000File(PixelSize size, int components, int bits, SourceMetadata metadata) {
    private static final int START_OF_CODESTREAM = 0xFF4F;
    private static final int SIZE_MARKER = 0xFF51;
    private static final int BEGINNING = 64;
    private static final int RESTRICTED_PROFILE = 2;
    private static final int ANY_PROFILE = 3;
    private static final UUID XMP = UUID.fromString("be7acfcb-97a9-42e8-9c71-999491e3afac");

    /** A TIFF structure, by the name "JpgTiffExif->JP2". */
    private static final UUID EXIF = UUID.fromString("4a706754-6966-6645-7869-662d3e4a5032");

    /** Whether there is one more than grey or colours need. */
    public boolean hasAlpha() {
        return components == 2 || components == 4;
    }

    /** Whether a file of these first bytes is one. */
    public static boolean isOne(byte[] beginning) {
        ByteBuffer in = ByteBuffer.wrap(beginning);
        if (in.remaining() < 12) {
            return false;
        }
        return in.getInt(0) == 0xFF4FFF51
                || in.getInt(0) == 12 && in.getInt(4) == 0x6A502020 && in.getInt(8) == 0x0D0A870A;
    }

    /** @throws ImageProcessingException if it is damaged */
    public static Jpeg2000File read(SeekableByteChannel channel) throws IOException, ImageProcessingException {
        try {
            ByteBuffer first = FileBoxes.read(channel, 0, BEGINNING);
            if ((first.getShort(0) & 0xFFFF) == START_OF_CODESTREAM) {
                return codestream(first, SourceMetadata.NONE);
            }
            FileBoxes top = FileBoxes.of(channel);
            for (Place place : top.places()) {
                if (place.type().equals("jp2c")) {
                    return codestream(FileBoxes.read(channel, place.start(), BEGINNING), metadata(top));
                }
            }
            throw new ImageProcessingException("no codestream");
        } catch (RuntimeException senseless) { // numbers that point beyond what is there
            throw new ImageProcessingException(senseless);
        }
    }

    /** The marker of the size follows at once (A.5.1). */
    private static Jpeg2000File codestream(ByteBuffer in, SourceMetadata metadata) throws ImageProcessingException {
        if ((in.getShort() & 0xFFFF) != START_OF_CODESTREAM || (in.getShort() & 0xFFFF) != SIZE_MARKER) {
            throw new ImageProcessingException("no size");
        }
        in.getInt(); // length, capabilities
        long right = Integer.toUnsignedLong(in.getInt());
        long bottom = Integer.toUnsignedLong(in.getInt());
        long left = Integer.toUnsignedLong(in.getInt());
        long top = Integer.toUnsignedLong(in.getInt());
        in.position(in.position() + 16); // tiles
        int components = in.getShort() & 0xFFFF;
        int bits = (in.get() & 0x7F) + 1;
        return new Jpeg2000File(
                new PixelSize(Math.toIntExact(right - left), Math.toIntExact(bottom - top)),
                components,
                bits,
                metadata);
    }

    private static SourceMetadata metadata(FileBoxes top) throws IOException, ImageProcessingException {
        byte[] exif = null;
        byte[] xmp = null;
        for (Place place : top.places()) {
            if (place.type().equals("uuid") && place.length() > 16) {
                ByteBuffer in = top.content(place);
                UUID kind = new UUID(in.getLong(), in.getLong());
                if (kind.equals(XMP)) {
                    xmp = Box.rest(in);
                } else if (kind.equals(EXIF)) {
                    exif = Box.rest(in);
                }
            }
        }
        return new SourceMetadata(exif, profile(top), xmp);
    }

    private static byte @Nullable [] profile(FileBoxes top) throws IOException, ImageProcessingException {
        Optional<ByteBuffer> header = top.content("jp2h");
        for (Box box : header.map(Box::in).orElse(List.of())) {
            int method = box.is("colr") ? box.content().get(0) : 0;
            if (method == RESTRICTED_PROFILE || method == ANY_PROFILE) {
                return Box.rest(box.content().slice().position(3));
            }
        }
        return null;
    }
}
