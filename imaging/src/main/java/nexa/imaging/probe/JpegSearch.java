package nexa.imaging.probe;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.ArrayList;
import java.util.List;

/**
 * Looks through a whole file for places where a JPEG begins: bytes FF D8 FF. Two of three bytes of a file need not be looked at,
 * as in Horspool's search (Practical fast searching in strings, 1980).
 */
final class JpegSearch {
    private static final int CHUNK = 1 << 20;
    private static final int LENGTH = 3;
    private static final byte FIRST_AND_LAST = (byte) 0xFF;
    private static final byte MIDDLE = (byte) 0xD8;

    private JpegSearch() {}

    /** Those that begin a JPEG that decoders read; if the file can't be read to its end, those until there. */
    static List<EmbeddedJpeg> in(SeekableByteChannel channel) {
        List<EmbeddedJpeg> found = new ArrayList<>();
        try {
            ByteBuffer chunk = ByteBuffer.allocate(CHUNK);
            for (long start = 0; start < channel.size(); start += CHUNK - (LENGTH - 1)) {
                Bytes.of(channel).read(chunk, start);
                for (int place : places(chunk.array(), chunk.position())) {
                    EmbeddedJpeg.at(channel, start + place, channel.size()).ifPresent(found::add);
                }
            }
        } catch (IOException unreadable) { // what was found until there may do
            return found;
        }
        return found;
    }

    /** @param length how many of the bytes count */
    static List<Integer> places(byte[] bytes, int length) {
        List<Integer> places = new ArrayList<>();
        int last = LENGTH - 1;
        while (last < length) {
            byte here = bytes[last];
            if (here == FIRST_AND_LAST) {
                if (bytes[last - 1] == MIDDLE && bytes[last - 2] == FIRST_AND_LAST) {
                    places.add(last - 2);
                }
                last += 2;
            } else {
                last += here == MIDDLE ? 1 : LENGTH;
            }
        }
        return places;
    }
}
