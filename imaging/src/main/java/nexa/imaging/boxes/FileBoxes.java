package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** The outermost boxes of a file or those in one of its boxes; only headers are read until one is asked for. */
final class FileBoxes {
    /** A table of contents is never larger; pixel data may be, and is not read here. */
    private static final long LARGEST = 64 << 20;

    private static final int HEADER = 16;
    private static final int MOST = 10_000;
    private static final int UUID_BYTES = 16;

    /** @param start of what the box holds, in bytes of the file */
    record Place(String type, long start, long length) {}

    private final SeekableByteChannel channel;
    private final List<Place> places;

    private FileBoxes(SeekableByteChannel channel, List<Place> places) {
        this.channel = channel;
        this.places = places;
    }

    static FileBoxes of(SeekableByteChannel channel) throws IOException {
        return between(channel, 0, channel.size());
    }

    /**
     * Those in a box.
     *
     * @param before bytes of what it holds that come before the first of them
     */
    FileBoxes in(Place box, int before) throws IOException {
        return between(channel, box.start() + before, Math.min(box.start() + box.length(), channel.size()));
    }

    private static FileBoxes between(SeekableByteChannel channel, long start, long end) throws IOException {
        List<Place> places = new ArrayList<>();
        long at = start;
        while (at + 8 <= end && places.size() < MOST) {
            ByteBuffer header = read(channel, at, HEADER);
            long size = Integer.toUnsignedLong(header.getInt());
            byte[] letters = new byte[4];
            header.get(letters);
            int length = 8;
            if (size == 1 && header.remaining() >= Long.BYTES) {
                size = header.getLong();
                length = 16;
            } else if (size == 0) {
                size = end - at;
            }
            if (size < length) {
                break;
            }
            places.add(new Place(new String(letters, StandardCharsets.ISO_8859_1), at + length, size - length));
            at += size;
        }
        return new FileBoxes(channel, places);
    }

    List<Place> places() {
        return places;
    }

    boolean has(String type) {
        return first(type).isPresent();
    }

    Optional<Place> first(String type) {
        return places.stream().filter(place -> place.type().equals(type)).findFirst();
    }

    /** What the first box of a type holds; empty if there is none. */
    Optional<ByteBuffer> content(String type) throws IOException, ImageProcessingException {
        Optional<Place> place = first(type);
        return place.isEmpty() ? Optional.empty() : Optional.of(content(place.get()));
    }

    /** What a box of a kind holds that only its maker knows ({@code uuid}); empty if there is none. */
    Optional<Place> ofMaker(UUID kind) throws IOException {
        for (Place place : places) {
            if (place.type().equals("uuid") && place.length() >= UUID_BYTES) {
                ByteBuffer own = read(channel, place.start(), UUID_BYTES);
                if (own.remaining() == UUID_BYTES && kind.equals(new UUID(own.getLong(), own.getLong()))) {
                    return Optional.of(
                            new Place(place.type(), place.start() + UUID_BYTES, place.length() - UUID_BYTES));
                }
            }
        }
        return Optional.empty();
    }

    /** The boxes in it. */
    Optional<FileBoxes> ofMaker(UUID kind, int before) throws IOException {
        Optional<Place> place = ofMaker(kind);
        return place.isEmpty() ? Optional.empty() : Optional.of(in(place.get(), before));
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
