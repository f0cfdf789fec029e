package nexa.imaging.file;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.OptionalInt;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;

/**
 * Tells whether a JPEG was cut off. A whole one has its end marker (FF D9, ITU T.81 B.1.1.3) after its scan data;
 * only where that is missing, the picture is decoded to see how far it goes.
 */
final class JpegCompleteness {
    /** Cameras append at most some padding or small previews after the picture. */
    private static final int TAIL = 1 << 16;

    private static final int START_OF_SCAN = 0xDA;
    private static final int END_OF_IMAGE = 0xD9;

    private JpegCompleteness() {}

    /** How much of the picture's height is there, in percent; empty if the file is whole. */
    static OptionalInt percentIfCut(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file)) {
            long scan = startOfScan(channel);
            if (scan < 0) {
                return OptionalInt.of(0);
            }
            if (endsAfter(channel, scan)) {
                return OptionalInt.empty();
            }
        }
        int percent = decodedPercent(file);
        return percent >= 100 ? OptionalInt.empty() : OptionalInt.of(percent);
    }

    /** Position of the first scan's data, -1 if the file ends before it. Walks the marker segments. */
    private static long startOfScan(FileChannel channel) throws IOException {
        ByteBuffer head = ByteBuffer.allocate(4);
        long at = 2;
        while (read(channel, head, at)) {
            int marker = head.get(1) & 0xFF;
            if ((head.get(0) & 0xFF) != 0xFF) {
                return -1;
            }
            if (marker == 0xFF) { // fill byte
                at++;
                continue;
            }
            int length = head.getShort(2) & 0xFFFF;
            if (marker == START_OF_SCAN) {
                return at + 2 + length;
            }
            at += 2 + Math.max(2, length);
        }
        return -1;
    }

    private static boolean read(FileChannel channel, ByteBuffer buffer, long at) throws IOException {
        buffer.clear();
        while (buffer.hasRemaining()) {
            if (channel.read(buffer, at + buffer.position()) < 0) {
                return false;
            }
        }
        return true;
    }

    private static boolean endsAfter(FileChannel channel, long scan) throws IOException {
        long from = Math.max(scan, channel.size() - TAIL);
        ByteBuffer tail = ByteBuffer.allocate((int) Math.max(0, channel.size() - from));
        if (!read(channel, tail, from)) {
            return false;
        }
        for (int i = tail.capacity() - 2; i >= 0; i--) {
            if ((tail.get(i) & 0xFF) == 0xFF && (tail.get(i + 1) & 0xFF) == END_OF_IMAGE) {
                return true;
            }
        }
        return false;
    }

    private static int decodedPercent(Path file) {
        try (Picture picture = Decoder.decode(file, Reduction.EIGHTH)) {
            return (int) Math.round(100.0
                    * (picture.size().height() - picture.blankRowsAtEnd())
                    / picture.size().height());
        } catch (UnreadablePhotoException unreadable) {
            return 0;
        }
    }
}
