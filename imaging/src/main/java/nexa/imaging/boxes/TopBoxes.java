package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The outermost boxes of a file, of which only headers are read until one is asked for. */
final class TopBoxes {
    /** A table of contents is never larger; pixel data may be, and is not read here. */
    private static final long LARGEST = 64 << 20;

    private static final int HEADER = 16;
    private static final int MOST = 10_000;

    /** @param start of what the box holds, in bytes of the file */
    record Place(String type, long start, long length) {}

    private final SeekableByteChannel channel;
    private final List<Place> places;

    private TopBoxes(SeekableByteChannel channel, List<Place> places) {
        this.channel = channel;
        this.places = places;
    }

    static TopBoxes of(SeekableByteChannel channel) throws IOException {
        List<Place> places = new ArrayList<>();
        long at = 0;
        while (at + 8 <= channel.size() && places.size() < MOST) {
            ByteBuffer header = read(channel, at, HEADER);
            long size = Integer.toUnsignedLong(header.getInt());
            byte[] letters = new byte[4];
            header.get(letters);
            int length = 8;
            if (size == 1 && header.remaining() >= Long.BYTES) {
                size = header.getLong();
                length = 16;
            } else if (size == 0) {
                size = channel.size() - at;
            }
            if (size < length) {
                break;
            }
            places.add(new Place(new String(letters, StandardCharsets.ISO_8859_1), at + length, size - length));
            at += size;
        }
        return new TopBoxes(channel, places);
    }

    List<Place> places() {
        return places;
    }

    boolean has(String type) {
        return places.stream().anyMatch(place -> place.type().equals(type));
    }

    /** What the first box of a type holds; empty if there is none. */
    Optional<ByteBuffer> content(String type) throws IOException, ImageProcessingException {
        for (Place place : places) {
            if (place.type().equals(type)) {
                return Optional.of(content(place));
            }
        }
        return Optional.empty();
    }

    ByteBuffer content(Place place) throws IOException, ImageProcessingException {
        if (place.length() > LARGEST) {
            throw new ImageProcessingException(place.type() + " of " + place.length() + " bytes");
        }
        return read(channel, place.start(), (int) place.length());
    }

    /** At most so many bytes from a place on; fewer at the end of the file. */
    static ByteBuffer read(SeekableByteChannel channel, long start, int most) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate((int) Math.clamp(channel.size() - start, 0, most));
        channel.position(start);
        while (bytes.hasRemaining() && channel.read(bytes) >= 0) {
            // goes on until it is full
        }
        return bytes.flip();
    }
}
