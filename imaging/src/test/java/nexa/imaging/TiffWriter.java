package nexa.imaging;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** Writes little TIFF structures (TIFF 6.0, section 2) with directories, sub-directories and data, as cameras do. */
public final class TiffWriter {
    private static final int ASCII = 2;
    private static final int SHORT = 3;
    private static final int LONG = 4;

    /** Whose values are shorts by the standard, which some readers rely on. */
    private static final Set<Integer> SHORT_TAGS = Set.of(258, 259, 262, 274, 277, 284, 317, 320, 338, 339);

    private static final int UNDEFINED = 7;

    /** One directory: tags with their values, and data that a tag points to. */
    public static final class Directory {
        private final TreeMap<Integer, long[]> tags = new TreeMap<>();
        private final TreeMap<Integer, byte[]> data = new TreeMap<>();
        private final TreeMap<Integer, byte[]> texts = new TreeMap<>();
        private final TreeMap<Integer, byte[]> blocks = new TreeMap<>();
        private final List<Directory> below = new ArrayList<>();
        private int parts = 1;

        public Directory tag(int tag, long... values) {
            tags.put(tag, values);
            return this;
        }

        /** How many channels pixels have, and the bits of each. */
        public Directory channels(int channels, int bits) {
            long[] each = new long[channels];
            Arrays.fill(each, bits);
            return tag(258, each).tag(277, channels);
        }

        /** A tag whose value is a text of more than three letters. */
        public Directory text(int tag, String text) {
            texts.put(tag, (text + '\0').getBytes(StandardCharsets.US_ASCII));
            return tag(tag, 0);
        }

        /** A tag whose value is bytes of any meaning, more than four. */
        public Directory block(int tag, byte[] bytes) {
            blocks.put(tag, bytes);
            return tag(tag, 0);
        }

        /** A tag whose value is where the bytes are, and another that says how many. */
        public Directory data(int offsetTag, int lengthTag, byte[] bytes) {
            data.put(offsetTag, bytes);
            return tag(offsetTag, 0).tag(lengthTag, bytes.length);
        }

        /** The same for bytes that lie in equal parts, of which each has its place. */
        public Directory parts(int offsetTag, int lengthTag, byte[] bytes, int count) {
            parts = count;
            long[] lengths = new long[count];
            Arrays.fill(lengths, bytes.length / count);
            return data(offsetTag, lengthTag, bytes).tag(lengthTag, lengths);
        }

        /** A sub-directory (tag 330). */
        public Directory below(Directory directory) {
            below.add(directory);
            return tag(330, 0);
        }
    }

    private final ByteBuffer out = ByteBuffer.allocate(1 << 22).order(ByteOrder.LITTLE_ENDIAN);

    private TiffWriter() {}

    /** A file of directories, one after the other. */
    public static byte[] bytes(Directory... directories) {
        TiffWriter writer = new TiffWriter();
        writer.out.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(0);
        int pointer = 4;
        for (Directory directory : directories) {
            int at = writer.write(directory);
            writer.out.putInt(pointer, at);
            pointer = at + 2 + 12 * directory.tags.size();
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        bytes.write(writer.out.array(), 0, writer.out.position());
        return bytes.toByteArray();
    }

    private int write(Directory directory) {
        for (var data : directory.data.entrySet()) {
            int start = out.position();
            int step = data.getValue().length / directory.parts;
            directory.tags.put(
                    data.getKey(),
                    IntStream.range(0, directory.parts)
                            .mapToLong(part -> start + (long) part * step)
                            .toArray());
            out.put(data.getValue());
            align();
        }
        writeAside(directory, directory.texts);
        writeAside(directory, directory.blocks);
        if (!directory.below.isEmpty()) {
            directory.tags.put(
                    330, directory.below.stream().mapToLong(this::write).toArray());
        }
        int at = out.position();
        int values = at + 2 + 12 * directory.tags.size() + 4;
        out.putShort((short) directory.tags.size());
        for (var tag : directory.tags.entrySet()) {
            long[] numbers = tag.getValue();
            byte[] text = directory.texts.get(tag.getKey());
            byte[] aside = text == null ? directory.blocks.get(tag.getKey()) : text;
            if (SHORT_TAGS.contains(tag.getKey())) {
                values = writeShorts(tag.getKey(), numbers, values);
                continue;
            }
            int type = aside == null ? LONG : text == null ? UNDEFINED : ASCII;
            out.putShort((short) (int) tag.getKey());
            out.putShort((short) type).putInt(aside == null ? numbers.length : aside.length);
            out.putInt(numbers.length == 1 ? (int) numbers[0] : values);
            if (numbers.length > 1) {
                for (int i = 0; i < numbers.length; i++) {
                    out.putInt(values + 4 * i, (int) numbers[i]);
                }
                values += 4 * numbers.length;
            }
        }
        out.putInt(0);
        out.position(values);
        return at;
    }

    /** @return where values that do not fit go on */
    private int writeShorts(int tag, long[] numbers, int values) {
        out.putShort((short) tag).putShort((short) SHORT).putInt(numbers.length);
        boolean fits = numbers.length <= 2;
        int at = fits ? out.position() : values;
        out.putInt(fits ? 0 : values);
        for (int i = 0; i < numbers.length; i++) {
            out.putShort(at + 2 * i, (short) numbers[i]);
        }
        return fits ? values : values + (numbers.length + 1) / 2 * 4;
    }

    private void writeAside(Directory directory, Map<Integer, byte[]> values) {
        for (var value : values.entrySet()) {
            directory.tags.put(value.getKey(), new long[] {out.position()});
            out.put(value.getValue());
            align();
        }
    }

    private void align() {
        while (out.position() % 4 != 0) {
            out.put((byte) 0);
        }
    }
}
