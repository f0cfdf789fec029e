package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.List;

/** Data that lies in several places of a file. */
public final class Pieces {
    private Pieces() {}

    /**
     * All of it; a length of 0 goes to the end of the file.
     *
     * @throws ImageProcessingException if it is longer than that or not all there
     */
    public static byte[] of(SeekableByteChannel channel, List<Extent> extents, int longest)
            throws IOException, ImageProcessingException {
        long length = 0;
        for (Extent extent : extents) {
            if (extent.start() < 0 || extent.length() < 0) {
                throw new ImageProcessingException("a piece at " + extent.start());
            }
            length += extent.length() == 0 ? channel.size() - extent.start() : extent.length();
        }
        if (length < 0 || length > Math.min(longest, channel.size())) {
            throw new ImageProcessingException("pieces of " + length + " bytes");
        }
        ByteBuffer whole = ByteBuffer.allocate((int) length);
        for (Extent extent : extents) {
            long wanted = extent.length() == 0 ? channel.size() - extent.start() : extent.length();
            ByteBuffer piece = FileBoxes.read(channel, extent.start(), (int) wanted);
            if (piece.remaining() < wanted) {
                throw new ImageProcessingException("cut off");
            }
            whole.put(piece);
        }
        return whole.array();
    }
}
