package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.UUID;
import nexa.core.geometry.PixelSize;
import nexa.imaging.boxes.FileBoxes.Place;
import nexa.imaging.source.SourceMetadata;

/**
 * What a JPEG 2000 file says (ISO/IEC 15444-1, annexes A and I): a bare codestream, or one in boxes with its profile and
 * metadata. Its samples are never laid down turned.
 *
 * @param bits of the first component
 * @param hasColours whether its samples are grey, or red, green and blue, and not inks or others
 */
public record Jpeg2000File(PixelSize size, int components, int bits, boolean hasColours, SourceMetadata metadata) {
    private static final int START_OF_CODESTREAM = 0xFF4F;
    private static final int SIZE_MARKER = 0xFF51;
    private static final int BEGINNING = 64;
    private static final Set<String> OF_PICTURE = Set.of("jP  ", "ftyp", "jp2h", "jp2c");
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
                return codestream(first, true, SourceMetadata.NONE);
            }
            FileBoxes top = FileBoxes.of(channel);
            for (Place place : top.places()) {
                if (place.type().equals("jp2c")) {
                    Jpeg2000Colours colours = Jpeg2000Colours.of(top);
                    ByteBuffer begun = FileBoxes.read(channel, place.start(), BEGINNING);
                    return codestream(begun, colours.areRead(), metadata(top, colours));
                }
            }
            throw new ImageProcessingException("no codestream");
        } catch (RuntimeException senseless) { // numbers that point beyond what is there
            throw new ImageProcessingException(senseless);
        }
    }

    /**
     * What a decoder needs of a file: a bare codestream as it is, and of boxes only those that say what the picture is, for
     * decoders look for it among the first few, and makers lay down many more before it.
     */
    public static byte[] picture(SeekableByteChannel channel) throws IOException {
        ByteBuffer first = FileBoxes.read(channel, 0, BEGINNING);
        if (first.remaining() >= Short.BYTES && (first.getShort(0) & 0xFFFF) == START_OF_CODESTREAM) {
            return FileBoxes.read(channel, 0, Integer.MAX_VALUE - Long.BYTES).array();
        }
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        for (Place place : FileBoxes.of(channel).places()) {
            if (OF_PICTURE.contains(place.type())) {
                ByteBuffer content = FileBoxes.read(
                        channel, place.start(), (int) Math.min(place.length(), Integer.MAX_VALUE - Long.BYTES));
                ByteBuffer header = ByteBuffer.allocate(Long.BYTES).putInt(content.remaining() + Long.BYTES);
                picture.writeBytes(header.put(place.type().getBytes(StandardCharsets.ISO_8859_1))
                        .array());
                picture.writeBytes(content.array());
            }
        }
        return picture.toByteArray();
    }

    /** The marker of the size follows at once (A.5.1). */
    private static Jpeg2000File codestream(ByteBuffer in, boolean hasColours, SourceMetadata metadata)
            throws ImageProcessingException {
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
                hasColours,
                metadata);
    }

    private static SourceMetadata metadata(FileBoxes top, Jpeg2000Colours colours)
            throws IOException, ImageProcessingException {
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
        return new SourceMetadata(exif, colours.icc(), xmp);
    }
}
