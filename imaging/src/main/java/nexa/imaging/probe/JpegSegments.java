package nexa.imaging.probe;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.PixelSize;

/**
 * The marker segments of a JPEG from its beginning to its first scan (ITU T.81, B.1.1).
 *
 * @param scan position of the first scan's data in the channel, -1 if the headers end before it
 */
public record JpegSegments(List<Segment> segments, long scan) {
    private static final int START_OF_SCAN = 0xDA;
    private static final int PREFIX = 0xFF;

    /** Headers hold far fewer; what has more is not a JPEG's header. */
    private static final int MOST_SEGMENTS = 4096;

    /** A length that is wrong by a few bytes leaves some; more are no header. */
    private static final int MOST_STRAY = 4096;

    /**
     * One segment.
     *
     * @param at position of its payload in the channel
     * @param length of its payload
     */
    public record Segment(int marker, long at, int length) {
        /** Whether it says how large the picture is and how it is coded (SOF markers; B.1.1.3). */
        boolean isFrame() {
            return marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
        }

        /** Baseline, extended or progressive DCT, which decoders read; raw data is coded otherwise. */
        boolean isCommon() {
            return marker >= 0xC0 && marker <= 0xC2;
        }
    }

    /** Walks the segments of the JPEG that begins at a position. */
    public static JpegSegments walk(SeekableByteChannel channel, long start) throws IOException {
        return walk(Bytes.of(channel), start, 0);
    }

    /** Those of a file that is one JPEG: bytes between them that belong to none are passed over, as decoders do. */
    public static JpegSegments ofFile(SeekableByteChannel channel) throws IOException {
        return walk(Bytes.of(channel), 0, MOST_STRAY);
    }

    /** The same of one that is in memory. */
    public static JpegSegments ofFile(byte[] jpeg) {
        try {
            return walk(Bytes.of(jpeg), 0, MOST_STRAY);
        } catch (IOException never) { // memory can be read
            throw new UncheckedIOException(never);
        }
    }

    private static JpegSegments walk(Bytes bytes, long start, int stray) throws IOException {
        List<Segment> segments = new ArrayList<>();
        ByteBuffer head = ByteBuffer.allocate(4);
        long at = start + 2;
        int passed = 0;
        while (segments.size() < MOST_SEGMENTS && bytes.read(head, at)) {
            int marker = head.get(1) & 0xFF;
            boolean isMarker = (head.get(0) & 0xFF) == PREFIX && marker != 0;
            if (isMarker && marker != PREFIX) {
                int length = Math.max(2, head.getShort(2) & 0xFFFF);
                segments.add(new Segment(marker, at + 4, length - 2));
                at += 2 + length;
                if (marker == START_OF_SCAN) {
                    return new JpegSegments(List.copyOf(segments), at);
                }
            } else if (isMarker || passed++ < stray) { // a byte that fills, or one that is of no segment
                at++;
            } else {
                break;
            }
        }
        return new JpegSegments(List.copyOf(segments), -1);
    }

    private Optional<Segment> frame() {
        return segments.stream().filter(Segment::isFrame).findFirst();
    }

    /** The size, if it is a whole header of a kind that decoders read. */
    Optional<PixelSize> size(SeekableByteChannel channel) throws IOException {
        Optional<Segment> frame = frame().filter(Segment::isCommon).filter(segment -> segment.length >= 6);
        if (scan < 0 || frame.isEmpty()) {
            return Optional.empty();
        }
        ByteBuffer head = ByteBuffer.wrap(payload(channel, frame.get(), 6));
        int height = head.getShort(1) & 0xFFFF;
        int width = head.getShort(3) & 0xFFFF;
        return width == 0 || height == 0 ? Optional.empty() : Optional.of(new PixelSize(width, height));
    }

    /** Bits of each component; 0 if the header doesn't say. */
    int bits(SeekableByteChannel channel) throws IOException {
        Optional<Segment> frame = frame();
        return frame.isEmpty() ? 0 : payload(channel, frame.get(), 1)[0];
    }

    /** Colour components: 1 grey, 3 colour, 4 ink; 0 if the header doesn't say. */
    public int components(SeekableByteChannel channel) throws IOException {
        Optional<Segment> frame = frame().filter(segment -> segment.length >= 6);
        return frame.isEmpty() ? 0 : payload(channel, frame.get(), 6)[5];
    }

    /** At most so many bytes of a segment's payload; zeros where the channel ends. */
    static byte[] payload(SeekableByteChannel channel, Segment segment, int most) throws IOException {
        ByteBuffer payload = ByteBuffer.allocate(Math.min(most, segment.length));
        Bytes.of(channel).read(payload, segment.at);
        return payload.array();
    }
}
