package nexa.imaging.tiff;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.HashMap;
import java.util.Map;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import org.jspecify.annotations.Nullable;

/**
 * The tags of a TIFF's first directory as they are stored (TIFF 6.0, section 2; with 64-bit places as in BigTIFF).
 * Those whose values lie outside the file are left out.
 */
public final class TiffTags {
    public static final int PHOTOMETRIC_INTERPRETATION = 262;
    public static final int EXTRA_SAMPLES = 338;
    public static final int XMP = 700;
    public static final int IPTC = 33723;
    public static final int IMAGE_RESOURCES = 34377;
    public static final int ICC = 34675;

    /** A value of {@link #PHOTOMETRIC_INTERPRETATION}: ink values. */
    public static final int SEPARATED = 5;

    private static final int CLASSIC = 42;
    private static final int BIG = 43;
    private static final int BYTE = 1;
    private static final int SHORT = 3;
    private static final int LONG = 4;

    /** Bytes of a value, by the field's type. */
    private static final int[] VALUE_BYTES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8, 4, 0, 0, 8, 8, 8};

    private record Field(int type, byte[] value) {}

    private final ByteBuffer file;
    private final boolean big;
    private final Map<Integer, Field> fields = new HashMap<>();

    private TiffTags(ByteBuffer file, boolean big) {
        this.file = file;
        this.big = big;
    }

    /** @throws IOException if there is no such directory */
    public static TiffTags of(byte[] bytes) throws IOException {
        ByteBuffer file = ByteBuffer.wrap(bytes);
        try {
            file.order(file.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
            int version = file.getShort(2);
            if (version != CLASSIC && version != BIG) {
                throw new ToldException("told.codec.no-tiff");
            }
            TiffTags tags = new TiffTags(file, version == BIG);
            tags.readFirstDirectory();
            return tags;
        } catch (IndexOutOfBoundsException cut) {
            throw new ToldException(Told.of("told.codec.directory-lies-outside-file"), cut);
        }
    }

    private void readFirstDirectory() throws IOException {
        int directory = big ? place(file.getLong(8)) : place(file.getInt(4) & 0xFFFFFFFFL);
        long count = big ? file.getLong(directory) : file.getShort(directory) & 0xFFFF;
        int first = directory + (big ? 8 : 2);
        int step = big ? 20 : 12;
        if (count < 0 || count > file.limit() / step) {
            throw new ToldException("told.codec.directory-longer-than-file");
        }
        for (int i = 0; i < count; i++) {
            readField(first + i * step);
        }
    }

    private void readField(int at) {
        int tag = file.getShort(at) & 0xFFFF;
        int type = file.getShort(at + 2) & 0xFFFF;
        long count = big ? file.getLong(at + 4) : file.getInt(at + 4) & 0xFFFFFFFFL;
        int each = type < VALUE_BYTES.length ? VALUE_BYTES[type] : 0;
        if (each == 0 || count < 0 || count > file.limit() / each) {
            return;
        }
        int length = (int) count * each;
        int value = at + (big ? 12 : 8);
        long from = value;
        if (length > (big ? 8 : 4)) {
            from = big ? file.getLong(value) : file.getInt(value) & 0xFFFFFFFFL;
        }
        if (from >= 0 && from + length <= file.limit()) {
            byte[] bytes = new byte[length];
            file.get((int) from, bytes);
            fields.putIfAbsent(tag, new Field(type, bytes));
        }
    }

    private int place(long at) throws IOException {
        if (at < 0 || at >= file.limit()) {
            throw new ToldException("told.codec.directory-lies-outside-file");
        }
        return (int) at;
    }

    /** The stored bytes of a tag's values; null if it has none. */
    public byte @Nullable [] bytes(int tag) {
        Field field = fields.get(tag);
        return field == null || field.value.length == 0 ? null : field.value;
    }

    /** The first of a tag's whole numbers, -1 if there is none. */
    public int number(int tag) {
        Field field = fields.get(tag);
        if (field == null || field.value.length == 0) {
            return -1;
        }
        ByteBuffer value = ByteBuffer.wrap(field.value).order(file.order());
        return switch (field.type) {
            case BYTE -> value.get() & 0xFF;
            case SHORT -> value.getShort() & 0xFFFF;
            case LONG -> value.getInt();
            default -> -1;
        };
    }
}
