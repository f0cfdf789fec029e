package nexa.imaging.probe;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.core.geometry.PixelSize;

/**
 * A whole JPEG inside another file.
 *
 * @param at position of its first byte in the file
 * @param length in bytes; may reach beyond its end, which decoders pass over
 * @param size as stored
 */
public record EmbeddedJpeg(long at, long length, PixelSize size) {
    /** Looks whether a JPEG that decoders read begins at a position; empty also if the file ends before. */
    static Optional<EmbeddedJpeg> at(SeekableByteChannel channel, long at, long length) {
        ByteBuffer start = ByteBuffer.allocate(3);
        try {
            boolean isJpeg = at >= 0
                    && length > 0
                    && Bytes.of(channel).read(start, at)
                    && (start.get(0) & 0xFF) == 0xFF
                    && (start.get(1) & 0xFF) == 0xD8
                    && (start.get(2) & 0xFF) == 0xFF;
            if (!isJpeg) {
                return Optional.empty();
            }
            long most = Math.min(length, channel.size() - at);
            return JpegSegments.walk(channel, at).size(channel).map(size -> new EmbeddedJpeg(at, most, size));
        } catch (IOException cut) { // then there is no embedded picture
            return Optional.empty();
        }
    }

    /** Reads its bytes. */
    public byte[] bytes(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            ByteBuffer bytes = ByteBuffer.allocate(Math.toIntExact(length));
            Bytes.of(channel).read(bytes, at);
            return bytes.array();
        }
    }
}
