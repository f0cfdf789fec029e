package nexa.imaging.file;

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
    /** Looks whether a JPEG that decoders read begins at a position. */
    static Optional<EmbeddedJpeg> at(SeekableByteChannel channel, long at, long length) throws IOException {
        ByteBuffer start = ByteBuffer.allocate(3);
        boolean isJpeg = at >= 0
                && length > 0
                && JpegSegments.read(channel, start, at)
                && (start.get(0) & 0xFF) == 0xFF
                && (start.get(1) & 0xFF) == 0xD8
                && (start.get(2) & 0xFF) == 0xFF;
        return isJpeg
                ? JpegSegments.walk(channel, at)
                        .size(channel)
                        .map(size -> new EmbeddedJpeg(at, Math.min(length, sizeOf(channel) - at), size))
                : Optional.empty();
    }

    private static long sizeOf(SeekableByteChannel channel) {
        try {
            return channel.size();
        } catch (IOException unknown) { // then reading it will say so
            return Long.MAX_VALUE;
        }
    }

    /** Reads its bytes. */
    public byte[] bytes(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            ByteBuffer bytes = ByteBuffer.allocate(Math.toIntExact(length));
            JpegSegments.read(channel, bytes, at);
            return bytes.array();
        }
    }
}
