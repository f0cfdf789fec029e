package nexa.imaging.codec;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Set;

/**
 * Gives pictures in a HEIC of {@code heif-enc} code points for their colours, which that does not write. Knows such files'
 * boxes only.
 */
final class HeifColours {
    private final byte[] file;

    private HeifColours(byte[] file) {
        this.file = file;
    }

    /** @param items the pictures' numbers: the primary one is 1, its small one 2 */
    static byte[] with(byte[] heic, int primaries, int transfer, int matrix, Set<Integer> items) {
        ByteBuffer said = ByteBuffer.allocate(19).putInt(19).put(ascii("colrnclx"));
        said.putShort((short) primaries)
                .putShort((short) transfer)
                .putShort((short) matrix)
                .put((byte) 0x80);
        return new HeifColours(heic.clone()).with(said.array(), items);
    }

    private byte[] with(byte[] property, Set<Integer> items) {
        int properties = find("ipco");
        int end = properties + size(properties);
        int number = count(properties + 8, end) + 1;
        byte[] before = Arrays.copyOf(file, end);
        byte[] associations = associated(find("ipma"), number, items);
        int afterwards = find("ipma") + size(find("ipma"));
        int more = property.length + items.size();
        for (String grown : new String[] {"meta", "iprp"}) {
            ByteBuffer.wrap(before).putInt(find(grown), size(find(grown)) + more);
        }
        ByteBuffer.wrap(before).putInt(properties, size(properties) + property.length);
        move(before, find("iloc"), more);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(before);
        out.writeBytes(property);
        out.writeBytes(associations);
        out.write(file, afterwards, file.length - afterwards);
        return out.toByteArray();
    }

    private byte[] associated(int at, int number, Set<Integer> items) {
        ByteBuffer in = ByteBuffer.wrap(file, at, size(at));
        ByteBuffer out = ByteBuffer.allocate(size(at) + items.size());
        out.putInt(size(at) + items.size());
        in.getInt();
        out.putInt(in.getInt()).putInt(in.getInt());
        int pictures = in.getInt();
        out.putInt(pictures);
        for (int i = 0; i < pictures; i++) {
            short item = in.getShort();
            byte[] numbers = new byte[in.get()];
            in.get(numbers);
            boolean isOne = items.contains((int) item);
            out.putShort(item).put((byte) (numbers.length + (isOne ? 1 : 0))).put(numbers);
            if (isOne) {
                out.put((byte) number);
            }
        }
        return out.array();
    }

    /** Of the items' places those that count from the file's beginning; numbers of four bytes. */
    private static void move(byte[] target, int iloc, int more) {
        ByteBuffer in = ByteBuffer.wrap(target);
        int items = in.getShort(iloc + 14);
        int at = iloc + 16;
        for (int i = 0; i < items; i++) {
            int extent = at + 12;
            if (in.getShort(at + 2) == 0) {
                in.putInt(extent, in.getInt(extent) + more);
            }
            at = extent + 8;
        }
    }

    private int count(int from, int end) {
        int boxes = 0;
        for (int at = from; at < end; at += size(at)) {
            boxes++;
        }
        return boxes;
    }

    private int size(int box) {
        return ByteBuffer.wrap(file).getInt(box);
    }

    private int find(String box) {
        byte[] word = ascii(box);
        int at = 4;
        while (!Arrays.equals(Arrays.copyOfRange(file, at, at + 4), word)) {
            at++;
        }
        return at - 4;
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
