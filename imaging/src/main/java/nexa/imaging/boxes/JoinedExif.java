package nexa.imaging.boxes;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One EXIF block (TIFF 6.0, section 2; EXIF 2.32, 4.6.3) of directories each of which came as a TIFF structure of its own.
 * They follow each other as they are, and what they say of places is moved; the first directory and that of the shot, which
 * have to point to others, are written anew behind them.
 */
final class JoinedExif {
    private static final int SHOT = 0x8769;
    private static final int GPS = 0x8825;
    private static final int MAKER_NOTES = 0x927C;
    private static final int LONG = 4;
    private static final int UNDEFINED = 7;
    private static final int HEADER = 8;
    private static final int ENTRY = 12;

    /** Bytes of a value, by the field's type. */
    private static final int[] VALUE_BYTES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8};

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteOrder order;

    /** A directory and where it stands in the block; its entries without what they point to. */
    private record Directory(int at, TreeMap<Integer, byte[]> entries) {}

    private JoinedExif(ByteOrder order) {
        this.order = order;
        out.writeBytes(new byte[HEADER]);
    }

    /**
     * @param root the first directory
     * @param shot of the shot
     * @param notes the maker's notes; their values count from the beginning of their own structure
     * @throws RuntimeException if one of them points beyond itself
     */
    static byte[] of(ByteBuffer root, Optional<ByteBuffer> shot, Optional<ByteBuffer> notes, Optional<ByteBuffer> gps) {
        JoinedExif joined = new JoinedExif(order(root));
        Directory first = joined.moved(root);
        if (shot.isPresent()) {
            Directory ofShot = joined.moved(shot.get());
            notes.ifPresent(own -> {
                int at = joined.moved(own).at;
                ofShot.entries.put(MAKER_NOTES, joined.entry(MAKER_NOTES, UNDEFINED, joined.out.size() - at, at));
            });
            first.entries.put(SHOT, joined.entry(SHOT, LONG, 1, joined.write(ofShot)));
        }
        gps.ifPresent(place -> first.entries.put(GPS, joined.entry(GPS, LONG, 1, joined.moved(place).at)));
        return joined.bytes(joined.write(first));
    }

    private static ByteOrder order(ByteBuffer structure) {
        return structure.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
    }

    /** Appends a structure; its first directory's values are where they are said to be now. */
    private Directory moved(ByteBuffer structure) {
        int base = out.size();
        ByteBuffer own = ByteBuffer.wrap(Box.rest(structure.slice())).order(order(structure));
        if (own.order() != order) {
            throw new IllegalArgumentException("Directories of two byte orders");
        }
        int directory = own.getInt(4);
        TreeMap<Integer, byte[]> entries = new TreeMap<>();
        int count = Short.toUnsignedInt(own.getShort(directory));
        for (int i = 0; i < count; i++) {
            int at = directory + Short.BYTES + ENTRY * i;
            if (!fitsIn(own.getShort(at + 2), own.getInt(at + 4))) {
                own.putInt(at + 8, own.getInt(at + 8) + base);
            }
            byte[] entry = new byte[ENTRY];
            own.get(at, entry);
            entries.putIfAbsent(Short.toUnsignedInt(own.getShort(at)), entry);
        }
        out.writeBytes(own.array());
        return new Directory(base + directory, entries);
    }

    /** Whether an entry holds its value itself. */
    private static boolean fitsIn(int type, int count) {
        int each = type > 0 && type < VALUE_BYTES.length ? VALUE_BYTES[type] : 1;
        return Integer.toUnsignedLong(count) * each <= Integer.BYTES;
    }

    private byte[] entry(int tag, int type, int count, int value) {
        return ByteBuffer.allocate(ENTRY)
                .order(order)
                .putShort((short) tag)
                .putShort((short) type)
                .putInt(count)
                .putInt(value)
                .array();
    }

    /** Appends a directory, which is the last one of its kind, and says where. */
    private int write(Directory directory) {
        int at = out.size();
        ByteBuffer table = ByteBuffer.allocate(Short.BYTES + ENTRY * directory.entries.size() + Integer.BYTES)
                .order(order);
        table.putShort((short) directory.entries.size());
        directory.entries.values().forEach(table::put);
        out.writeBytes(table.array());
        return at;
    }

    private byte[] bytes(int first) {
        byte[] all = out.toByteArray();
        byte letter = (byte) (order == ByteOrder.LITTLE_ENDIAN ? 'I' : 'M');
        ByteBuffer.wrap(all)
                .order(order)
                .put(letter)
                .put(letter)
                .putShort((short) 42)
                .putInt(first);
        return all;
    }
}
