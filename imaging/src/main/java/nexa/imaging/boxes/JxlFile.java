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
import nexa.imaging.colour.Profile;
import nexa.imaging.source.SourceMetadata;
import org.brotli.dec.BrotliInputStream;
import org.jspecify.annotations.Nullable;

/**
 * What a JPEG XL file says (ISO/IEC 18181-1, 18181-2): a bare codestream, or one in boxes with its metadata. Its profile
 * is coded with the pixels and is known when they are decoded.
 *
 * @param stored before it is turned
 * @param orientation how it is turned and mirrored, as EXIF numbers it
 * @param hdr what its numbers mean, if they are light for HDR screens; else null
 * @param hasAlpha whether it says how transparent it is
 * @param isOfInks whether its numbers are inks
 */
public record JxlFile(
        PixelSize stored,
        int orientation,
        SourceMetadata metadata,
        @Nullable Nclx hdr,
        boolean hasAlpha,
        boolean isOfInks) {
    private static final int LARGEST_BLOCK = 32 << 20;
    private static final int BEGINNING = 1024;

    /** Whether a file of these first bytes is one. */
    public static boolean isOne(byte[] beginning) {
        ByteBuffer in = ByteBuffer.wrap(beginning);
        if (in.remaining() < 12) {
            return false;
        }
        return (in.getShort(0) & 0xFFFF) == JxlHeader.MARKER
                || in.getInt(0) == 12 && in.getInt(4) == 0x4A584C20 && in.getInt(8) == 0x0D0A870A;
    }

    /** @throws ImageProcessingException if it is damaged */
    public static JxlFile read(SeekableByteChannel channel) throws IOException, ImageProcessingException {
        try {
            ByteBuffer first = FileBoxes.read(channel, 0, BEGINNING);
            if ((first.getShort(0) & 0xFFFF) == JxlHeader.MARKER) {
                return of(JxlHeader.read(first), SourceMetadata.NONE);
            }
            FileBoxes top = FileBoxes.of(channel);
            return of(JxlHeader.read(ByteBuffer.wrap(beginning(channel, top))), metadata(top));
        } catch (RuntimeException senseless) { // numbers that point beyond what is there
            throw new ImageProcessingException(senseless);
        }
    }

    /** Where its light is meant for HDR screens, the code points are the profile that its pixels get. */
    private static JxlFile of(JxlHeader header, SourceMetadata metadata) {
        Nclx hdr = header.nclx() != null && header.nclx().isHdr() ? header.nclx() : null;
        byte[] icc = hdr == null ? null : hdr.profile().map(Profile::bytes).orElse(null);
        return new JxlFile(
                header.stored(),
                header.orientation(),
                hdr == null ? metadata : metadata.withIcc(icc),
                hdr,
                header.hasAlpha(),
                header.isOfInks());
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
}
