package nexa.imaging.tiff;

import com.drew.lang.BufferBoundsException;
import com.drew.lang.RandomAccessReader;
import java.io.IOException;
import java.nio.ByteOrder;
import java.util.TreeMap;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;

/** A TIFF structure (TIFF 6.0, section 2; with 64-bit places as in BigTIFF), whose directories are read as they are stored. */
final class TiffStructure {
    private static final int CLASSIC = 42;
    private static final int BIG = 43;

    /** Bytes of a value, by the field's type. */
    private static final int[] VALUE_BYTES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8, 4, 0, 0, 8, 8, 8};

    /** A directory's entry. */
    record Field(int type, byte[] value) {
        int count() {
            return value.length / VALUE_BYTES[type];
        }
    }

    private final RandomAccessReader in;
    private final int version;

    private TiffStructure(RandomAccessReader in) throws IOException {
        this.in = in;
        byte letter = in.getByte(0);
        if (letter != in.getByte(1) || letter != 'I' && letter != 'M') {
            throw new ToldException("told.codec.no-tiff");
        }
        in.setMotorolaByteOrder(letter == 'M');
        version = in.getUInt16(2);
    }

    /** Whether an entry holds its value itself. */
    static boolean fitsInEntry(int type, int count) {
        int each = type > 0 && type < VALUE_BYTES.length ? VALUE_BYTES[type] : 1;
        return Integer.toUnsignedLong(count) * each <= Integer.BYTES;
    }

    /** @throws IOException if it does not begin as one */
    static TiffStructure of(RandomAccessReader in) throws IOException {
        try {
            return new TiffStructure(in);
        } catch (BufferBoundsException cut) {
            throw outside(cut);
        }
    }

    private static ToldException outside(IOException cause) {
        return new ToldException(Told.of("told.codec.directory-lies-outside-file"), cause);
    }

    /** Whether it says to be one of the standards' and not of a camera's maker. */
    boolean isStandard() {
        return version == CLASSIC || version == BIG;
    }

    ByteOrder order() {
        return in.isMotorolaByteOrder() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN;
    }

    /** @throws IOException if it is not there */
    TreeMap<Integer, Field> firstDirectory() throws IOException {
        try {
            return directory(isBig() ? in.getInt64(8) : in.getUInt32(4));
        } catch (BufferBoundsException cut) {
            throw outside(cut);
        }
    }

    private boolean isBig() {
        return version == BIG;
    }

    /**
     * By tag; of several of the same the first. Those whose values lie outside the file are left out.
     *
     * @throws IOException if it is not there or can't be one
     */
    TreeMap<Integer, Field> directory(long at) throws IOException {
        int start = place(at);
        long count = isBig() ? in.getInt64(start) : in.getUInt16(start);
        int first = start + (isBig() ? 8 : 2);
        int step = isBig() ? 20 : 12;
        if (count < 0 || count > in.getLength() / step) {
            throw new ToldException("told.codec.directory-longer-than-file");
        }
        TreeMap<Integer, Field> fields = new TreeMap<>();
        for (int i = 0; i < count; i++) {
            readField(first + i * step, fields);
        }
        return fields;
    }

    private void readField(int at, TreeMap<Integer, Field> fields) throws IOException {
        int type = in.getUInt16(at + 2);
        long count = isBig() ? in.getInt64(at + 4) : in.getUInt32(at + 4);
        int each = type < VALUE_BYTES.length ? VALUE_BYTES[type] : 0;
        if (each == 0 || count < 0 || count > in.getLength() / each) {
            return;
        }
        long length = count * each;
        int value = at + (isBig() ? 12 : 8);
        long from = value;
        if (length > (isBig() ? 8 : 4)) {
            from = isBig() ? in.getInt64(value) : in.getUInt32(value);
        }
        if (from >= 0 && from + length <= Math.min(in.getLength(), Integer.MAX_VALUE)) {
            fields.putIfAbsent(in.getUInt16(at), new Field(type, in.getBytes((int) from, (int) length)));
        }
    }

    private int place(long at) throws IOException {
        if (at < 0 || at >= Math.min(in.getLength(), Integer.MAX_VALUE)) {
            throw new ToldException("told.codec.directory-lies-outside-file");
        }
        return (int) at;
    }
}
