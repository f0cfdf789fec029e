package nexa.imaging.tiff;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.SortedMap;
import nexa.imaging.tiff.TiffStructure.Field;

/** Puts a TIFF structure together (TIFF 6.0, section 2): values and directories that are pointed to come before what does. */
final class TiffBlock {
    private static final int HEADER = 8;
    private static final int ENTRY = 12;
    private static final int CLASSIC = 42;
    private static final int LONG = 4;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteOrder order;

    TiffBlock(ByteOrder order) {
        this.order = order;
        out.writeBytes(new byte[HEADER]);
    }

    ByteOrder order() {
        return order;
    }

    /** Where what is put next will be. */
    int place() {
        return out.size();
    }

    /** Appends bytes, from a word's beginning on, and says where they are. */
    int put(byte[] bytes) {
        int at = out.size();
        out.writeBytes(bytes);
        if (bytes.length % 2 != 0) {
            out.write(0);
        }
        return at;
    }

    /** A directory's entry; its value is appended if it has no room there. */
    byte[] entry(int tag, Field field) {
        byte[] value = field.value();
        ByteBuffer entry = begun(tag, field.type(), field.count());
        return (value.length <= Integer.BYTES ? entry.put(value) : entry.putInt(put(value))).array();
    }

    /** One that points to a directory. */
    byte[] pointer(int tag, int place) {
        return entry(tag, LONG, 1, place);
    }

    /** One whose value is there already, or is a number. */
    byte[] entry(int tag, int type, int count, int value) {
        return begun(tag, type, count).putInt(value).array();
    }

    private ByteBuffer begun(int tag, int type, int count) {
        return ByteBuffer.allocate(ENTRY)
                .order(order)
                .putShort((short) tag)
                .putShort((short) type)
                .putInt(count);
    }

    /** Appends a directory, which is the last one of its kind, and says where it is. */
    int directory(SortedMap<Integer, byte[]> entries) {
        ByteBuffer table = ByteBuffer.allocate(Short.BYTES + ENTRY * entries.size() + Integer.BYTES)
                .order(order)
                .putShort((short) entries.size());
        entries.values().forEach(table::put);
        return put(table.array());
    }

    /** @param first where the first directory is */
    byte[] bytes(int first) {
        byte[] all = out.toByteArray();
        byte letter = (byte) (order == ByteOrder.LITTLE_ENDIAN ? 'I' : 'M');
        ByteBuffer.wrap(all)
                .order(order)
                .put(letter)
                .put(letter)
                .putShort((short) CLASSIC)
                .putInt(first);
        return all;
    }
}
