package nexa.imaging.boxes;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A box (ISO/IEC 14496-12, 4.2): a type of four letters and what it holds, read from its position on.
 *
 * @param type such as {@code ispe}
 */
record Box(String type, ByteBuffer content) {
    private static final int HEADER = 8;
    private static final int MOST = 100_000;

    /** The boxes that follow each other up to the buffer's limit. A last one that is cut off is left out. */
    static List<Box> in(ByteBuffer buffer) {
        ByteBuffer rest = buffer.slice();
        List<Box> boxes = new ArrayList<>();
        while (rest.remaining() >= HEADER && boxes.size() < MOST) {
            int start = rest.position();
            long size = Integer.toUnsignedLong(rest.getInt());
            String type = word(rest);
            if (size == 1 && rest.remaining() >= Long.BYTES) {
                size = rest.getLong();
            } else if (size == 0) { // to the end
                size = rest.limit() - start;
            }
            if (size < rest.position() - start || size > rest.limit() - start) {
                break;
            }
            boxes.add(new Box(type, rest.slice(rest.position(), (int) (start + size) - rest.position())));
            rest.position((int) (start + size));
        }
        return boxes;
    }

    boolean is(String name) {
        return type.equals(name);
    }

    /** Reads the version and the flags that a full box begins with; the version is in the highest byte. */
    static int versionAndFlags(ByteBuffer in) {
        return in.getInt();
    }

    /** Four letters. */
    static String word(ByteBuffer in) {
        byte[] letters = new byte[4];
        in.get(letters);
        return new String(letters, StandardCharsets.ISO_8859_1);
    }

    /** The TIFF structure in an EXIF block, which says in its first four bytes how far it is; null if it is not there. */
    static byte @Nullable [] exif(ByteBuffer block) {
        if (block.remaining() < Integer.BYTES) {
            return null;
        }
        int before = block.getInt();
        return before < 0 || before >= block.remaining() ? null : rest(block.position(block.position() + before));
    }

    /** All that is left of a buffer. */
    static byte[] rest(ByteBuffer in) {
        byte[] bytes = new byte[in.remaining()];
        in.get(bytes);
        return bytes;
    }
}
