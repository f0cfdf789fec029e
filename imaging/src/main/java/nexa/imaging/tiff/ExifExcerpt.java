package nexa.imaging.tiff;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import nexa.imaging.tiff.TiffStructure.Field;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What a TIFF or raw file says of the shot (EXIF 2.32, 4.6) as a small structure of its own: its first directory and those
 * of the shot, of the place and of interoperability, without pixels and where they are.
 */
final class ExifExcerpt {
    private static final Logger LOG = LoggerFactory.getLogger(ExifExcerpt.class);

    /** Of the shot, of the place on earth, of interoperability. */
    private static final Set<Integer> POINTERS = Set.of(34665, 34853, 40965);

    /** Interoperability's is below that of the shot, which is below the first. */
    private static final int DEEPEST = 2;

    /** Places of strips, tiles, other pictures, and directories of these; RW2's JPEG. */
    private static final Set<Integer> OF_PIXELS =
            Set.of(46, 273, 279, 288, 289, 324, 325, 330, 513, 514, 519, 520, 521);

    /** BigTIFF's own come after it, which EXIF has none of. */
    private static final int LAST_TYPE = 12;

    private static final int LONGEST = 1 << 20;

    private final TiffStructure from;
    private final TiffBlock block;

    private ExifExcerpt(TiffStructure from) {
        this.from = from;
        this.block = new TiffBlock(from.order());
    }

    /**
     * Of damaged directories below the first nothing is said.
     *
     * @param first its first directory
     */
    static byte[] of(TiffStructure from, Map<Integer, Field> first) {
        ExifExcerpt excerpt = new ExifExcerpt(from);
        return excerpt.block.bytes(excerpt.write(first, 0));
    }

    /** Says where the directory is. */
    private int write(Map<Integer, Field> fields, int depth) {
        TreeMap<Integer, byte[]> entries = new TreeMap<>();
        for (Map.Entry<Integer, Field> each : fields.entrySet()) {
            int tag = each.getKey();
            Field field = each.getValue();
            if (POINTERS.contains(tag)) {
                below(field, depth).ifPresent(at -> entries.put(tag, block.pointer(tag, at)));
            } else if (!OF_PIXELS.contains(tag) && field.type() <= LAST_TYPE && field.value().length <= LONGEST) {
                entries.put(tag, block.entry(tag, field));
            }
        }
        return block.directory(entries);
    }

    private OptionalInt below(Field pointer, int depth) {
        if (depth == DEEPEST || pointer.value().length < Integer.BYTES) {
            return OptionalInt.empty();
        }
        try {
            long at = Integer.toUnsignedLong(
                    ByteBuffer.wrap(pointer.value()).order(from.order()).getInt());
            return OptionalInt.of(write(from.directory(at), depth + 1));
        } catch (IOException damaged) {
            LOG.info("A directory of EXIF is left out", damaged);
            return OptionalInt.empty();
        }
    }
}
