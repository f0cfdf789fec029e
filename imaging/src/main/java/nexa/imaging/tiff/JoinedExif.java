package nexa.imaging.tiff;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One EXIF block (EXIF 2.32, 4.6.3) of directories each of which came as a TIFF structure of its own. They follow each other
 * as they are, and what they say of places is moved; the first directory and that of the shot, which have to point to others,
 * are written anew behind them.
 */
public final class JoinedExif {
    private static final int SHOT = 0x8769;
    private static final int GPS = 0x8825;
    private static final int MAKER_NOTES = 0x927C;
    private static final int UNDEFINED = 7;
    private static final int ENTRY = 12;

    private final TiffBlock block;

    /** A directory and where it stands in the block; its entries without what they point to. */
    private record Directory(int at, TreeMap<Integer, byte[]> entries) {}

    private JoinedExif(ByteOrder order) {
        block = new TiffBlock(order);
    }

    /**
     * @param root the first directory
     * @param shot of the shot
     * @param notes the maker's notes; their values count from the beginning of their own structure
     * @throws RuntimeException if one of them points beyond itself
     */
    public static byte[] of(
            ByteBuffer root, Optional<ByteBuffer> shot, Optional<ByteBuffer> notes, Optional<ByteBuffer> gps) {
        JoinedExif joined = new JoinedExif(order(root));
        TiffBlock block = joined.block;
        Directory first = joined.moved(root);
        if (shot.isPresent()) {
            Directory ofShot = joined.moved(shot.get());
            notes.ifPresent(own -> {
                int at = joined.moved(own).at;
                ofShot.entries.put(MAKER_NOTES, block.entry(MAKER_NOTES, UNDEFINED, block.place() - at, at));
            });
            first.entries.put(SHOT, block.pointer(SHOT, block.directory(ofShot.entries)));
        }
        gps.ifPresent(place -> first.entries.put(GPS, block.pointer(GPS, joined.moved(place).at)));
        return block.bytes(block.directory(first.entries));
    }

    private static ByteOrder order(ByteBuffer structure) {
        return structure.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
    }

    /** Appends a structure; its first directory's values are where they are said to be now. */
    private Directory moved(ByteBuffer structure) {
        int base = block.place();
        byte[] bytes = new byte[structure.remaining()];
        structure.get(bytes);
        ByteBuffer own = ByteBuffer.wrap(bytes);
        own.order(order(own));
        if (own.order() != block.order()) {
            throw new IllegalArgumentException("Directories of two byte orders");
        }
        int directory = own.getInt(4);
        TreeMap<Integer, byte[]> entries = new TreeMap<>();
        int count = Short.toUnsignedInt(own.getShort(directory));
        for (int i = 0; i < count; i++) {
            int at = directory + Short.BYTES + ENTRY * i;
            if (!TiffStructure.fitsInEntry(own.getShort(at + 2), own.getInt(at + 4))) {
                own.putInt(at + 8, own.getInt(at + 8) + base);
            }
            byte[] entry = new byte[ENTRY];
            own.get(at, entry);
            entries.putIfAbsent(Short.toUnsignedInt(own.getShort(at)), entry);
        }
        block.put(bytes);
        return new Directory(base + directory, entries);
    }
}
