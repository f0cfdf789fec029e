package nexa.imaging.probe;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;

/** Bytes that are read at any place, of a file or in memory. */
@FunctionalInterface
interface Bytes {
    /** Fills a buffer from a position; false if they end before it is full. */
    boolean read(ByteBuffer into, long at) throws IOException;

    /** Those of an open file. */
    static Bytes of(SeekableByteChannel channel) {
        return (into, at) -> {
            into.clear();
            channel.position(at);
            while (into.hasRemaining()) {
                if (channel.read(into) < 0) {
                    return false;
                }
            }
            return true;
        };
    }

    /** Those in memory. */
    static Bytes of(byte[] bytes) {
        return (into, at) -> {
            if (at + into.capacity() > bytes.length) {
                return false;
            }
            into.clear().put(bytes, (int) at, into.capacity());
            return true;
        };
    }
}
