package nexa.imaging.tiff;

import com.drew.lang.RandomAccessReader;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Map;
import java.util.stream.IntStream;
import nexa.imaging.file.ToldException;
import nexa.imaging.tiff.TiffStructure.Field;
import org.jspecify.annotations.Nullable;

/** The tags of a TIFF's first directory as they are stored. Those whose values lie outside the file are left out. */
public final class TiffTags {
    public static final int BITS = 258;
    public static final int COMPRESSION = 259;
    public static final int PHOTOMETRIC_INTERPRETATION = 262;
    public static final int ORIENTATION = 274;
    public static final int SAMPLES = 277;
    public static final int PLANAR_CONFIGURATION = 284;
    public static final int COLOUR_MAP = 320;
    public static final int EXTRA_SAMPLES = 338;
    public static final int XMP = 700;
    public static final int IPTC = 33723;
    public static final int IMAGE_RESOURCES = 34377;
    public static final int ICC = 34675;

    /** A value of {@link #PHOTOMETRIC_INTERPRETATION}: ink values. */
    public static final int SEPARATED = 5;

    /** A value of {@link #COMPRESSION}: as TIFF 6.0 had it, before that was given up. */
    static final int OLD_JPEG = 6;

    /** A value of {@link #PLANAR_CONFIGURATION}: all of one channel comes before the next. */
    public static final int APART = 2;

    private static final int BYTE = 1;
    private static final int SHORT = 3;
    private static final int LONG = 4;

    private final Map<Integer, Field> fields;
    private final ByteOrder order;

    TiffTags(Map<Integer, Field> fields, ByteOrder order) {
        this.fields = fields;
        this.order = order;
    }

    /** @throws IOException if there is no such directory */
    public static TiffTags of(RandomAccessReader in) throws IOException {
        TiffStructure structure = TiffStructure.of(in);
        if (!structure.isStandard()) {
            throw new ToldException("told.codec.no-tiff");
        }
        return new TiffTags(structure.firstDirectory(), structure.order());
    }

    /** The stored bytes of a tag's values; null if it has none. */
    public byte @Nullable [] bytes(int tag) {
        Field field = fields.get(tag);
        return field == null || field.value().length == 0 ? null : field.value();
    }

    /** The first of a tag's whole numbers, -1 if there is none. */
    public int number(int tag) {
        Field field = fields.get(tag);
        if (field == null || field.value().length == 0) {
            return -1;
        }
        ByteBuffer value = ByteBuffer.wrap(field.value()).order(order);
        return switch (field.type()) {
            case BYTE -> value.get() & 0xFF;
            case SHORT -> value.getShort() & 0xFFFF;
            case LONG -> value.getInt();
            default -> -1;
        };
    }

    /** All of a tag's whole numbers of 16 bits; none if it has others or none. */
    int[] numbers(int tag) {
        Field field = fields.get(tag);
        if (field == null || field.type() != SHORT) {
            return new int[0];
        }
        ByteBuffer value = ByteBuffer.wrap(field.value()).order(order);
        return IntStream.range(0, field.value().length / Short.BYTES)
                .map(i -> value.getShort(i * Short.BYTES) & 0xFFFF)
                .toArray();
    }
}
